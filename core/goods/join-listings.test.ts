import fc from 'fast-check'
import { joinListings, joinMore, learnLessons, regroup, titleForms, type Joinable } from '.'

type Named = [title: string, gtin?: string | null, brand?: string | null]
function joinable(list: readonly Named[]): Joinable {
  const codes = (words: (string | null | undefined)[]) => {
    const known = [...new Set(words)].filter((w) => w != null)
    return Int32Array.from(words, (w) => known.indexOf(w as string))
  }
  const forms = titleForms(list.map(([title]) => title))
  const gtins = codes(list.map(([, gtin]) => gtin))
  return { forms, gtins, brands: codes(list.map(([, , brand]) => brand)), lessons: learnLessons({ forms, gtins }) }
}
const joined = async (list: readonly Named[]) => [...(await joinListings(joinable(list)))]

test('by barcode, by titles that say the same, and by titles that are alike', async () => {
  const code = '2900000000018'
  expect(
    await joined([
      ['Peanut feeder green 500 g', code],
      ['Green peanut feeder, 500g'],
      ['Feeder for peanuts', code],
      ['Nut cage', '2900000000025'],
    ]),
  ).toEqual([0, 0, 0, 1])
})

test('titles without barcodes are joined where the words that they share weigh enough', async () => {
  const common = Array.from({ length: 40 }, (_, i): Named => [`garden patio thing${i}x other${i}x`])
  const pair: Named[] = [['Copper hanging bird bath garden'], ['Copper hanging bird bath patio']]
  const items = await joined([...common, ...pair])
  // four rare words of four and a common one each; weights by hand: ln 43 ≈ 3.2 (two have them), ln 2 (nearly all have it)
  expect(items[41]).toBe(items[40])
  expect(new Set(items).size).toBe(41)
  const coded = pair.map(([title], i): Named => [title, `290000000000${i}`])
  expect(new Set(await joined([...common, ...coded])).size).toBe(42)
})

test('two brands are not joined by words, but by a barcode they are', async () => {
  const box = (brand: string | null, gtin: string | null = null): Named => ['Nest box oak', gtin, brand]
  expect(await joined([box('tern'), box('wren'), ['Oak nest box'], box('tern')])).toEqual([0, 1, 0, 0])
  expect(await joined([box('tern', '29'), box('wren', '29'), ['Oak nest box']])).toEqual([0, 0, 0])
})

const word = fc.constantFrom('herb', 'trough', 'balcony', 'rail', 'oak', 'long', 'deep', '40 cm', '60 cm', 'green')
const named = fc.tuple(
  fc.array(word, { minLength: 2, maxLength: 6 }).map((w) => w.join(' ')),
  fc.option(fc.constantFrom('1', '2', '3'), { freq: 4 }),
) as fc.Arbitrary<Named>

test('what was together stays together, what is new is joined as it would be with all, and nothing else changes', async () => {
  await fc.assert(
    fc.asyncProperty(
      fc.array(named, { minLength: 1, maxLength: 20 }),
      fc.array(named, { maxLength: 4 }),
      async (first, then) => {
        const before = await joined(first)
        const all = joinable([...first, ...then])
        const after = [...(await joinMore(all, Int32Array.from([...before, ...then.map(() => -1)])))]
        for (let i = 0; i < first.length; i++)
          for (let j = 0; j < i; j++) if (before[i] === before[j]) expect(after[i]).toBe(after[j])
        if (then.length === 0) expect(after).toEqual(before)
        // two barcodes never come together but where a barcode itself joined what words had joined before
        const sameCode = (i: number, j: number) => all.gtins[i] === all.gtins[j] && all.gtins[i] !== -1
        for (let i = first.length; i < after.length; i++)
          for (let j = 0; j < i; j++) if (sameCode(i, j)) expect(after[i]).toBe(after[j])
      },
    ),
    { numRuns: 200 },
  )
})

test('where no barcode is in the way, further listings are joined as all at once are', async () => {
  const plain = named.map(([title]): Named => [title])
  let same = 0
  let runs = 0
  await fc.assert(
    fc.asyncProperty(fc.array(plain, { minLength: 4, maxLength: 20 }), async (list) => {
      const whole = await joined(list)
      // the words of those that are new weigh a little less or more than they did: groups of before are kept all the same
      const first = (await joined(list.slice(0, -2))).concat(-1, -1)
      const after = [...(await joinMore(joinable(list), Int32Array.from(first)))]
      runs++
      if (after.join() === whole.join()) same++
    }),
    { numRuns: 200, seed: 7 },
  )
  expect(same / runs).toBeGreaterThan(0.9)
})

test('what is left of a group is joined by itself', () => {
  const of = joinable([['Oak nest box'], ['Nest box oak'], ['Bird bath copper'], ['Copper bird bath']])
  expect(regroup(of, [0, 2, 3])).toEqual([[0], [2, 3]])
  expect(regroup(of, [])).toEqual([])
})

test('listings of one barcode teach which words mean the same, and others are joined by them', async () => {
  const colours = ['grey', 'olive', 'blue']
  const lessons = colours.flatMap((colour, i): Named[] => [
    [`Balustrade herb hanging planter 40 cm ${colour}`, `291005622490${i}`],
    [`Balustrade herb hanging trough 40 cm ${colour}`, `291005622490${i}`],
  ])
  const pair: Named[] = [['Balustrade herb hanging planter 80 cm'], ['Balustrade herb hanging trough 80 cm']]
  // among so many others the words that both say weigh enough to compare them
  const others = Array.from({ length: 20 }, (_, i): Named => [`other${i}x thing${i}x`])
  const [a, b] = (await joined([...others, ...lessons, ...pair])).slice(-2)
  expect(a).toBe(b)
  // two barcodes are no lesson
  const [c, d] = (await joined([...others, ...lessons.slice(0, 4), ...pair])).slice(-2)
  expect(c).not.toBe(d)
})
