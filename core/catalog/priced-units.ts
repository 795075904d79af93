import type { PricedUnits } from '../demand'
import type { Capture } from '../records'
import { rowReader } from '../tables'
import { listingKey } from './listing'

/** Units of days or weeks with their price, by listing; of two rows of the same day the later import counts. @param keys listings asked for */
export function pricedUnits(captures: readonly Capture[], keys: ReadonlySet<string>): Map<string, PricedUnits[]> {
  const found = new Map<string, Map<number, PricedUnits>>()
  for (const { kind, table } of captures) {
    if (kind !== 'sales') continue
    const { text, number } = rowReader(table)
    for (let row = 0; row < table.rows; row++) {
      const key = listingKey(text('market', row), text('id', row))
      if (!keys.has(key)) continue
      const [day, units, price] = [number('day', row), number('units', row), number('price', row)]
      if (day === null || units === null || price === null) continue
      const days = found.get(key) ?? new Map<number, PricedUnits>()
      found.set(key, days.set(day, { units, price, promoted: number('promoted', row) }))
    }
  }
  return new Map([...found].map(([key, days]) => [key, [...days.values()]]))
}
