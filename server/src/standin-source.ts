import type { Request, Response } from 'express'
import { FarLists, FarMarket, type FarListing, type FarListName } from '@sickle/standins'
import { isListName, lists, mostPerPage, type ListName } from '@sickle/core/scan'
import { readKnobs, usualKnobs, type StandinKnobs } from './knobs'

export interface StandinDeps {
  now: () => number
  random: () => number
  sleep: (ms: number) => Promise<void>
}

/** A source that keeps to the connector contract and tells of the far market, as well or as badly as it is told to. */
export class StandinSource {
  #knobs: StandinKnobs
  /** by look: what is asked for with `asOf` is answered as it was then */
  #markets = new Map<string, FarMarket>()
  #lists = new Map<string, number[]>()
  #asked: number[] = []
  readonly #deps: StandinDeps

  constructor(knobs: Partial<StandinKnobs>, deps: StandinDeps) {
    this.#deps = deps
    this.#knobs = { ...usualKnobs, ...knobs }
  }

  get knobs(): StandinKnobs {
    return this.#knobs
  }

  /** @throws RangeError naming the knob that is out of bounds */
  turn(some: unknown): void {
    this.#knobs = { ...this.#knobs, ...readKnobs(some) }
  }

  /** Answers one call of the contract. */
  async answer(path: string, query: Record<string, string>, req: Request, res: Response): Promise<void> {
    await this.#deps.sleep(this.#knobs.latencyMs)
    if (this.#tooMany()) return void res.status(429).set('Retry-After', '1').json({ reason: 'too many requests' })
    if (path !== 'about' && this.#deps.random() < this.#knobs.faultShare) return this.#goWrong(req, res)
    if (path === 'about') return void res.json(this.#about())
    if (path.startsWith('items/')) return this.#item(decodeURIComponent(path.slice(6)), res)
    if (isListName(path)) return this.#list(path, query, res)
    res.status(404).json({ reason: 'there is no such list' })
  }

  #about() {
    const market = this.#marketOf('')
    const categories = [
      ...new Set(Array.from({ length: Math.min(market.size, 2000) }, (_, k) => market.listing(k).category)),
    ]
    return {
      name: market.name,
      currency: market.currency,
      lists: Object.keys(lists),
      stores: market.stores.slice(0, 100),
      terms: market.terms.map((t) => t.term),
      categories: categories.sort(),
    }
  }

  #list(list: ListName, query: Record<string, string>, res: Response): void {
    const [page, limit] = [Number(query.page ?? 0), Number(query.limit ?? 200)]
    if (!Number.isInteger(page) || page < 0 || !Number.isInteger(limit) || limit < 1 || limit > mostPerPage)
      return void res.status(400).json({ reason: `page must be 0 or more, limit from 1 to ${mostPerPage}` })
    const asOf = this.#look(query.asOf)
    const market = this.#marketOf(asOf)
    const numbers = this.#numbers(list, market, asOf, query)
    if (!numbers) return void res.status(400).json({ reason: 'say store, term, category or ids' })
    const record = recorder(list, market)
    const records = numbers.slice(page * limit, (page + 1) * limit).map(record)
    res.json({ total: numbers.length, asOf, capturedOn: '2026-05-31', windowDays: 30, records })
  }

  /** The look that is asked for where it is one of this market, else the one of now. */
  #look(asOf = ''): string {
    const { size, stores, round } = this.#knobs
    const [, atRound] = /^(?:\d+)-(?:\d+)-(\d{1,4})$/.exec(asOf) ?? []
    return `${size}-${stores}-${atRound === undefined ? round : Math.min(round, Number(atRound))}`
  }

  #marketOf(asOf: string): FarMarket {
    const look = this.#look(asOf)
    let market = this.#markets.get(look)
    if (!market) {
      if (this.#markets.size > 5) this.#markets.clear()
      market = new FarMarket({ ...this.#knobs, round: Number(look.split('-')[2]) })
      this.#markets.set(look, market)
    }
    return market
  }

  #numbers(list: ListName, market: FarMarket, asOf: string, query: Record<string, string>): number[] | null {
    const { store, term, category, ids } = query
    const key = JSON.stringify([list, asOf, store, term, category, ids])
    const known = this.#lists.get(key)
    if (known) return known
    const listings = listingsOf(market, query)
    const made = listings && list !== 'listings' ? new FarLists(market).of(list, listings) : listings
    if (made) {
      if (this.#lists.size > 50) this.#lists.clear()
      this.#lists.set(key, made)
    }
    return made
  }

  #item(id: string, res: Response): void {
    const market = this.#marketOf('')
    const k = market.numberOf(id)
    if (k === null) return void res.status(404).json({ reason: 'there is no such item' })
    const more = new FarLists(market)
    res.json({ listing: recordOf(market.listing(k), market), offers: more.competing(k), history: more.history(k) })
  }

  #tooMany(): boolean {
    const now = this.#deps.now()
    this.#asked = this.#asked.filter((t) => t > now - 1000)
    if (this.#asked.length >= this.#knobs.perSecond) return true
    this.#asked.push(now)
    return false
  }

  /** The ways in which services fail in passing. */
  #goWrong(req: Request, res: Response): void {
    const ways = [
      () => res.status(500).json({ reason: 'something broke' }),
      () => res.status(503).set('Retry-After', '1').json({ reason: 'busy' }),
      () => res.status(200).type('json').send('{"total": 3, "records": [{"id":'),
      () => req.socket.destroy(),
    ]
    ways[Math.floor(this.#deps.random() * ways.length)]?.()
  }
}

function recordOf({ units30, goods: _, ...l }: FarListing, market: FarMarket) {
  return { market: market.name, currency: market.currency, ...l, units: units30 }
}

function listingsOf(market: FarMarket, { store, term, category, ids }: Record<string, string>): number[] | null {
  if (store !== undefined) return market.ofStore(store)
  if (term !== undefined) return market.ofTerm(term)
  if (category !== undefined) return market.ofCategory(category)
  return ids === undefined ? null : ids.split(',').flatMap((id) => market.numberOf(id) ?? [])
}

function recorder(list: ListName, market: FarMarket): (n: number) => object {
  if (list === 'listings') return (k) => recordOf(market.listing(k), market)
  const more = new FarLists(market)
  return (n) => more.record(list satisfies FarListName, n)
}
