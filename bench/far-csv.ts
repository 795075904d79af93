import { FarMarket } from '@sickle/standins'
import { createWriteStream } from 'node:fs'
import { once } from 'node:events'

/** Writes listings of the far market as the CSV of a market's export, in parts, so that a million are never held at once. */
export async function writeFarCsv(path: string, size: number): Promise<void> {
  const market = new FarMarket({ size, stores: 400 })
  const out = createWriteStream(path)
  const head = 'Item ID,Title,Seller,Category,Kind,EAN,Price (EUR),Postage,Units sold last 30 days,Total sold,Rating,Reviews,Date listed,Tags'
  const cell = (v: string | number | null) => (typeof v === 'string' && /[",]/.test(v) ? `"${v}"` : (v ?? ''))
  let part = head
  for (let k = 0; k < size; k++) {
    const l = market.listing(k)
    const cells = [l.id, l.title, l.store, l.category, l.kind, l.gtin, l.price.toFixed(2), l.delivery.toFixed(2), l.units30, l.unitsTotal, l.rating, l.reviews, l.listedOn, l.tags.join(', ')]
    part += `\r\n${cells.map(cell).join(',')}`
    if (part.length < 4e6) continue
    if (!out.write(part)) await once(out, 'drain')
    part = ''
  }
  out.end(`${part}\r\n`)
  await once(out, 'finish')
} // prettier-ignore
