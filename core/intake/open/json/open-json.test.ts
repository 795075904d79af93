import fc from 'fast-check'
import { openFile } from '../open-file'
import type { Cell } from '../../../notation/cell'
import { limits } from '../opened-file'
import { OutlineReader } from './find-lists'
import { flattenRecord } from './flatten-record'

async function open(content: BlobPart, name = 'x.json') {
  const file = await openFile(new File([content], name))
  const rows: { cells: Cell[]; strange?: string[] }[] = []
  for await (const { batch } of file.rows()) rows.push(...batch)
  return { file, rows }
}
const code = (content: BlobPart) =>
  open(content).then(
    () => 'opened',
    (e: { code: string }) => e.code,
  )

const record = fc.record({
  id: fc.string(),
  title: fc.string({ unit: fc.constantFrom('a', '"', '\\', '[', '}', ',', '\n', 'é', '鳥', ':') }),
  price: fc.oneof(fc.integer(), fc.constant(null), fc.double({ noNaN: true, noDefaultInfinity: true })),
  in: fc.record({ a: fc.boolean(), b: fc.array(fc.integer(), { maxLength: 3 }) }),
})

test('records come out as JSON.parse would have them, whatever stands around the list', async () => {
  await fc.assert(
    fc.asyncProperty(
      fc.array(record, { minLength: 1, maxLength: 8 }),
      fc.jsonValue(),
      fc.nat({ max: 3 }),
      async (records, beside, indent) => {
        const text = JSON.stringify(
          { about: beside, at: '2026-05-31', data: { items: records.map((r) => ({ ...r, more: 1 })), n: 1 } },
          null,
          indent,
        )
        const reader = new OutlineReader()
        const bytes = new TextEncoder().encode(text)
        for (let i = 0; i < bytes.length; i += 7) reader.push(bytes.subarray(i, i + 7))
        const { isWhole, lists } = reader.outline()
        expect(isWhole).toBe(true)
        const list = lists.find((l) => l.records === records.length)
        expect(list).toBeDefined()
        if (lists[0]?.records !== records.length || lists.filter((l) => l.records === records.length).length > 1) return
        const { file, rows } = await open(text)
        const wanted = records.map((r) => [
          ...flattenRecord({ ...(JSON.parse(JSON.stringify(r)) as object), more: 1 }).values(),
        ])
        expect(file.headings).toEqual(['id', 'title', 'price', 'in.a', 'in.b', 'more'])
        expect(rows.map((r) => r.cells)).toEqual(wanted)
        expect(file.notes).toContain('at 2026-05-31')
      },
    ),
    { numRuns: 150 },
  )
})

test('what is cut, unbalanced or nothing is refused', async () => {
  expect(await code('[{"id":1,"title":"a"')).toBe('file-json-broken')
  expect(await code('[{"id":1,"title":"a}]')).toBe('file-json-broken')
  expect(await code('[{"id":1]}')).toBe('file-json-broken')
  expect(await code('[1,2,3]')).toBe('file-no-table')
  expect(await code('{"a":{}}')).toBe('file-no-table')
})

test('a record that is no JSON is a row that is told of, and the others come in', async () => {
  const { rows } = await open('[{"id":1,"title":"a","price":2},{id:2},{"id":3,"title":"c","price":4}]')
  expect(rows.map((r) => r.cells)).toEqual([[1, 'a', 2], ['{id:2}'], [3, 'c', 4]])
})

test('rows that are lists, with a heading among them', async () => {
  const { file, rows } = await open('[["Item ID","Title","Price"],["a","Bell",2],["b","Mat",3]]')
  expect([file.headings, rows.map((r) => r.cells)]).toEqual([
    ['Item ID', 'Title', 'Price'],
    [
      ['a', 'Bell', 2],
      ['b', 'Mat', 3],
    ],
  ])
})

test('UTF-16, a byte order mark, and values one after another', async () => {
  const text = '[{"id":"é","title":"鳥"},{"id":"b","title":"c"}]'
  const utf16 = Uint8Array.from([
    0xff,
    0xfe,
    ...[...text].flatMap((c) => [c.charCodeAt(0) & 255, c.charCodeAt(0) >> 8]),
  ])
  expect((await open(utf16)).rows[0]?.cells).toEqual(['é', '鳥'])
  expect((await open(`\ufeff${text}`)).rows[0]?.cells).toEqual(['é', '鳥'])
  const long = `{"id":"a","title":"${'x'.repeat(70_000)}"}\n{"id":"b","title":"c"}\n`
  expect((await open(long)).rows.map((r) => r.cells[0])).toEqual(['a', 'b'])
})

test('a name that none of the first rows has is told of, not lost silently', async () => {
  const items = Array.from({ length: 2500 }, (_, i) => ({ id: i, title: 't', ...(i === 2400 ? { late: 1 } : {}) }))
  const { file, rows } = await open(JSON.stringify(items))
  expect(file.headings).toEqual(['id', 'title'])
  expect(rows[2400]?.strange).toEqual(['late'])
})

test('one record is a table of one row, but not one of sixteen megabytes, nor one with a single value', async () => {
  const record = (size: number) => `{"id":"a","title":"${'x'.repeat(size)}"}`
  expect((await open(record(10))).rows.map((r) => r.cells)).toEqual([['a', 'xxxxxxxxxx']])
  await expect(open(record(limits.rowMegabytes * 1e6))).rejects.toMatchObject({ code: 'file-no-table' })
  expect((await open(record(limits.rowMegabytes * 1e6 - 30))).rows).toHaveLength(1)
  expect(await code('{"id":"a"}')).toBe('file-no-table')
  expect(await code('{"id":"a","title":null}')).toBe('file-no-table')
  expect((await open('{"id":"a","price":0}')).rows.map((r) => r.cells)).toEqual([['a', 0]])
})

test('of long records no more than are wanted are the first rows', async () => {
  const { sampleRows } = limits
  const records = Array.from({ length: sampleRows + 50 }, (_, id) => ({ id, title: 'x'.repeat(3000) }))
  const { file, rows } = await open(JSON.stringify(records))
  expect([file.sample.length, rows.length]).toEqual([sampleRows, sampleRows + 50])
  expect(file.sample.at(-1)?.cells[0]).toBe(sampleRows - 1)
})
