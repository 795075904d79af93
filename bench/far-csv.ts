import { FarMarket } from '@sickle/standins'
import { createWriteStream } from 'node:fs'
import { once } from 'node:events'

const headings =
  'Item ID,Title,Seller,Category,Kind,EAN,Price (EUR),Postage,Units sold last 30 days,Total sold,Rating,Reviews,Date listed,Tags'

const cell = (v: string | number | null) => (typeof v === 'string' && /[",]/.test(v) ? `"${v}"` : String(v ?? ''))

function row(market: FarMarket, k: number): string {
  const l = market.listing(k)
  const goods = [l.id, l.title, l.store, l.category, l.kind, l.gtin, l.price.toFixed(2), l.delivery.toFixed(2)]
  const sold = [l.units30, l.unitsTotal, l.rating, l.reviews, l.listedOn, l.tags.join(', ')]
  return [...goods, ...sold].map(cell).join(',')
}

/** Listings of the far market, from one place up to another, as the CSV of a market's export. */
export function farCsv(market: FarMarket, from: number, to: number): string {
  const rows = Array.from({ length: to - from }, (_, i) => row(market, from + i))
  return `${[headings, ...rows].join('\r\n')}\r\n`
}

/** Writes them in parts, so that a million are never held at once. */
export async function writeFarCsv(path: string, size: number): Promise<void> {
  const market = new FarMarket({ size, stores: 400 })
  const out = createWriteStream(path)
  let part = headings
  for (let k = 0; k < size; k++) {
    part += `\r\n${row(market, k)}`
    if (part.length < 4e6) continue
    if (!out.write(part)) await once(out, 'drain')
    part = ''
  }
  out.end(`${part}\r\n`)
  await once(out, 'finish')
}
