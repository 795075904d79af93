import { DuckDBInstance } from '@duckdb/node-api'
import { execFileSync } from 'node:child_process'
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { importRows, openFile, openQuestions, proposeMapping } from '../intake'
import type { KindName } from '../records'
import type { Table } from '../tables'
import { dataPackage, exportedColumns, writeExport, type ExportFormat } from '.'

const folder = mkdtempSync(join(tmpdir(), 'sickle-exports-'))
const here = (name: string) => fileURLToPath(new URL(name, import.meta.url))
const now = Date.UTC(2026, 5, 1)

/** Figures and texts that formats stumble over: leading zeros, quotes, line breaks, other scripts, gaps, four decimals. */
const listings = [
  'Listing number,Title,Store,Price,Currency,Delivery price,Units in window,Rating,Listed on,Reported change (share),Tags',
  '000123,"Herb trough ""Long"", 60 cm",Tern & Trowel,12.50,EUR,0.00,250,4.5,2024-02-29,0.125,balcony|herb',
  '000124,"Nest box\nfor tits – Kärnten",Sill Life,0.0499,EUR,,0,,1999-12-31,-0.3,',
  '9007199254740993,鳥の巣箱 🐦,,1234567.89,EUR,2.95,,5,,,"a ; b"',
].join('\r\n')
const offers = 'Supplier,Offer number,Title,Currency,1-9,10-49,50+\nSill Mill,007,Hook,USD,4.71,4.20,3.67\n'

async function tableOf(text: string, kind: KindName): Promise<Table> {
  const file = await openFile(new File([text], 'x.csv'))
  const { mapping } = proposeMapping(file, now)
  expect(mapping.kind).toBe(kind)
  const { table, rejected } = await importRows(file, { ...mapping, market: 'Marrowgate' })
  expect(rejected).toEqual([])
  return table
}

async function written(format: ExportFormat, text = listings, kind: KindName = 'listings') {
  const columns = exportedColumns([await tableOf(text, kind)], kind)
  const bytes = await writeExport(format, columns, 'Listings')
  const path = join(folder, `${kind}.${format}`)
  writeFileSync(path, bytes)
  return { columns, path, bytes }
}

/** Rows by column name, as DuckDB reads them. */
async function duck(sql: string): Promise<Record<string, unknown>[]> {
  const connection = await (await DuckDBInstance.create(':memory:')).connect()
  return (await connection.runAndReadAll(sql)).getRowObjectsJson()
}

/** What went in, by hand. */
const truth = [
  {
    id: '000123',
    title: 'Herb trough "Long", 60 cm',
    store: 'Tern & Trowel',
    price: 12.5,
    delivery: 0,
    units: 250,
    rating: 4.5,
    listedOn: '2024-02-29',
    growth: 0.125,
    tags: 'balcony|herb',
  },
  {
    id: '000124',
    title: 'Nest box for tits – Kärnten',
    store: 'Sill Life',
    price: 0.0499,
    delivery: null,
    units: 0,
    rating: null,
    listedOn: '1999-12-31',
    growth: -0.3,
    tags: null,
  },
  {
    id: '9007199254740993',
    title: '鳥の巣箱 🐦',
    store: null,
    price: 1234567.89,
    delivery: 2.95,
    units: null,
    rating: 5,
    listedOn: null,
    growth: null,
    tags: 'a|b',
  },
]
const fields = ['id', 'title', 'store', 'price', 'delivery', 'units', 'rating', 'listedOn', 'growth', 'tags'] as const
const labels = [
  'Listing number',
  'Title',
  'Store',
  'Price',
  'Delivery price',
  'Units in window',
  'Rating',
  'Listed on',
  'Reported change (share)',
  'Tags',
]
const rowsOf = (records: Record<string, unknown>[], names: readonly string[]) =>
  records.map((r) => new Map(names.map((n, i) => [fields[i], r[n] ?? null])))

test('Parquet, read by DuckDB', async () => {
  const { path } = await written('parquet')
  const rows = await duck(`SELECT * REPLACE (units::INTEGER AS units) FROM '${path}'`)
  expect(rowsOf(rows, fields)).toEqual(rowsOf(truth, fields))
  const types = await duck(`DESCRIBE SELECT * FROM '${path}'`)
  const typeOf = (name: string) => types.find((t) => t.column_name === name)?.column_type
  expect(['id', 'price', 'units', 'listedOn'].map(typeOf)).toEqual(['VARCHAR', 'DOUBLE', 'BIGINT', 'DATE'])
})

test('CSV, read by DuckDB', async () => {
  const { path } = await written('csv')
  const rows = await duck(
    `SELECT * FROM read_csv('${path}', header = true, types = {'Listing number': 'VARCHAR', 'Price': 'DOUBLE', 'Delivery price': 'DOUBLE', 'Units in window': 'INTEGER', 'Rating': 'DOUBLE', 'Listed on': 'DATE', 'Reported change (share)': 'DOUBLE'})`,
  )
  expect(rowsOf(rows, labels)).toEqual(rowsOf(truth, fields))
})

test('NDJSON, read by DuckDB', async () => {
  const { path } = await written('ndjson')
  const rows = await duck(
    `SELECT * REPLACE (units::INTEGER AS units) FROM read_json('${path}', format = 'newline_delimited')`,
  )
  expect(rowsOf(rows, fields)).toEqual(rowsOf(truth, fields))
})

test("a spreadsheet, read by Python's openpyxl", async () => {
  const { path } = await written('xlsx')
  const [head = [], ...body] = JSON.parse(
    execFileSync('/usr/bin/python3', [here('read-xlsx.py'), path], { encoding: 'utf8' }),
  ) as unknown[][]
  const records = body.map((row) => Object.fromEntries(head.map((h, i) => [String(h), row[i]])))
  expect(rowsOf(records, labels)).toEqual(rowsOf(truth, fields))
})

test("a Data Package, read by Python's own zip, JSON and CSV readers", async () => {
  const resources = [
    {
      name: 'listings',
      title: 'Listings',
      columns: exportedColumns([await tableOf(listings, 'listings')], 'listings'),
    },
    { name: 'offers', title: 'Supplier offers', columns: exportedColumns([await tableOf(offers, 'offers')], 'offers') },
  ]
  const path = join(folder, 'package.zip')
  writeFileSync(path, dataPackage(resources, { created: '2026-06-01T00:00:00Z' }))
  const read = JSON.parse(execFileSync('/usr/bin/python3', [here('read-package.py'), path], { encoding: 'utf8' })) as {
    created: string
    tables: Record<string, unknown[][]>
  }
  expect(read.created).toBe('2026-06-01T00:00:00Z')
  for (const { name, columns } of resources) {
    const rows = columns[0]?.values.map((_, row) => columns.map((c) => c.values[row] ?? null))
    expect(read.tables[name]).toEqual(rows)
  }
  expect(read.tables.offers?.[0]).toContain('1:4.71;10:4.2;50:3.67')
})

test.each(['csv', 'xlsx', 'ndjson', 'parquet'] as const)(
  '%s comes back through the intake as the same records',
  async (format) => {
    for (const [text, kind] of [
      [listings, 'listings'],
      [offers, 'offers'],
    ] as const) {
      const { bytes, columns } = await written(format, text, kind)
      const file = await openFile(new File([bytes as Uint8Array<ArrayBuffer>], `again.${format}`))
      const { mapping, questions } = proposeMapping(file, now)
      expect([mapping.kind, openQuestions(questions, mapping)]).toEqual([kind, []])
      const { table } = await importRows(file, mapping)
      expect(exportedColumns([table], kind)).toEqual(columns)
    }
  },
)

test('a text that a spreadsheet would run is disarmed in CSV and plain text in a spreadsheet', async () => {
  const text = 'Listing number,Title,Price,Currency,Market\n1,=1+1,2.00,EUR,Marrowgate\n'
  const { bytes } = await written('csv', text)
  expect(new TextDecoder().decode(bytes)).toContain("'=1+1")
  const { path } = await written('xlsx', text)
  expect(execFileSync('/usr/bin/python3', [here('read-xlsx.py'), path], { encoding: 'utf8' })).toContain('"=1+1"')
})

test.each(['snappy', 'gzip', 'zstd', 'uncompressed'])('Parquet that DuckDB wrote with %s is read', async (codec) => {
  const path = join(folder, `duck-${codec}.parquet`)
  await duck(
    `COPY (SELECT '00' || i AS "listing id", 'Herb trough ' || i AS title, (i / 4)::DECIMAL(9,2) AS price, 'EUR' AS currency, i AS units, DATE '2026-05-01' + i::INTEGER AS listed FROM range(1, 6001) r(i)) TO '${path}' (FORMAT parquet, COMPRESSION ${codec}, ROW_GROUP_SIZE 2048)`,
  )
  const file = await openFile(new File([readFileSync(path)], 'duck.parquet'))
  const { mapping } = proposeMapping(file, now)
  const { table, taken, rejected } = await importRows(file, { ...mapping, market: 'Marrowgate' })
  expect([mapping.kind, taken, rejected]).toEqual(['listings', 6000, []])
  const values = (name: string) => exportedColumns([table], 'listings').find((c) => c.name === name)?.values ?? []
  expect(values('id')[5999]).toBe('006000')
  expect(values('price')[4]).toBe(1.25)
  expect(values('listedOn')[0]).toBe('2026-05-02')
  expect(values('units').reduce<number>((a, b) => a + Number(b), 0)).toBe((6000 * 6001) / 2)
})
