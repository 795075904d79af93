import { calibrationOf, storeSales, type Calibration, type JudgedEstimate } from '../estimates'
import { heldItems, type StoreEvidence } from './estimate-store'
import { unitsReader } from './window-units'

/** What is gathered of a market's stores. */
export interface ItemEvidence extends Pick<StoreEvidence, 'catalog' | 'offers' | 'find'> {
  /** rows of a store's listings */
  rowsOf: (store: string) => Iterable<number>
}

/** stores of which is learned, at the most */
const mostStores = 120

/**
 * How far a store's sales by its items and their featured shares lie from what it truly sold of those, learned from the stores of a market that
 * publish what each of its listings sold. Null where fewer than eight do.
 *
 * @param offers of one market
 */
export function learnItems({ catalog, offers, find, rowsOf }: ItemEvidence): Calibration | null {
  const unitsAt = unitsReader(catalog, 30)
  const byStore = new Map<string, (typeof offers)[number][]>()
  for (const offer of offers) {
    if (offer.featured === null) continue
    const list = byStore.get(offer.store)
    if (list) list.push(offer)
    else byStore.set(offer.store, [offer])
  }
  const judged = [...byStore].slice(0, mostStores).flatMap(([store, its]): JudgedEstimate[] => {
    const held = heldItems({ catalog, offers: its, find })
    const estimate = storeSales(held.map((h) => h.held))
    const items = new Set(held.map((h) => h.item))
    let truth = 0
    for (const row of rowsOf(store)) {
      if (!items.has(catalog.itemOf[row] as number)) continue
      const known = unitsAt(row)
      if (!known || known.grade === 'estimated') return []
      truth += known.units
    }
    return estimate ? [{ estimate, truth }] : []
  })
  return calibrationOf(judged)
}
