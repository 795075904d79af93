import type { Clip } from './clip'
import { clipColumns, type ClipColumns } from './clip-columns'

/** What is asked of clips. */
export interface ClipQuery {
  /** all of them have to stand in the title or the creator's name */
  words: string
  sort: 'all' | 'clips' | 'lives'
  reach: 'all' | 'paid' | 'unpaid'
  leastViews: number | null
  leastUnits: number | null
  /** posted within so many days up to the newest clip of the list */
  lastDays: number | null
  by: ClipFigure
  descending: boolean
}

export type ClipFigure = 'day' | 'views' | 'likes' | 'comments' | 'units' | 'revenue' | 'perThousand'

/** How each figure is called, and what it is of a clip; null where it is not known. Money in E4. */
export const clipFigures: Record<ClipFigure, { label: string; of: (clip: Clip) => number | null }> = {
  day: { label: 'Posted', of: (c) => c.day },
  views: { label: 'Views', of: (c) => c.views },
  likes: { label: 'Likes', of: (c) => c.likes },
  comments: { label: 'Comments', of: (c) => c.comments },
  units: { label: 'Units', of: (c) => c.units },
  revenue: { label: 'Sales', of: (c) => c.revenueE4 },
  perThousand: {
    label: 'Per 1,000 views',
    of: (c) => (c.revenueE4 === null || !c.views ? null : (1000 * c.revenueE4) / c.views),
  },
}

export const allClips: ClipQuery = {
  words: '',
  sort: 'all',
  reach: 'all',
  leastViews: null,
  leastUnits: null,
  lastDays: null,
  by: 'units',
  descending: true,
}

const fold = (text: string) => text.normalize('NFD').replace(/\p{M}/gu, '').toLowerCase()

/** Clips that can be asked again and again: what is searched in is made once, and each order is found once. */
export class ClipList {
  readonly columns: ClipColumns
  #texts: readonly string[] | null = null
  readonly #orders = new Map<string, Int32Array>()
  readonly #newest: number

  constructor(clips: readonly Clip[]) {
    this.columns = clipColumns(clips)
    this.#newest = this.columns.day.reduce((most, day) => (day > most ? day : most), -Infinity)
  }

  get clips(): readonly Clip[] {
    return this.columns.clips
  }

  /** Places of the clips that pass, in their order; those of which the figure is not known come last whichever way. */
  ask({ words, sort, reach, leastViews, leastUnits, lastDays, by, descending }: ClipQuery): Int32Array {
    const { views, units, day, isLive, paid } = this.columns
    const wanted = fold(words)
      .split(/\s+/)
      .filter((w) => w !== '')
    const texts = wanted.length === 0 ? null : (this.#texts ??= this.clips.map((c) => fold(`${c.title} ${c.creator}`)))
    const from = lastDays === null ? null : this.#newest - lastDays + 1
    const [isSort, isReach] = [sort === 'lives' ? 1 : 0, reach === 'paid' ? 1 : 0]
    // what is not known is not at least anything
    const passes = (at: number): boolean =>
      (sort === 'all' || isLive[at] === isSort) &&
      (reach === 'all' || paid[at] === isReach) &&
      (leastViews === null || (views[at] as number) >= leastViews) &&
      (leastUnits === null || (units[at] as number) >= leastUnits) &&
      (from === null || (day[at] as number) >= from) &&
      (texts === null || wanted.every((w) => (texts[at] as string).includes(w)))
    return this.#order(by, descending).filter(passes)
  }

  #order(by: ClipFigure, descending: boolean): Int32Array {
    const name = `${by} ${descending}`
    const known = this.#orders.get(name) ?? this.#sorted(by, descending ? -1 : 1)
    this.#orders.set(name, known)
    return known
  }

  #sorted(by: ClipFigure, way: 1 | -1): Int32Array {
    const { of } = clipFigures[by]
    const keys = Float64Array.from(this.clips, (c) => {
      const value = of(c)
      return value === null ? Infinity : way * value
    })
    return Int32Array.from(this.clips.keys()).sort((a, b) => {
      const [x, y] = [keys[a] as number, keys[b] as number]
      return x < y ? -1 : x > y ? 1 : a - b
    })
  }
}
