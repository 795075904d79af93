import { categorySeasons, type Term } from '.'

const term = (category: string | null, months: (number | null)[]) => ({ category, months }) as Term
const flat = (n: number) => new Array<number>(12).fill(n)

test('a category’s season is that of all its terms together; thin, partial or homeless years say nothing', () => {
  const seasons = categorySeasons([
    term('A', flat(100)),
    term('A', [1300, ...new Array<number>(11).fill(100)]),
    term('A', [9999, null, ...flat(1).slice(2)]),
    term('B', flat(10)),
    term(null, flat(900)),
    term('C', [...flat(400).slice(1), 0]),
  ])
  expect([...seasons.keys()]).toEqual(['A'])
  // by hand: 1400 and eleven times 200, mean 300
  expect([...(seasons.get('A')?.months ?? [])].map((v) => Number(v.toFixed(4)))).toEqual([
    4.6667,
    ...new Array<number>(11).fill(0.6667),
  ])
})
