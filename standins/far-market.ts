import { gtinCheckDigit } from '@sickle/core/identity'
import { archetypes } from './archetypes'
import { allVariants } from './goods'
import { rangeName, storeNames } from './names'
import { chance } from './random'
import { sloppyTitle } from './titles'
import type { Variant } from './things'

/** A listing as the far market tells of it on the day it is asked. */
export interface FarListing {
  id: string
  title: string
  store: string
  category: string
  kind: string
  gtin: string
  /** in the market's currency, EUR */
  price: number
  delivery: number
  units30: number
  unitsTotal: number
  /** place among what sells on its market, as the market blurs it */
  rank: number
  rating: number | null
  reviews: number
  /** ISO day */
  listedOn: string
  tags: string[]
  /** what it is truly: the number of the goods */
  goods: number
}

export interface FarMarketSize {
  /** listings, up to 1,000,000 */
  size?: number
  stores?: number
  seed?: number
  /** how often it has been looked at before: from one look to the next some listings go, some come, prices and sales move */
  round?: number
}

export const perGoods = 4
/** Coprime to every size, so that a store's listings lie all over the market: see `#order`. */
const stride = 7_368_787
const day = 86_400_000
const lastDay = Date.UTC(2026, 4, 31)

/**
 * A market of any size that is never in memory: listing number k is worked out from k alone, and so are the numbers of the
 * listings of one store, one sort of goods or one category. The same size, seed and round give the same market.
 */
export class FarMarket {
  readonly name = 'Farholt'
  readonly currency = 'EUR'
  readonly size: number
  readonly stores: readonly string[]
  readonly #seed: number
  readonly #round: number
  readonly #variants: Variant[][]

  constructor({ size = 50_000, stores = 40, seed = 1, round = 0 }: FarMarketSize = {}) {
    this.size = size
    this.#seed = seed
    this.#round = round
    this.stores = storeNames(stores, chance(seed))
    this.#variants = archetypes.map((a) => allVariants(a))
  }

  /** Words that goods are looked for by, and how many listings each has. */
  get terms(): { term: string; listings: number }[] {
    return archetypes.map((a, at) => ({ term: a.noun, listings: this.#countOfSort(at) }))
  }

  /** Numbers of a store's listings; [] for a store that is not here. */
  ofStore(store: string): number[] {
    const at = this.stores.indexOf(store)
    if (at < 0) return []
    const list: number[] = []
    for (let i = at; i < this.size; i += this.stores.length) list.push(i)
    return list.map((i) => this.#scatter(i)).filter((k) => this.#isThere(k))
  }

  ofTerm(term: string): number[] {
    const words = term.toLowerCase().split(/\s+/)
    return this.#ofSorts((a) => words.every((w) => [a.noun, ...a.also].join(' ').toLowerCase().includes(w)))
  }

  ofCategory(category: string): number[] {
    return this.#ofSorts(({ category: c }) => `${pathOf(c)} / `.startsWith(`${category} / `))
  }

  /** The number behind an identifier; null where no listing has it. */
  numberOf(id: string): number | null {
    const k = /^F\d{7}$/.test(id) ? Number(id.slice(1)) : this.size
    return k < this.size && this.#isThere(k) ? k : null
  }

  listing(k: number): FarListing {
    const goods = Math.floor(k / perGoods)
    const truth = chance(this.#seed * 7919 + goods)
    const sort = goods % archetypes.length
    const archetype = archetypes[sort] as (typeof archetypes)[number]
    const own = Math.floor(goods / archetypes.length)
    const variants = this.#variants[sort] as Variant[]
    const variant = variants[own % variants.length] as Variant
    const range = rangeName(Math.floor(own / variants.length))
    const usual = archetype.price * variant.pack ** 0.9 * Math.exp(0.15 * truth.normal())
    const demand = Math.exp(1 + 1.3 * truth.normal())

    const random = chance(this.#seed * 104_729 + k)
    const title = `${sloppyTitle(variant, random)} ${range}`
    const age = random.whole(20, 1400)
    const units30 = random.happens(0.25) ? 0 : random.poisson(demand)
    const unitsTotal = units30 + Math.round((demand * age) / 40)
    const price = usual * Math.exp(0.08 * random.normal())
    const body = `29${String(3_000_000_000 + goods).slice(-10)}`
    return {
      id: `F${String(k).padStart(7, '0')}`,
      title,
      store: this.stores[this.#place(k) % this.stores.length] as string,
      category: pathOf(archetype.category),
      kind: archetype.kind,
      gtin: body + String(gtinCheckDigit(body)),
      price: Math.round(price * this.#moved(k, 0.06) * 100) / 100,
      delivery: archetype.kind === 'digital' ? 0 : random.pick([0, 0, 2.95, 3.5]),
      units30: Math.round(units30 * this.#moved(k + 0.5, 0.3)),
      unitsTotal,
      rank: Math.max(1, Math.round((this.size * (0.7 + 0.6 * truth.next())) / (1 + units30) ** 1.3)),
      rating: random.happens(0.1) ? null : Math.min(5, Math.round((4.3 + 0.5 * random.normal()) * 10) / 10),
      reviews: Math.round(unitsTotal * random.between(0.05, 0.3)),
      listedOn: new Date(lastDay - age * day).toISOString().slice(0, 10),
      tags: [archetype.noun, ...archetype.also].slice(0, random.whole(1, 4)),
      goods,
    }
  }

  /** From one look to the next one in fifty goes and as many come back. */
  #isThere(k: number): boolean {
    return chance(this.#seed * 31 + k * 2_654_435 + this.#round).next() >= 0.02
  }

  /** A factor that moves away from 1 with one look in ten; the first look has it at 1. */
  #moved(k: number, spread: number): number {
    let factor = 1
    for (let r = 1; r <= this.#round; r++) {
      const random = chance(Math.round(k * 2_246_822) + r * 3_266_489)
      if (random.happens(0.1)) factor *= Math.exp(spread * random.normal())
    }
    return factor
  }

  #ofSorts(wanted: (a: (typeof archetypes)[number]) => boolean): number[] {
    const sorts = new Set(archetypes.flatMap((a, at) => (wanted(a) ? [at] : [])))
    const list: number[] = []
    for (let k = 0; k < this.size; k++)
      if (sorts.has(Math.floor(k / perGoods) % archetypes.length) && this.#isThere(k)) list.push(k)
    return list
  }

  #countOfSort(sort: number): number {
    const goods = Math.ceil(this.size / perGoods)
    return Math.floor((goods - sort + archetypes.length - 1) / archetypes.length) * perGoods
  }

  /** Place i of the market's order holds listing number scatter(i); place(k) is the way back. */
  #scatter(i: number): number {
    return Number((BigInt(i) * BigInt(stride)) % BigInt(this.size))
  }

  #place(k: number): number {
    this.#back ??= inverse(BigInt(stride), BigInt(this.size))
    return Number((BigInt(k) * this.#back) % BigInt(this.size))
  }

  #back: bigint | null = null
}

/** a⁻¹ mod n by Euclid's extended algorithm. @throws RangeError where a and n share a factor */
function inverse(a: bigint, n: bigint): bigint {
  let [r, s, old, oldS] = [n, 0n, a % n, 1n]
  while (r !== 0n) {
    const q = old / r
    ;[old, r] = [r, old - q * r]
    ;[oldS, s] = [s, oldS - q * s]
  }
  if (old !== 1n && n !== 1n) throw new RangeError(`${a} and ${n} share a factor`)
  return ((oldS % n) + n) % n
}

/** A category as markets write its path. */
function pathOf(category: string): string {
  return category.split('/').join(' / ')
}
