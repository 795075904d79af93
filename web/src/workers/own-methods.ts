import type { ItemMaker } from '@sickle/core/catalog'
import type { OwnItems } from '@sickle/core/engine'
import { isSameGoods, mergeOwn, OwnMatcher, type OwnGoods, type OwnMatch, type OwnWay } from '@sickle/core/own'
import type { CallContext } from './channel'
import type { ItemEngine } from './item-engine'
import { readOnce } from './read-once'
import { capturesOf } from './records-at-rest'

/** What of the gathered items is mine, by their keys, as screens mark them. */
export interface MineSummary {
  /** goods in my catalogues, and how many of them something gathered is */
  goods: number
  met: number
  /** key of an item → how it is known, and what I call it */
  items: Map<string, { way: OwnWay; title: string }>
}

/** The seller's own goods, and which items they are. Worked out when they are first asked for. */
export interface OwnSource {
  goods: () => Promise<readonly OwnGoods[]>
  matches: () => Promise<Map<number, OwnMatch>>
  /** the same for queries: null where no catalogue is known */
  items: () => Promise<OwnItems>
  forget: () => void
}

export function ownSource(engine: () => ItemEngine): OwnSource {
  const catalogues = readOnce(() => capturesOf('catalogue'))
  let of: ItemMaker | null = null
  const goods = readOnce(async () => mergeOwn(await catalogues.get(), (await engine().maker).rules))
  const found = readOnce(async () => {
    const maker = await engine().maker
    const mine = await goods.get()
    if (mine.length === 0) return new Map<number, OwnMatch>()
    const index = mine.some((o) => o.listing !== null) ? maker.index() : null
    return new OwnMatcher(mine, maker.catalog).matches(null, index)
  })
  /** other rules, other prices of mine; other items, other places */
  async function renewed(): Promise<void> {
    const maker = await engine().maker
    if (maker !== of) {
      goods.forget()
      found.forget()
    }
    of = maker
  }
  const matches = async () => {
    await renewed()
    return found.get()
  }
  return {
    goods: async () => {
      await renewed()
      return goods.get()
    },
    matches,
    items: async () => ((await goods.get()).length === 0 ? null : matches()),
    forget() {
      for (const part of [catalogues, goods, found]) part.forget()
    },
  }
}

/** What screens ask of my own goods. */
export function ownMethods(engine: () => ItemEngine, own: OwnSource) {
  return {
    async mine(_: CallContext): Promise<MineSummary> {
      const [goods, matches, maker] = [await own.goods(), await own.matches(), await engine().maker]
      const items = new Map(
        [...matches].map(([item, { own: at, way }]) => [maker.keyAt(item), { way, title: goods[at]?.title ?? '' }]),
      )
      const met = new Set([...matches.values()].flatMap((m) => (isSameGoods(m.way) ? [m.own] : []))).size
      return { goods: goods.length, met, items }
    },
  }
}
