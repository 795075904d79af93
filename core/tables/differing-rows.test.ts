import fc from 'fast-check'
import { differingRows, gatherRows, numberIn, TableBuilder, textIn, type RowRecord, type Table } from '.'

const specs = [
  { name: 'title', type: 'text' as const },
  { name: 'price', type: 'number' as const },
]
const record: fc.Arbitrary<RowRecord> = fc.record({
  title: fc.option(fc.constantFrom('', 'a', 'ab', 'b', 'é')),
  price: fc.option(fc.constantFrom(0, 1, 2)),
})
const records = fc.array(record, { minLength: 1, maxLength: 12 })
function tableOf(list: RowRecord[]): Table {
  const builder = new TableBuilder(specs)
  for (const r of list) builder.add(r)
  return builder.finish()
}
const shown = (table: Table) =>
  Array.from({ length: table.rows }, (_, row) => ({
    title: textIn(table, 'title', row),
    price: numberIn(table, 'price', row),
  }))

test('rows differ where any of their values does, and an empty text is not an unknown one', () => {
  fc.assert(
    fc.property(
      records,
      records,
      fc.array(fc.integer({ min: -1, max: 11 }), { minLength: 12, maxLength: 12 }),
      (a, b, to) => {
        const rowOf = Int32Array.from(b, (_, row) => ((to[row] as number) < a.length ? (to[row] as number) : -1))
        const differs = differingRows(tableOf(a), tableOf(b), rowOf)
        b.forEach((r, row) => {
          const old = rowOf[row] as number
          expect(differs[row]).toBe(Number(old >= 0 && JSON.stringify(a[old]) !== JSON.stringify(r)))
        })
      },
    ),
    { numRuns: 300 },
  )
})

test('a table is gathered of rows of another and of new ones, in their order', () => {
  fc.assert(
    fc.property(records, records, fc.array(fc.integer({ min: -1, max: 11 }), { maxLength: 30 }), (a, b, to) => {
      let left = b.length
      // as many new rows as there are
      const from = to.flatMap((t) => (t >= a.length || (t === -1 && left-- <= 0) ? [] : [t]))
      const fresh = b.slice(0, from.filter((t) => t === -1).length)
      let next = 0
      const wanted = from.map((t) => (t === -1 ? fresh[next++] : a[t]))
      expect(shown(gatherRows(tableOf(a), Int32Array.from(from), tableOf(fresh)))).toEqual(wanted)
    }),
    { numRuns: 300 },
  )
})
