import { branchThemes, measure } from '.'
import { buildCatalog, ItemMaker, noCorrections, plainRules } from '../catalog'
import type { Capture } from '../records'
import { TableBuilder, type RowRecord } from '../tables'

const captureOf = (rows: RowRecord[]): Capture => {
  const names = [...new Set(rows.flatMap((r) => Object.keys(r)))]
  const specs = names.map((name) => ({
    name,
    type: typeof rows[0]?.[name] === 'number' ? ('number' as const) : ('text' as const),
  }))
  const builder = new TableBuilder(specs)
  for (const row of rows) builder.add(row)
  return { id: 'a', kind: 'listings', capturedOn: 20_000, windowDays: 30, table: builder.finish() }
}

/** Forty-five mugs: six for beekeepers (four sold), five for wrens in the branch beside (all sold), and all the others. */
const mugs = Array.from({ length: 45 }, (_, i): RowRecord => {
  const theme = i < 6 ? 'beekeeper' : i < 11 ? 'wren lover' : ''
  return {
    market: 'Fernhand',
    id: String(i),
    title: `Enamel mug ${theme} no${i}`,
    store: `Store ${i % 4}`,
    category: i >= 6 && i < 11 ? 'Home / Kitchen / Mugs' : 'Home / Mugs',
    currency: 'EUR',
    price: 120_000,
    units: i < 6 ? Math.max(0, i - 1) : 3,
    listedOn: 19_900 + i,
    storeSince: 19_000 + i,
  }
})

test('themes of a branch with what they sell, best share by its lower end first; other branches stay out', async () => {
  const catalog = await buildCatalog([captureOf(mugs)])
  const { themes, of } = branchThemes(catalog, plainRules('EUR'), 'Home')
  expect(of).toBe(45)
  expect(themes.map((t) => t.phrases[0])).toEqual(['wren lover', 'beekeeper'])
  // by hand: units 0, 0, 1, 2, 3, 4 over stores 0 to 3; listed 100 to 95 days before the end, the middle two of six 97 and 98
  expect(themes[1]).toMatchObject({
    sums: { listings: 6, known: 6, sold: 4, units: 10, stores: 4, grade: 'reported' },
    medianAgeDays: 97.5,
  })
  expect(branchThemes(catalog, plainRules('EUR'), 'Home / Mugs').themes.map((t) => t.phrases[0])).toEqual(['beekeeper'])
  // 'Home' is no beginning of 'Homestead'
  expect(branchThemes(catalog, plainRules('EUR'), 'Hom')).toEqual({ themes: [], of: 0 })
  const maker = new ItemMaker(catalog, plainRules('EUR'), noCorrections)
  // by hand: 1,000 days before the end are 32.9 months
  expect(measure('storeMonths').of(maker.at(0))).toBe(32)
})
