import { buildFile } from '../corpus/build-file'
import { readCorpus, type Half } from '../corpus/read-corpus'
import { scoreFile, sumUp, type FileScore } from '../corpus/score'
import { nothingLearned, type LearnedColumn } from './learned'
import { openFile } from '../open/open-file'
import { proposeMapping } from './propose-mapping'
import { Recogniser } from './guess-columns'
import { toldFigures } from '../../../standins/told-figures'

const recogniser = new Recogniser()
const now = Date.UTC(2026, 11, 1)
const open = (text: string) => openFile(new File([text], 'x.csv'))
const uses = (p: ReturnType<typeof proposeMapping>) =>
  p.mapping.columns.map((c) => (c.as === 'field' ? c.field : c.as === 'tier' ? `tier:${c.from}` : c.as))
const propose = async (text: string, learned = nothingLearned) =>
  proposeMapping(await open(text), now, { recogniser, learned })

const parts: [string, Half, number][] = [
  ['the half that was tuned on', 'tuned', 80],
  ['the half kept aside', 'aside', 80],
  ['what was written last', 'last', 24],
  ['everyday files, kept aside', 'everyday', 24],
]
test.each(parts.map((part, i) => [...part, i] as const))(
  '%s is known as docs/estimates.md says',
  async (_, half, least, cell) => {
    const scores: FileScore[] = []
    for (const file of readCorpus().filter((f) => f.half === half)) {
      const { name, bytes } = await buildFile(file)
      const opened = await openFile(new File([bytes as Uint8Array<ArrayBuffer>], name))
      scores.push(scoreFile(file, opened, proposeMapping(opened, now, { recogniser }).kinds[0]!))
    }
    const { files, kinds, columns, columnsRight, sure, sureWrong, whole } = sumUp(scores)
    const told = (row: string) => toldFigures('What a file holds', row)[cell]
    const share = (n: number, of: number) => `${((100 * n) / of).toFixed(1)} %`
    expect(String(files)).toBe(told('files'))
    expect(share(kinds, files)).toBe(told('kind of record right'))
    expect(share(columnsRight, columns)).toBe(told('columns right'))
    expect(share(sure, columns)).toBe(told('columns called sure'))
    expect(share(sureWrong, sure)).toBe(told('of those, wrong'))
    expect(share(whole, files)).toBe(told('files that need no correction'))
    expect(files).toBeGreaterThanOrEqual(least)
    expect(kinds / files).toBeGreaterThanOrEqual(0.97)
    expect(columnsRight / columns).toBeGreaterThanOrEqual(0.95)
    expect(sureWrong / sure).toBeLessThanOrEqual(1 / 100)
    expect(whole / files).toBeGreaterThanOrEqual(0.8)
  },
)

test('one stray word never decides the kind', async () => {
  const p = await propose(
    'id,title,store,price,currency,units\nA1,Bell,Wren,3.50,EUR,4\nA2,Lead,Tern,9.00,EUR,1\nA3,Mat,Wren,12.00,EUR,0\n',
  )
  expect(p.mapping.kind).toBe('listings')
  expect(uses(p)).toEqual(['id', 'title', 'store', 'price', 'currency', 'units'])
})

test('a first row of data is no heading, and columns are proposed from their cells', async () => {
  const rows = Array.from(
    { length: 20 },
    (_, i) => `10${i},Paring knife no ${i} oak,Wren & Co,${(i % 7) + 3}.50,4.${i % 9}`,
  )
  const p = await propose(rows.join('\n'))
  expect(uses(p)).toEqual(['id', 'title', 'store', 'price', 'rating'])
  expect(p.kinds[0]?.columns.every((c) => c.surety !== 'sure')).toBe(true)
})

test('what sums between columns say goes before what a heading leaves open', async () => {
  const rows = Array.from(
    { length: 15 },
    (_, i) => `A${i},Bell ${i},${i + 2}.50,${(i % 5) + 2},${((i + 2.5) * ((i % 5) + 2)).toFixed(2)}`,
  )
  const p = await propose(`Item,Name,Ventas A,Ventas B,Ventas C\n${rows.join('\n')}`)
  expect(uses(p)[4]).toBe('revenue')
})

test('a heading in two lines, and quantities as columns in other words', async () => {
  const sold = await propose('"Item\nID",Title,Price,"Sales\n30 d"\nA1,Bell,3.50,4\nA2,Lead,9.00,1\n')
  expect([uses(sold), sold.mapping.windowDays]).toEqual([['id', 'title', 'price', 'units'], 30])
  const tiers = await propose('Réf.;Désignation;dès 1;dès 12;dès 48\nA;Carnet;4,00;3,60;3,20\nB;Coque;5,00;4,50;4,00\n')
  expect(uses(tiers)).toEqual(['id', 'title', 'tier:1', 'tier:12', 'tier:48'])
})

test('figures the kind lives on that were left out are told, with the column that looks like one', async () => {
  const p = await propose('Item ID,Title,Price (EUR),Mystery\nA1,Bell,3.50,4\nA2,Lead,9.00,17\nA3,Mat,12.00,0\n')
  expect(uses(p)[3]).toBe('unused')
  expect(p.kinds[0]?.leftOut).toContainEqual({ field: 'units', column: 3 })
})

test('a correction counts for files of another shape, and is no word on their kind', async () => {
  const said: LearnedColumn = {
    kind: 'listings',
    heading: 'mystery',
    shown: 'Mystery',
    holds: 'figures',
    use: { as: 'field', field: 'stock' },
  }
  const learned = { columns: [said], files: {} }
  const p = await propose('Ref,Name,Mystery,Price\nA1,Bell,4,3.50\nA2,Lead,17,9.00\n', learned)
  expect(uses(p)).toEqual(['id', 'title', 'stock', 'price'])
  expect([p.learned, p.kinds[0]?.columns[2]?.surety]).toEqual([[2], 'said'])
  // the same heading over words is another column
  const words = await propose('Ref,Name,Mystery,Price\nA1,Bell,red,3.50\nA2,Lead,blue,9.00\n', learned)
  expect(uses(words)[2]).not.toBe('stock')
  const orders =
    'Order number,Order date,SKU,Quantity,Unit price,Mystery\n1,2026-05-01,A,1,3.50,4\n2,2026-05-02,B,2,9.00,5\n'
  expect((await propose(orders, learned)).mapping.kind).toBe('orders')
})

test('what is asked: days to come, percent or share, and amounts in two currencies', async () => {
  const days = await propose('Listing ID,Date,Units\nA,2026-05-01,1\nA,2206-05-01,2\nB,2026-05-03,4\n')
  expect(days.questions.find((q) => q.about === 'future')?.text).toMatch(/row 3 says 2206-05-01/)
  const share = await propose('Search term,Searches,Change\nmug,10,1.5\nbell,20,0.2\nmat,4,2.5\n')
  expect(share.questions.find((q) => q.about === 'ratio')?.options.map((o) => o.label)).toEqual(['1.5 %', '150 %'])
  const two = await propose('My SKU,Name,My price (EUR),My cost (USD)\nA,Bell,9.00,3.00\nB,Mat,12.00,4.00\n')
  expect([uses(two)[3], two.leftAside[0]]).toEqual(['unused', expect.stringMatching(/'My cost \(USD\)' is in USD/)])
})
