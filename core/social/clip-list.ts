import type { Clip } from './clip'
import { clipColumns, type ClipColumns } from './clip-columns'
import { clipFigures, type ClipFigure, type ClipLimits } from './clip-figures'

/** What is asked of clips. */
export interface ClipQuery {
  /** all of them have to stand in the title or the creator's name */
  words: string
  sort: 'all' | 'clips' | 'lives'
  reach: 'all' | 'paid' | 'unpaid'
  limits: ClipLimits
  by: ClipFigure
  descending: boolean
}

export const allClips: ClipQuery = {
  words: '',
  sort: 'all',
  reach: 'all',
  limits: {},
  by: 'units',
  descending: true,
}

const fold = (text: string) => text.normalize('NFD').replace(/\p{M}/gu, '').toLowerCase()

/** Clips that can be asked again and again: what is searched in, each figure and each order are made once. */
export class ClipList {
  readonly columns: ClipColumns
  #texts: readonly string[] | null = null
  readonly #figures = new Map<ClipFigure, Float64Array>()
  readonly #orders = new Map<string, Int32Array>()
  readonly #newest: number

  constructor(clips: readonly Clip[]) {
    this.columns = clipColumns(clips)
    this.#newest = this.columns.day.reduce((most, day) => (day > most ? day : most), -Infinity)
  }

  get clips(): readonly Clip[] {
    return this.columns.clips
  }

  /** A figure of each clip, NaN where it is not known. */
  figure(name: ClipFigure): Float64Array {
    const { of } = clipFigures[name]
    const known = this.#figures.get(name) ?? Float64Array.from(this.clips, (c) => of(c, this.#newest) ?? NaN)
    this.#figures.set(name, known)
    return known
  }

  /** Places of the clips that pass, in their order; those of which the figure is not known come last whichever way. */
  ask({ words, sort, reach, limits, by, descending }: ClipQuery): Int32Array {
    const { isLive, paid } = this.columns
    const passes = new Uint8Array(this.clips.length).fill(1)
    const keep = (test: (at: number) => boolean) => passes.forEach((p, at) => p === 1 && !test(at) && (passes[at] = 0))
    if (sort !== 'all') keep((at) => isLive[at] === Number(sort === 'lives'))
    if (reach !== 'all') keep((at) => paid[at] === Number(reach === 'paid'))
    for (const [name, [low, high]] of Object.entries(limits)) {
      const values = this.figure(name as ClipFigure)
      keep((at) => (values[at] as number) >= (low ?? -Infinity) && (values[at] as number) <= (high ?? Infinity))
    }
    const wanted = fold(words)
      .split(/\s+/)
      .filter((w) => w !== '')
    if (wanted.length > 0) {
      const texts = (this.#texts ??= this.clips.map((c) => fold(`${c.title} ${c.creator}`)))
      keep((at) => wanted.every((w) => (texts[at] as string).includes(w)))
    }
    return this.#order(by, descending).filter((at) => passes[at] === 1)
  }

  #order(by: ClipFigure, descending: boolean): Int32Array {
    const name = `${by} ${descending}`
    const known = this.#orders.get(name) ?? sortedBy(this.figure(by), descending ? -1 : 1)
    this.#orders.set(name, known)
    return known
  }
}

function sortedBy(values: Float64Array, way: 1 | -1): Int32Array {
  const keys = values.map((v) => (Number.isNaN(v) ? Infinity : way * v))
  return Int32Array.from(keys.keys()).sort((a, b) => {
    const [x, y] = [keys[a] as number, keys[b] as number]
    return x < y ? -1 : x > y ? 1 : a - b
  })
}
