import type { Capture } from '../records'
import { rowReader } from '../tables'
import type { Purchase } from './purchase'

/** Orders of the seller's own that say of whom the goods were bought, as purchases; a later file says anew what it speaks of. */
export function boughtGoods(captures: readonly Capture[]): Purchase[] {
  const byOrder = new Map<string, Purchase>()
  for (const { kind, table } of [...captures].sort((a, b) => a.capturedOn - b.capturedOn)) {
    if (kind !== 'orders') continue
    const { text, number } = rowReader(table)
    for (let row = 0; row < table.rows; row++) {
      const [supplier, order, orderedOn] = [text('supplier', row), text('order', row), number('day', row)]
      if (supplier === null || order === null || orderedOn === null) continue
      const what = text('title', row) ?? text('sku', row) ?? order
      const id = `${supplier}/${order}/${what}`
      const [promisedOn, arrivedOn] = [number('promised', row), number('arrived', row)]
      byOrder.set(id, { id, supplier, what, orderedOn, promisedOn, arrivedOn })
    }
  }
  return [...byOrder.values()]
}
