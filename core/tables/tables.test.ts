import { numberAt, numbers, rowReader, TableBuilder, textAt, textColumn } from '.'

const specs = [
  { name: 'title', type: 'text' as const },
  { name: 'units', type: 'number' as const },
  { name: 'never', type: 'text' as const },
]

test('what goes in comes out, unknown stays unknown, and empty columns take no room', () => {
  const builder = new TableBuilder(specs)
  for (let i = 0; i < 3000; i++) builder.add({ title: i % 3 ? `t${i % 7}` : null, units: i % 5 ? i : null })
  const table = builder.finish()
  expect(table.rows).toBe(3000)
  expect(Object.keys(table.columns)).toEqual(['title', 'units'])
  const read = rowReader(table)
  for (let i = 0; i < 3000; i++) {
    expect(read.text('title', i)).toBe(i % 3 ? `t${i % 7}` : null)
    expect(read.number('units', i)).toBe(i % 5 ? i : null)
    expect(read.text('never', i)).toBeNull()
  }
  expect(textColumn(table, 'title').words).toHaveLength(7)
})

test('a column of the other type or none reads as unknown', () => {
  const table = new TableBuilder(specs).add({ title: 'x', units: 1 }).finish()
  expect(textAt(textColumn(table, 'units'), 0)).toBeNull()
  expect(numberAt(numbers(table, 'title'), 0)).toBeNull()
  expect(numberAt(numbers(table, 'units'), 99)).toBeNull()
})
