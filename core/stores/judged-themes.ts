import { readFileSync } from 'node:fs'
import { buildCatalog, plainRules, type ListingTheme } from '../catalog'
import { tableOf } from '../records/table-of'
import type { RowRecord } from '../tables'
import { stemsOf } from '../words'
import { storeThemes } from './store-themes'

interface ThemedStore {
  half: 'tuned' | 'aside'
  trade: string
  sorts: Record<string, string[]>
  themes: string[]
  extras: string[]
}

/** Stores of eight trades in three languages, written by hand before the rule: half of them were not looked at until it stood. */
const stores = JSON.parse(
  readFileSync(new URL('./fixtures/themed-stores.json', import.meta.url), 'utf8'),
) as ThemedStore[]
const rules = plainRules('EUR')

/** Every second title serves one of the store's themes; words of all sorts stand about as sellers set them. */
function titlesOf({ sorts, themes, extras, trade }: ThemedStore): (RowRecord & { theme: string | null })[] {
  const goods = Object.entries(sorts).flatMap(([category, nouns]) => nouns.map((noun) => ({ category, noun })))
  return Array.from({ length: 96 }, (_, i) => {
    const { category, noun } = goods[(i * 7) % goods.length] as (typeof goods)[number]
    const theme = i % 2 === 0 ? (themes[(i / 2) % themes.length] as string) : null
    const extra = extras[(i * 3) % extras.length] as string
    const parts = theme === null ? [noun, extra] : i % 4 === 0 ? [noun, theme, extra] : [theme, noun, extra]
    return { id: `${trade}${i}`, title: `${parts.join(i % 3 === 0 ? ', ' : ' ')}`, category, theme }
  })
}

/** Which of the store's true themes one that was found is: most of its titles serve it, and they share a word. */
function truthOf(found: ListingTheme, rows: readonly { theme: string | null }[]): string | null {
  const counts = new Map<string, number>()
  for (const row of found.rows) {
    const theme = rows[row]?.theme
    if (theme) counts.set(theme, (counts.get(theme) ?? 0) + 1)
  }
  const [best] = [...counts].sort((a, b) => b[1] - a[1])
  if (!best || best[1] < 0.8 * found.rows.length) return null
  const said = new Set(found.phrases.flatMap((p) => stemsOf(p)))
  return stemsOf(best[0]).some((stem) => said.has(stem)) ? best[0] : null
}

async function judge(store: ThemedStore): Promise<{ met: number; of: number; wrong: number }> {
  const rows = titlesOf(store)
  const table = tableOf(
    'listings',
    rows.map(({ theme: _, ...row }) => ({ market: 'Fernhand', store: 'Sill', units: 1, ...row })),
  )
  const catalog = await buildCatalog([{ id: 'a', kind: 'listings', capturedOn: 20_604, windowDays: 30, table }])
  const { themes } = storeThemes(
    catalog,
    Int32Array.from(rows, (_, i) => i),
    rules,
  )
  const truths = themes.map((t) => truthOf(t, rows))
  return {
    met: new Set(truths.filter((t) => t !== null)).size,
    of: store.themes.length,
    wrong: truths.filter((t) => t === null).length,
  }
}

/** Themes met, of how many, and what else was called one. For tests and docs/estimates.md. */
export async function judgedThemes(half: ThemedStore['half']): Promise<{ met: number; of: number; wrong: number }> {
  const all = await Promise.all(stores.filter((s) => s.half === half).map(judge))
  const sum = (of: (j: (typeof all)[number]) => number) => all.reduce((total, j) => total + of(j), 0)
  return { met: sum((j) => j.met), of: sum((j) => j.of), wrong: sum((j) => j.wrong) }
}
