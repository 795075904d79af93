import type { FigureFormat } from '../records'
import type { Clip } from './clip'

/** One who shows goods, by all clips and lives of hers that are gathered. Money in E4 of the home currency; null where nothing says. */
export interface Creator {
  /** 'Loopreel/@tern' */
  key: string
  market: string
  name: string
  clips: number
  lives: number
  views: number | null
  units: number | null
  revenueE4: number | null
  /** sales of the middle one of her clips that say so, and their mean */
  middleE4: number | null
  meanE4: number | null
  /** of those that say what they sold, the share that sold nothing */
  nothingRatio: number | null
  /** of those that say so, the share whose reach was paid for */
  paidRatio: number | null
  /** days since 1970 of the first and the last one */
  firstDay: number | null
  lastDay: number | null
  /** different things that she showed */
  items: number
  /** branches of what she showed by units sold, most first */
  branches: { path: string; units: number }[]
  /** commission that her clips name, in the mean */
  commission: number | null
}

/** What a clip is about: place and category of its item; null where that is not gathered. */
export type About = { item: number; category: string | null } | null

/** branches that are told of a creator */
const mostBranches = 3

export const creatorKey = (market: string, name: string) => `${market}/${name}`

/** All creators of some clips, those first that sold most. @param about what each clip shows, in the order of the clips */
export function creatorsOf(clips: readonly Clip[], about: readonly About[]): Creator[] {
  const by = new Map<string, number[]>()
  clips.forEach(({ market, creator }, i) => {
    const key = creatorKey(market, creator)
    const its = by.get(key)
    if (its) its.push(i)
    else by.set(key, [i])
  })
  return [...by]
    .map(([key, places]) =>
      creatorOf(
        key,
        places.map((i) => clips[i] as Clip),
        places.map((i) => about[i] ?? null),
      ),
    )
    .sort((a, b) => (b.units ?? -1) - (a.units ?? -1) || (a.key < b.key ? -1 : 1))
}

function creatorOf(key: string, clips: readonly Clip[], about: readonly About[]): Creator {
  const { market, creator: name } = clips[0] as Clip
  const of = (figure: (clip: Clip) => number | null) => clips.flatMap((c) => figure(c) ?? [])
  const sum = (values: readonly number[]) => (values.length === 0 ? null : values.reduce((a, b) => a + b, 0))
  const mean = (values: readonly number[]) => (values.length === 0 ? null : (sum(values) as number) / values.length)
  const [units, revenue, days] = [of((c) => c.units), of((c) => c.revenueE4), of((c) => c.day)]
  const paid = clips.flatMap((c) => (c.isPaid === null ? [] : Number(c.isPaid)))
  return {
    key,
    market,
    name,
    clips: clips.filter((c) => !c.isLive).length,
    lives: clips.filter((c) => c.isLive).length,
    views: sum(of((c) => c.views)),
    units: sum(units),
    revenueE4: sum(revenue),
    middleE4: middle(revenue),
    meanE4: mean(revenue),
    nothingRatio: units.length === 0 ? null : units.filter((u) => u === 0).length / units.length,
    paidRatio: mean(paid),
    firstDay: days.length === 0 ? null : Math.min(...days),
    lastDay: days.length === 0 ? null : Math.max(...days),
    items: new Set(about.flatMap((a) => a?.item ?? [])).size,
    branches: branchesOf(clips, about),
    commission: mean(of((c) => c.commission)),
  }
}

function middle(values: readonly number[]): number | null {
  if (values.length === 0) return null
  const sorted = [...values].sort((a, b) => a - b)
  const half = sorted.length >> 1
  const high = sorted[half] as number
  return sorted.length % 2 === 1 ? high : ((sorted[half - 1] as number) + high) / 2
}

function branchesOf(clips: readonly Clip[], about: readonly About[]): Creator['branches'] {
  const units = new Map<string, number>()
  clips.forEach((clip, i) => {
    const category = about[i]?.category ?? null
    if (category !== null) units.set(category, (units.get(category) ?? 0) + (clip.units ?? 0))
  })
  return [...units]
    .map(([path, sold]) => ({ path, units: sold }))
    .sort((a, b) => b.units - a.units || (a.path < b.path ? -1 : 1))
    .slice(0, mostBranches)
}

export const creatorFigureNames = ['clips', 'lives', 'views', 'units', 'revenue', 'mean', 'middle', 'nothing', 'paid', 'items', 'last', 'span', 'fit'] as const // prettier-ignore
export type CreatorFigure = (typeof creatorFigureNames)[number]

interface CreatorMeasure {
  label: string
  format: FigureFormat
  /** money in major units @param today day of the newest clip of all */
  of: (creator: FittingCreator, today: number) => number | null
}

const major = (e4: number | null) => (e4 === null ? null : e4 / 10_000)

/** By what creators are sorted and limited. */
export const creatorFigures: Record<CreatorFigure, CreatorMeasure> = {
  clips: { label: 'Clips', format: 'count', of: (c) => c.clips },
  lives: { label: 'Lives', format: 'count', of: (c) => c.lives },
  views: { label: 'Views', format: 'count', of: (c) => c.views },
  units: { label: 'Units', format: 'count', of: (c) => c.units },
  revenue: { label: 'Sales', format: 'money', of: (c) => major(c.revenueE4) },
  mean: { label: 'Sales a clip', format: 'money', of: (c) => major(c.meanE4) },
  middle: { label: 'Middle clip', format: 'money', of: (c) => major(c.middleE4) },
  nothing: { label: 'Sold nothing', format: 'percent', of: (c) => c.nothingRatio },
  paid: { label: 'Paid reach', format: 'percent', of: (c) => c.paidRatio },
  items: { label: 'Things shown', format: 'count', of: (c) => c.items },
  last: {
    label: 'Days since the last',
    format: 'count',
    of: (c, today) => (c.lastDay === null ? null : today - c.lastDay),
  },
  span: {
    label: 'Days at it',
    format: 'count',
    of: (c) => (c.firstDay === null || c.lastDay === null ? null : c.lastDay - c.firstDay + 1),
  },
  fit: { label: 'Units like mine', format: 'count', of: (c) => c.fitUnits },
}

/** A creator as she fits some goods. */
export type FittingCreator = Creator & {
  /** units that she sold of things in the goods' own categories; null where no goods are given */
  fitUnits: number | null
  /** how many of the goods she shows already */
  shows: number
}

/** What somebody wants to have shown: its items and their categories. */
export interface WantedGoods {
  items: ReadonlySet<number>
  categories: ReadonlySet<string>
}

/** How far creators fit goods: by what they sold of the same categories, and whether they show the goods already. */
export function fitting(
  creators: readonly Creator[],
  clips: readonly Clip[],
  about: readonly About[],
  goods: WantedGoods | null,
): FittingCreator[] {
  if (goods === null) return creators.map((c) => ({ ...c, fitUnits: null, shows: 0 }))
  const fits = new Map<string, { units: number; shown: Set<number> }>()
  clips.forEach(({ market, creator, units }, i) => {
    const { item, category } = about[i] ?? { item: -1, category: null }
    const isLike = category !== null && goods.categories.has(category)
    if (!isLike && !goods.items.has(item)) return
    const key = creatorKey(market, creator)
    const known = fits.get(key) ?? { units: 0, shown: new Set<number>() }
    if (isLike) known.units += units ?? 0
    if (goods.items.has(item)) known.shown.add(item)
    fits.set(key, known)
  })
  return creators.map((c) => ({ ...c, fitUnits: fits.get(c.key)?.units ?? 0, shows: fits.get(c.key)?.shown.size ?? 0 }))
}

/** What is asked of creators. */
export interface CreatorQuery {
  words: string
  /** top branch or one below it that she sold something of; '' is any */
  branch: string
  /** those that sold something like the goods, and of them those that show none of the goods yet */
  fit: 'any' | 'fits' | 'free'
  limits: Partial<Record<CreatorFigure, readonly [number | null, number | null]>>
  by: CreatorFigure
  descending: boolean
}

export const allCreators: CreatorQuery = {
  words: '',
  branch: '',
  fit: 'any',
  limits: {},
  by: 'units',
  descending: true,
}

/** Those that pass, in their order; of whom the figure is not known come last. */
export function askCreators(creators: readonly FittingCreator[], query: CreatorQuery): FittingCreator[] {
  const { words, branch, fit, limits, by, descending } = query
  const today = creators.reduce((latest, c) => Math.max(latest, c.lastDay ?? -Infinity), -Infinity)
  const wanted = words.toLowerCase().split(/\s+/).filter((w) => w !== '') // prettier-ignore
  const passes = (c: FittingCreator) =>
    wanted.every((w) => c.name.toLowerCase().includes(w)) &&
    (branch === '' || c.branches.some((b) => b.units > 0 && `${b.path} / `.startsWith(`${branch} / `))) &&
    (fit === 'any' || ((c.fitUnits ?? 0) > 0 && (fit === 'fits' || c.shows === 0))) &&
    Object.entries(limits).every(([name, [low, high]]) => {
      const value = creatorFigures[name as CreatorFigure].of(c, today)
      return value !== null && value >= (low ?? -Infinity) && value <= (high ?? Infinity)
    })
  const key = (c: FittingCreator) => creatorFigures[by].of(c, today)
  const way = descending ? -1 : 1
  return creators.filter(passes).sort((a, b) => {
    const [x, y] = [key(a), key(b)]
    if (x === null || y === null) return Number(x === null) - Number(y === null)
    return way * (x - y)
  })
}
