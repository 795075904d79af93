import type { Item, ItemMaker } from '@sickle/core/catalog'
import {
  askCreators,
  creatorKey,
  creatorsOf,
  fitting,
  type About,
  type Clip,
  type Creator,
  type CreatorQuery,
  type FittingCreator,
  type WantedGoods,
} from '@sickle/core/social'
import { textAt, textColumn } from '@sickle/core/tables'
import type { CallContext } from './channel'
import type { LensMarkets, Through } from './lens-engines'

/** Creators that pass, of how many, and the branches that they can be chosen by. */
export interface CreatorsAnswer {
  rows: FittingCreator[]
  found: number
  of: number
  branches: string[]
}

/** What one creator showed, most sold first. */
export interface CreatorLook {
  creator: Creator
  clips: { clip: Clip; item: { key: string; title: string } | null }[]
}

/** clips that are told of one creator */
const mostClips = 12

interface Known {
  of: ItemMaker
  lens: string
  clips: readonly Clip[]
  about: About[]
  creators: Creator[]
}

/** What is asked of creators. @param clipsOn clips that count through a lens */
export function creatorMethods(through: Through, clipsOn: (lens: LensMarkets) => Promise<readonly Clip[]>) {
  let last: Known | null = null
  async function known(lens: LensMarkets): Promise<Known> {
    const maker = await (await through()).maker
    const name = JSON.stringify(lens)
    if (last?.of === maker && last.lens === name) return last
    const clips = await clipsOn(lens)
    const about = aboutOf(clips, maker)
    last = { of: maker, lens: name, clips, about, creators: creatorsOf(clips, about) }
    return last
  }
  return {
    methods: {
      /** Creators that pass, in their order. @param goods keys of what they are to show; none asks for no fit */
      async creators(
        _: CallContext,
        query: CreatorQuery,
        goods: string[],
        lens: string[],
        most: number,
      ): Promise<CreatorsAnswer> {
        const { of: maker, clips, about, creators } = await known(lens)
        const all = fitting(creators, clips, about, goods.length === 0 ? null : wantedOf(goods, maker))
        const found = askCreators(all, query)
        const branches = new Set(creators.flatMap((c) => c.branches.map((b) => b.path.split(' / ')[0] ?? b.path)))
        return { rows: found.slice(0, most), found: found.length, of: all.length, branches: [...branches].sort() }
      },

      /** What one creator showed; null where no clip of hers counts. */
      async creator(_: CallContext, market: string, name: string, lens: string[]): Promise<CreatorLook | null> {
        const { of: maker, clips, about, creators } = await known(lens)
        const creator = creators.find((c) => c.key === creatorKey(market, name))
        if (!creator) return null
        const hers = [...clips.keys()].filter((i) => clips[i]?.market === market && clips[i]?.creator === name)
        const best = hers.sort((a, b) => (clips[b]?.units ?? -1) - (clips[a]?.units ?? -1)).slice(0, mostClips)
        return {
          creator,
          clips: best.map((i) => {
            const item = about[i]?.item ?? null
            return {
              clip: clips[i] as Clip,
              item: item === null ? null : { key: maker.keyAt(item), title: maker.titleAt(item) },
            }
          }),
        }
      },
    },
    forget: () => void (last = null),
  }
}

function aboutOf(clips: readonly Clip[], maker: ItemMaker): About[] {
  const category = textColumn(maker.catalog.listings, 'category')
  const { starts, members } = maker.catalog
  const categoryOf = (item: number) => {
    for (let m = starts[item] as number; m < (starts[item + 1] as number); m++) {
      const named = textAt(category, members[m] as number)
      if (named !== null) return named
    }
    return null
  }
  return clips.map(({ listing }) => {
    const item = listing === null ? null : maker.find(listing)
    return item === null ? null : { item, category: categoryOf(item) }
  })
}

function wantedOf(keys: readonly string[], maker: ItemMaker): WantedGoods {
  const items = keys.flatMap((key) => maker.find(key) ?? [])
  const made = items.map((at): Item => maker.at(at, false))
  return { items: new Set(items), categories: new Set(made.flatMap((i) => i.category ?? [])) }
}
