import type { ItemMaker, WorkOptions } from '@sickle/core/catalog'
import type { OwnItems } from '@sickle/core/engine'
import { isSameGoods, mergeOwn, OwnMatcher, type OwnGoods, type OwnMatch, type OwnWay } from '@sickle/core/own'
import { Problem } from '@sickle/core/problem'
import type { CallContext } from './channel'
import type { ItemEngine } from './item-engine'
import { pauseEvery } from './pause'
import { readOnce } from './read-once'
import { capturesOf } from './records-at-rest'
import { seldom } from './seldom'

/** What of the gathered items is mine, by their keys, as screens mark them. */
export interface MineSummary {
  /** goods in my catalogues, and how many of them something gathered is */
  goods: number
  met: number
  /** key of an item → how it is known, and what I call it */
  items: Map<string, { way: OwnWay; title: string }>
}

type Matches = Map<number, OwnMatch>
/** told of the share that is done, 0–1 */
type Tell = (done: number) => void

/** The seller's own goods, and which items they are. Worked out when they are first asked for. */
export interface OwnSource {
  goods: () => Promise<readonly OwnGoods[]>
  /**
   * @param tell told in place of whoever asked before
   * @throws Problem `cancelled` where it is stopped while it is awaited
   */
  matches: (tell?: Tell) => Promise<Matches>
  /** the same for queries: null where no catalogue is known */
  items: () => Promise<OwnItems>
  forget: () => void
  /** Ends a comparison that goes on, for all who await it; who asks later begins it anew. */
  stop: () => void
}

/** how often a long comparison lets others in and tells how far it is, ms */
const turnMs = 40

export function ownSource(engine: () => ItemEngine): OwnSource {
  const catalogues = readOnce(() => capturesOf('catalogue'))
  let of: ItemMaker | null = null
  let isOf = new AbortController()
  let told: Tell = () => undefined
  let stops = 0
  const goods = readOnce(async () => mergeOwn(await catalogues.get(), (await engine().maker).rules))
  const found = readOnce(async () => {
    const { signal } = isOf
    const mine = await goods.get()
    const onProgress = seldom(turnMs, (done: number) => told(done))
    return matched(mine, await engine().maker, { signal, onProgress, pause: pauseEvery(turnMs) })
  })
  /** other rules, other prices of mine; other items, other places */
  async function renewed(): Promise<void> {
    const maker = await engine().maker
    if (maker === of) return
    of = maker
    forget()
  }
  function forget(): void {
    for (const part of [goods, found]) part.forget()
    isOf.abort()
    isOf = new AbortController()
  }
  async function matches(tell?: Tell): Promise<Matches> {
    if (tell) told = tell
    const before = stops
    for (;;) {
      await renewed()
      const { signal } = isOf
      const got = await found.get().catch((thrown: unknown) => {
        if (!signal.aborted) throw thrown
        return null
      })
      if (stops > before) throw new Problem('cancelled')
      // what was gathered may have become another meanwhile: that is what is asked for now
      await renewed()
      if (got && !signal.aborted) return got
    }
  }
  return {
    goods: () => renewed().then(goods.get),
    matches,
    async items() {
      const known = await matches()
      return (await goods.get()).length === 0 ? null : known
    },
    forget() {
      catalogues.forget()
      forget()
    },
    stop() {
      stops++
      forget()
    },
  }
}

async function matched(mine: readonly OwnGoods[], maker: ItemMaker, work: WorkOptions): Promise<Matches> {
  if (mine.length === 0) return new Map()
  const index = mine.some((o) => o.listing !== null) ? maker.index() : null
  return new OwnMatcher(mine, maker.catalog).matchesInTurn(index, work)
}

/** What screens ask of my own goods. */
export function ownMethods(engine: () => ItemEngine, own: OwnSource) {
  return {
    /** Cancelled, the comparison is stopped for whoever else awaits it too. */
    async mine({ progress, signal }: CallContext): Promise<MineSummary> {
      signal.addEventListener('abort', own.stop)
      const [matches, goods, maker] = [await own.matches(progress), await own.goods(), await engine().maker]
      const items = new Map(
        [...matches].map(([item, { own: at, way }]) => [maker.keyAt(item), { way, title: goods[at]?.title ?? '' }]),
      )
      const met = new Set([...matches.values()].flatMap((m) => (isSameGoods(m.way) ? [m.own] : []))).size
      return { goods: goods.length, met, items }
    },
  }
}
