import type { ColumnProfile } from './column-profile'

/** Places of three columns, one of which is the product of the other two in nearly every row. */
export interface Sum {
  /** the factor that has cents, or else the larger */
  price: number
  /** the factor in whole figures */
  units: number
  product: number
}

const most = 24
const tolerance = 0.012

/** Finds columns that are price × units of two others: figures that agree by rows say what headings do not. */
export function sumsBetween(profiles: readonly ColumnProfile[]): Sum[] {
  const numeric = profiles.flatMap((p, i) =>
    p.numeric > 0.9 && p.filled >= 5 && p.percentSign === 0 && p.max < 1e8 ? [i] : [],
  )
  const places = numeric.slice(0, most)
  const found: Sum[] = []
  for (const [n, a] of places.entries())
    for (const b of places.slice(n + 1))
      for (const product of places) {
        if (product === a || product === b) continue
        const [x, y, z] = [profiles[a], profiles[b], profiles[product]].map((p) => p?.figures ?? new Float64Array(0))
        if (!x || !y || !z || !isProduct(x, y, z)) continue
        const [p, q] = [profiles[a] as ColumnProfile, profiles[b] as ColumnProfile]
        const aIsPrice = p.whole !== q.whole ? p.whole < q.whole : p.median >= q.median
        found.push(aIsPrice ? { price: a, units: b, product } : { price: b, units: a, product })
      }
  return found
}

function isProduct(x: Float64Array, y: Float64Array, z: Float64Array): boolean {
  let [right, wrong, telling] = [0, 0, 0]
  for (let i = 0; i < z.length; i++) {
    const [a, b, c] = [x[i] as number, y[i] as number, z[i] as number]
    if (Number.isNaN(a + b + c)) continue
    if (Math.abs(a * b - c) <= tolerance * Math.max(1, Math.abs(c))) right++
    else if (++wrong > 3 && wrong > right * 0.1) return false
    if (a !== 0 && b !== 0 && a !== 1 && b !== 1 && a * b !== a) telling++
  }
  return right >= 5 && telling >= 4 && wrong <= right * 0.1
}

/** Places of two columns of amounts of which one is always well below the other and goes with it: what a thing costs, and what it is sold for. */
export function costsBelow(profiles: readonly ColumnProfile[]): { price: number; cost: number } | null {
  const amounts = profiles.flatMap((p, i) => (p.numeric > 0.9 && p.filled >= 6 && p.cents > 0.5 ? [i] : []))
  const [a, b] = amounts
  if (a === undefined || b === undefined || amounts.length !== 2) return null
  const ratios = pairs(profiles[a] as ColumnProfile, profiles[b] as ColumnProfile)
  if (ratios.length < 6) return null
  const within = (test: (v: number) => boolean) => ratios.filter(test).length / ratios.length > 0.95
  if (within((v) => v > 0.05 && v < 0.95)) return { price: a, cost: b }
  return within((v) => v > 1.05 && v < 20) ? { price: b, cost: a } : null
}

function pairs({ figures: x }: ColumnProfile, { figures: y }: ColumnProfile): number[] {
  return [...x].flatMap((v, i) => (v > 0 && (y[i] as number) > 0 ? [(y[i] as number) / v] : []))
}
