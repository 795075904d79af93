import fc from 'fast-check'
import { Dictionary, recordCodec, TableBuilder, toStored, fromStored, type Table } from '.'

const parts = { price: 'number', days: 'number', title: 'text', markets: 'words' } as const
const codec = recordCodec(parts)
const word = fc.string({ minLength: 1 }).filter((w) => !w.includes('\u001f'))
const records = fc.array(
  fc.record({
    price: fc.option(fc.double({ noNaN: true, noDefaultInfinity: true }).map((x) => x + 0)),
    days: fc.option(fc.integer()),
    title: fc.option(word),
    markets: fc.array(word, { maxLength: 4 }),
  }),
  { maxLength: 40 },
)
const throughRest = (table: Table): Table => ({
  rows: table.rows,
  columns: Object.fromEntries(Object.entries(table.columns).map(([n, c]) => [n, fromStored(toStored(c))])),
})

test('whatever records hold, they come back from a table, and from one that rested', () => {
  fc.assert(
    fc.property(records, (list) => {
      const builder = new TableBuilder(codec.columns)
      for (const record of list) builder.add(codec.pack(record))
      const table = builder.finish()
      expect(list.map((_, row) => codec.at(table, row))).toEqual(list)
      expect(list.map((_, row) => codec.at(throughRest(table), row))).toEqual(list)
    }),
  )
})

test('parts that are missing are unknown, and none of several words is no text', () => {
  const table = new TableBuilder(codec.columns).add(codec.pack({ markets: [] })).finish()
  expect(table.columns).toEqual({})
  expect(codec.at(table, 0)).toEqual({ price: null, days: null, title: null, markets: [] })
})

test('a dictionary numbers each word once, in the order they were met', () => {
  fc.assert(
    fc.property(fc.array(word), fc.array(word), (own, others) => {
      const dictionary = new Dictionary()
      const codes = own.map((w) => dictionary.code(w))
      expect(codes.map((c) => dictionary.words[c])).toEqual(own)
      expect(dictionary.words).toEqual([...new Set(own)])
      const list = [...new Set(others)]
      expect(Array.from(dictionary.recode(list), (c) => dictionary.words[c])).toEqual(list)
      expect(dictionary.words).toEqual([...new Set([...own, ...others])])
      const copy = new Dictionary(dictionary.words)
      expect(dictionary.words.map((w) => copy.code(w))).toEqual(dictionary.words.map((_, code) => code))
      expect(copy.code('a word that no list has')).toBe(dictionary.words.length)
    }),
  )
})
