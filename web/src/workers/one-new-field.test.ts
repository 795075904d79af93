import type { Answer, FindRow } from '@sickle/core/engine'
import type { Field } from '@sickle/core/records'

/** One more field of a listing: this entry is all that is written for it. */
const warranty: Field = {
  name: 'warrantyMonths',
  label: 'Warranty',
  type: 'count',
  headings: { en: 'warranty, warranty months, months of warranty', de: 'garantie, garantie monate' },
  help: 'For how many months its seller answers for it.',
  item: {
    as: 'most',
    measure: { label: 'Warranty, months', format: 'count', scale: { from: 0, to: 60, kind: 'linear' } },
    facet: { name: 'warranties', label: 'Warranty' },
  },
}

// Everything that follows from the table is made when it is first asked for: so the entry is there before.
const { listings } = await import('../../../core/records/kinds/listings')
;(listings.fields as unknown as Field[]).push(warranty)
const { template, recordKind } = await import('@sickle/core/records')
const { formatsPage } = await import('../../../core/records/formats-page')
const { contract } = await import('@sickle/core/scan')
const { ListingReader, noCorrections, plainRules } = await import('@sickle/core/catalog')
const { cutSchema, emptyQuery, facetLabels, facets, measure } = await import('@sickle/core/engine')
const { faultOf } = await import('@sickle/core/schema')
const { textColumn, numbers } = await import('@sickle/core/tables')
const { openDatabase } = await import('@/storage/database')
const { listImports } = await import('@/storage/imports')
const { readSnapshot, snapshotPrint } = await import('@/storage/snapshot')
const { fileOf } = await import('@/testing/file-of')
const { inPlace, testBench } = await import('@/testing/workbench')
const { until } = await import('@/testing/until')
const { allColumns } = await import('@/stages/finds/columns')
const { engineMethods } = await import('./engine-methods')
const { intakeMethods } = await import('./intake-methods')

const engine = inPlace(engineMethods)
const intake = inPlace(intakeMethods)
const bench = testBench()
const rules = plainRules('EUR')
const rest = 'Hedge End Co.,40,Garden/Hooks'
const first = `Item ID,Title,Seller,Units sold last 30 days,Category,Price (EUR),Warranty months
A1,"Balcony hook 4-pack, black",${rest},12.90,12
A2,"Balcony hook black, pack of 4",${rest},11.50,24
A3,"Hanging bird bath, copper, 26 cm",${rest},24.00,
A4,"Kneeling pad 45 x 28 cm, grey",${rest},9.00,6
`
const later = `Item ID,Title,Seller,Units sold last 30 days,Category,Price (EUR),Months of warranty
A4,"Kneeling pad 45 x 28 cm, grey",${rest},9.00,36
`
const day = (iso: string) => Date.parse(iso) / 86_400_000

beforeAll(async () => {
  const about = { market: 'Marrowgate', kind: 'listings' }
  await bench.bring('may.csv', first, { ...about, capturedOn: day('2026-05-20') })
  await bench.bring('june.csv', later, { ...about, capturedOn: day('2026-05-30') })
  await engine.call('load', [rules, noCorrections])
})

test('intake knows its headings, and templates, docs and the contract hold it', async () => {
  const csv = fileOf('de.csv', first.replace('Warranty months', 'Garantie (Monate)'))
  const { proposal } = (await intake.call('plan', [csv, null, 0])) as {
    proposal: { mapping: { columns: unknown[] } }
  }
  expect(proposal.mapping.columns.at(-1)).toEqual({ as: 'field', field: 'warrantyMonths' })
  expect(template('listings').split('\n')[0]).toMatch(/Warranty/)
  expect(formatsPage()).toContain('For how many months its seller answers for it.')
  expect(JSON.stringify(contract())).toContain('warrantyMonths')
  expect(recordKind('listings').fields.at(-1)).toBe(warranty)
})

test('the later of two captures counts, and an item takes the most of its listings', async () => {
  const ask = (query: object, count = 10) =>
    engine.call('ask', [
      { ...emptyQuery, ...query },
      [],
      { strips: ['warrantyMonths'], columns: ['warrantyMonths'] },
      count,
      null,
    ]) as Promise<Answer & { rows: FindRow[] }>
  const answer = await ask({ sort: { by: 'warrantyMonths', descending: true } })
  expect(answer.rows.map((r) => r.figures.warrantyMonths)).toEqual([36, 24, null])
  expect(answer.strips).toMatchObject([{ measure: 'warrantyMonths', unknown: 1 }])
  expect(answer.facets['warranties' as 'markets']).toEqual(
    expect.arrayContaining([
      { value: '24', count: 1 },
      { value: '36', count: 1 },
    ]),
  )
  expect((await ask({ limits: { warrantyMonths: [30, null] } })).matching).toBe(1)
  expect((await ask({ warranties: ['24'] })).rows.map((r) => r.key)).toEqual(['Marrowgate/A1'])
})

test('it has a strip, a column, a facet and a limit of Cuts', () => {
  expect(measure('warrantyMonths')).toMatchObject({ label: 'Warranty, months', format: 'count' })
  expect(allColumns('€').map((c) => c.id)).toContain('warrantyMonths')
  expect(facets).toContain('warranties')
  expect(facetLabels['warranties' as 'markets']).toBe('Warranty')
  const query = { ...emptyQuery, limits: { warrantyMonths: [12, null] } }
  expect(faultOf(cutSchema, { name: 'Long warranty', ships: false, query })).toBeNull()
})

test('it rests in the snapshot, and leaves in files', async () => {
  const db = await bench.services.database()
  const print = snapshotPrint(await listImports(db), rules, noCorrections)
  await until(async () => (await db.get('snapshots', 'head')) !== undefined)
  const kept = await readSnapshot(db, print)
  expect(Array.from(numbers(kept?.figures ?? { rows: 0, columns: {} }, 'warrantyMonths'))).toEqual([24, NaN, 36])
  expect(textColumn(kept?.figures ?? { rows: 0, columns: {} }, 'warranties').words.at(0)).toBe('24')
  const catalog = await kept?.catalog()
  const reader = new ListingReader(catalog?.listings ?? { rows: 0, columns: {} })
  expect([0, 1, 2, 3].map((row) => reader.figure('warrantyMonths' as 'rank', row))).toEqual([12, 24, null, 36])
  db.close()
  await engine.call('ask', [emptyQuery, [], { strips: ['units'], columns: [] }, 10, null])
  const finds = (await engine.call('exportFinds', [['warrantyMonths'], 'csv'])) as Uint8Array
  expect(new TextDecoder().decode(finds)).toContain('"Warranty, months"')
  const [entry] = await listImports(await openDatabase())
  const records = (await intake.call('exportRecords', [entry?.id, 'csv', 'x'])) as Uint8Array
  expect(new TextDecoder().decode(records)).toContain('Warranty')
})
