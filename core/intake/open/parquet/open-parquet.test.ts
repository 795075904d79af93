import { DuckDBInstance } from '@duckdb/node-api'
import { mkdtempSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { openFile } from '../open-file'
import type { Cell } from '../../../notation/cell'
import { checkDelta, checkRuns } from './check-page'
import { unpackPage } from './unpack-page'

const folder = mkdtempSync(join(tmpdir(), 'sickle-parquet-'))
afterAll(() => rmSync(folder, { recursive: true }))

async function read(path: string): Promise<{ headings: string[]; rows: Cell[][] }> {
  const file = await openFile(new File([readFileSync(path)], 'x.parquet'))
  const rows: Cell[][] = []
  for await (const { batch } of file.rows()) rows.push(...batch.map((b) => b.cells))
  return { headings: file.headings, rows }
}

const select =
  "select 'A'||i as id, 'Bell '||(i%7)||' é' as title, case when i%3=0 then null else i*1.25 end as price, (i%50)::int as units, i::bigint*1000 as big, date '2026-05-01' + (i%40)::int as day, i%2=0 as good from range(7000) t(i)"

test.each([
  "codec 'snappy'",
  "codec 'zstd'",
  "codec 'gzip'",
  "codec 'uncompressed'",
  'parquet_version v2',
  'row_group_size 2048',
  'dictionary_size_limit 1',
])('what DuckDB writes with %s is read as it was', async (option) => {
  const db = await (await DuckDBInstance.create()).connect()
  const path = join(folder, `${option.replace(/\W/g, '')}.parquet`)
  await db.run(`copy (${select}) to '${path}' (format parquet, ${option})`)
  const wanted = await db.runAndReadAll(`select id, title, price, units, big, day::varchar, good from '${path}'`)
  const plain = (v: unknown) =>
    typeof v === 'bigint'
      ? Number(v)
      : typeof v === 'object' && v !== null
        ? Number((v as { toString(): string }).toString())
        : v
  const { headings, rows } = await read(path)
  expect(headings).toEqual(['id', 'title', 'price', 'units', 'big', 'day', 'good'])
  expect(rows).toEqual(wanted.getRows().map((r) => r.map(plain)))
})

test('lists and records within columns, flattened', async () => {
  const db = await (await DuckDBInstance.create()).connect()
  const path = join(folder, 'nested.parquet')
  await db.run(
    `copy (select i as id, ['a'||i, 'b'] as tags, {'x': i, 'y': {'z': 'q'||i}} as deep from range(6000) t(i)) to '${path}' (format parquet, row_group_size 2048)`,
  )
  const { headings, rows } = await read(path)
  expect(headings).toEqual(['id', 'tags', 'deep.x', 'deep.y.z'])
  expect([rows.length, rows[5999]]).toEqual([6000, [5999, 'a5999|b', 5999, 'q5999']])
})

test('runs are gone over without writing them out', () => {
  // 4 values of a run, then 8 packed in one byte each
  expect(checkRuns(Uint8Array.from([8, 1, 3, 0b10101010]), 0, 1, 12)).toBe(4)
  expect(() => checkRuns(Uint8Array.from([0xfe, 0xff, 0xff, 0xff, 0x0f, 1]), 0, 1, 10)).toThrow(/longer than its page/)
  expect(() => checkRuns(Uint8Array.from([0]), 0, 1, 10)).toThrow(/longer than its page/)
  expect(() => checkRuns(Uint8Array.from([8, 1]), 0, 1, 10)).toThrow(/cut off/)
  expect(() => checkDelta(Uint8Array.from([128, 1, 128, 128, 128, 8, 4, 0]), 0, 4, 'DELTA_BINARY_PACKED')).toThrow(
    /no sense/,
  )
})

test('a page that unpacks to another size than it says is refused', () => {
  expect(() => unpackPage(new Uint8Array(3), 4, 'UNCOMPRESSED')).toThrow(/another size/)
  expect(() => unpackPage(new Uint8Array(3), 4, 'LZ4_RAW')).toThrow(/which is not read; write it with Snappy/)
})

test('what a footer claims is bounded: no longer than its file, no more than 50 million rows', async () => {
  const footer = Uint8Array.from([200, 0, 0, 0, ...new TextEncoder().encode('PAR1')])
  const short = new File([new TextEncoder().encode('PAR1'), new Uint8Array(100), footer], 'x.parquet')
  await expect(openFile(short)).rejects.toMatchObject({
    code: 'file-parquet-broken',
    details: { reason: 'its footer lies' },
  })
  const db = await (await DuckDBInstance.create()).connect()
  const path = join(folder, 'long.parquet')
  await db.run(`copy (select 1::tinyint as a, 2::tinyint as b from range(50000001)) to '${path}' (format parquet)`)
  await expect(read(path)).rejects.toMatchObject({
    code: 'file-parquet-broken',
    details: { reason: 'it says that it holds 50000001 rows, more than are read' },
  })
})
