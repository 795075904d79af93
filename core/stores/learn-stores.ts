import { calibrationOf, storeSales, type Calibration, type JudgedEstimate, type LeaveRate } from '../estimates'
import { estimateStore, heldItems, type StoreEvidence, type StoreLearning } from './estimate-store'
import { unitsReader } from './window-units'

/** What is gathered of a market's stores. @field offers of one market */
export interface MarketEvidence extends Pick<StoreEvidence, 'catalog' | 'offers' | 'find'> {
  leaveRate: LeaveRate
  /** rows of a store's listings */
  rowsOf: (store: string) => Int32Array
  looksOf: (store: string) => StoreEvidence['looks']
  /** what ranks say there, of a store by one of its rows: it must have had no part in that */
  ranksBeside: (row: number) => StoreEvidence['rankSales']
}

/** stores of which is learned, at the most */
const mostStores = 120

interface Store {
  name: string
  rows: Int32Array
  offers: StoreEvidence['offers']
}

/**
 * How far estimates of a market's stores lie off, learned from those that publish what each of their listings sold: each is estimated as if it
 * published nothing. Sums over items are judged by what the store sold of those; all ways together, where there are two or more, by all it sold.
 * Null where fewer than eight can be judged.
 */
export function learnStores(evidence: MarketEvidence): StoreLearning {
  const stores = storesOf(evidence)
  const items = itemsLearned(evidence, stores)
  return { items, together: togetherLearned(evidence, stores, items) }
}

function storesOf({ offers, rowsOf }: MarketEvidence): Store[] {
  const byStore = new Map<string, (typeof offers)[number][]>()
  for (const offer of offers) {
    const list = byStore.get(offer.store)
    if (list) list.push(offer)
    else byStore.set(offer.store, [offer])
  }
  return [...byStore].slice(0, mostStores).map(([name, list]) => ({ name, rows: rowsOf(name), offers: list }))
}

function itemsLearned({ catalog, find }: MarketEvidence, stores: readonly Store[]): Calibration | null {
  const publishedOf = published(catalog)
  return calibrationOf(
    stores.flatMap(({ rows, offers }): JudgedEstimate[] => {
      const held = heldItems({ catalog, offers, find })
      const items = new Set(held.map((h) => h.item))
      const estimate = storeSales(held.map((h) => h.held))
      const truth = publishedOf(rows.filter((row) => items.has(catalog.itemOf[row] as number)))
      return estimate && truth !== null ? [{ estimate, truth }] : []
    }),
  )
}

function togetherLearned(
  { catalog, find, ranksBeside, looksOf, leaveRate }: MarketEvidence,
  stores: readonly Store[],
  items: Calibration | null,
): Calibration | null {
  const publishedOf = published(catalog)
  const learned = { items, together: null }
  return calibrationOf(
    stores.flatMap(({ name, rows, offers }): JudgedEstimate[] => {
      const truth = publishedOf(rows)
      const [row] = rows
      if (truth === null || row === undefined) return []
      // every list is gone through for what it says of a store: of those alone that can teach
      const beside = { rankSales: ranksBeside(row), looks: looksOf(name) }
      const known = { catalog, find, leaveRate, learned, rows, offers, isHidden: true }
      const { all, ...ways } = estimateStore({ ...known, ...beside })
      return all && Object.values(ways).filter(Boolean).length > 1 ? [{ estimate: all, truth }] : []
    }),
  )
}

/** Units of listings in 30 days; null where one of them does not publish them. */
function published(catalog: MarketEvidence['catalog']): (rows: Int32Array) => number | null {
  const unitsAt = unitsReader(catalog, 30)
  return (rows) => {
    let sum = 0
    for (const row of rows) {
      const known = unitsAt(row)
      if (!known || known.grade === 'estimated') return null
      sum += known.units
    }
    return sum
  }
}
