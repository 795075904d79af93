import { FarMarket } from '@sickle/standins'
import { existsSync, createWriteStream } from 'node:fs'
import { once } from 'node:events'
import { fileURLToPath } from 'node:url'

const folder = fileURLToPath(new URL('.', import.meta.url))
const headings =
  'Item ID,Title,Seller,Seller since,Category,Kind,EAN,Price (EUR),Units sold last 30 days,Total sold,Rating,Date listed'
const cell = (v: string | number | null) => (typeof v === 'string' && /[",]/.test(v) ? `"${v}"` : String(v ?? ''))

/** One store of 50,000 listings, twenty of 5,000, and nearly 20,000 of the rest. */
export const bigStore = 'Great Barn'
const [bigSize, poolStores, poolSize, otherStores] = [50_000, 20, 5000, 19_979]
export const poolStore = (i: number) => `Pool Barn ${i + 1}`

function storeOf(k: number): string {
  if (k < bigSize) return bigStore
  if (k < bigSize + poolStores * poolSize) return poolStore((k - bigSize) % poolStores)
  return `Small Barn ${(k * 7919) % otherStores}`
}

/** Stores are as old as their name says. */
function sinceOf(store: string): string {
  const at = [...store].reduce((sum, c) => (sum * 31 + c.charCodeAt(0)) % 2400, 7)
  return new Date(Date.UTC(2026, 4, 31) - (60 + at) * 86_400_000).toISOString().slice(0, 10)
}

/** A million listings of the far market in 20,000 stores, as one CSV, written once. */
export async function rivalFile(size: number): Promise<string> {
  const path = `${folder}rivals-${size}.csv`
  if (existsSync(path)) return path
  const market = new FarMarket({ size, stores: 1 })
  const out = createWriteStream(path)
  let part = headings
  for (let k = 0; k < size; k++) {
    const l = market.listing((k * 104_729) % size)
    const store = storeOf(k)
    part += `\r\n${[l.id, l.title, store, sinceOf(store), l.category, l.kind, l.gtin, l.price.toFixed(2), l.units30, l.unitsTotal, l.rating, l.listedOn].map(cell).join(',')}`
    if (part.length < 4e6) continue
    if (!out.write(part)) await once(out, 'drain')
    part = ''
  }
  out.end(`${part}\r\n`)
  await once(out, 'finish')
  return path
}

/** So many things of the same market that are mine: every other one by its barcode, the rest by their words alone. */
export function ownCsv(size: number, count: number): string {
  const market = new FarMarket({ size, stores: 1 })
  const rows = Array.from({ length: count }, (_, i) => {
    const l = market.listing(Math.floor((i * size) / count))
    return [`OWN-${i}`, l.title, i % 2 === 0 ? l.gtin : null, l.price.toFixed(2), (l.price / 3).toFixed(2), i % 60]
      .map(cell)
      .join(',')
  })
  return `${['Our ref,Description,EAN,Our price (EUR),Unit cost,In hand', ...rows].join('\r\n')}\r\n`
}
