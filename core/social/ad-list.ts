import { number, tuple } from 'yup'
import type { FigureFormat } from '../records'
import { anyText, byName, listOf, oneOf, record, text, truth } from '../schema'
import { adScore, adStates, type AdGroup, type AdState } from './ad-groups'

export const adFigureNames = [
  'days',
  'views',
  'reactions',
  'rate',
  'growth',
  'numbers',
  'first',
  'last',
  'score',
] as const
/** What ads are sorted and limited by. */
export type AdFigure = (typeof adFigureNames)[number]

interface AdMeasure {
  label: string
  format: FigureFormat
  of: (ad: AdGroup, end: number) => number | null
}

/** How each figure is called, and what it is of an ad. @param end last day on which any was seen */
export const adFigures: Record<AdFigure, AdMeasure> = {
  days: { label: 'Days running', format: 'count', of: (a) => a.days },
  views: { label: 'Views', format: 'count', of: (a) => a.views },
  reactions: { label: 'Reactions', format: 'count', of: (a) => a.reactions },
  rate: {
    label: 'Reactions, % of views',
    format: 'percent',
    of: (a) => (a.reactions === null || !a.views ? null : a.reactions / a.views),
  },
  growth: { label: 'Views a day, growth', format: 'percent', of: (a) => a.growth },
  numbers: { label: 'Numbers', format: 'count', of: (a) => a.numbers },
  first: {
    label: 'Days since the first',
    format: 'count',
    of: (a, end) => (a.firstSeen === null ? null : end - a.firstSeen),
  },
  last: {
    label: 'Days since the last',
    format: 'count',
    of: (a, end) => (a.lastSeen === null ? null : end - a.lastSeen),
  },
  score: { label: 'Score', format: 'count', of: (a) => adScore(a).value },
}

export const adFacets = ['states', 'channels', 'media', 'countries', 'languages'] as const
/** What ads can be chosen by. */
export type AdFacet = (typeof adFacets)[number]
export const adFacetLabels: Record<AdFacet, string> = {
  states: 'How far',
  channels: 'Platform',
  media: 'Medium',
  countries: 'Country',
  languages: 'Language',
}
const valuesOf: Record<AdFacet, (ad: AdGroup) => readonly string[]> = {
  states: (a) => (a.state === null ? [] : [a.state]),
  channels: (a) => a.channels,
  media: (a) => a.media,
  countries: (a) => a.countries,
  languages: (a) => a.languages,
}

/** What is asked of ads; a Cut of ads keeps it. */
export interface AdQuery extends Record<AdFacet, string[]> {
  words: string
  limits: Partial<Record<AdFigure, readonly [number | null, number | null]>>
  by: AdFigure
  descending: boolean
}

export const allAds: AdQuery = {
  words: '',
  states: [],
  channels: [],
  media: [],
  countries: [],
  languages: [],
  limits: {},
  by: 'days',
  descending: true,
}

export interface AdAnswer {
  /** places of those that pass, in their order */
  found: Int32Array
  /** of each value how many there are if it were (also) chosen, under all other limits */
  facets: Record<AdFacet, { value: string; count: number }[]>
}

const fold = (s: string) => s.normalize('NFD').replace(/\p{M}/gu, '').toLowerCase()

/** Ads that can be asked again and again. */
export class AdList {
  readonly ads: readonly AdGroup[]
  readonly #end: number
  #texts: readonly string[] | null = null
  readonly #figures = new Map<AdFigure, Float64Array>()
  readonly #orders = new Map<string, Int32Array>()

  constructor(ads: readonly AdGroup[]) {
    this.ads = ads
    this.#end = ads.reduce((end, a) => Math.max(end, a.lastSeen ?? -Infinity), -Infinity)
  }

  #figure(name: AdFigure): Float64Array {
    const known = this.#figures.get(name) ?? Float64Array.from(this.ads, (a) => adFigures[name].of(a, this.#end) ?? NaN)
    this.#figures.set(name, known)
    return known
  }

  ask({ words, limits, by, descending, ...chosen }: AdQuery): AdAnswer {
    const passes = this.#plain(words, limits)
    // how many facets each fails, and the last of them: one that fails a single facet counts there alone
    const fails = new Uint8Array(this.ads.length)
    const last = new Int8Array(this.ads.length).fill(-1)
    adFacets.forEach((facet, f) => {
      const wanted = chosen[facet]
      if (wanted.length === 0) return
      this.ads.forEach((ad, at) => {
        if (valuesOf[facet](ad).some((v) => wanted.includes(v))) return
        fails[at] = (fails[at] as number) + 1
        last[at] = f
      })
    })
    const counts = adFacets.map(() => new Map<string, number>())
    this.ads.forEach((ad, at) => {
      if (passes[at] === 0 || (fails[at] as number) > 1) return
      adFacets.forEach((facet, f) => {
        if (fails[at] === 1 && last[at] !== f) return
        for (const v of valuesOf[facet](ad)) counts[f]?.set(v, (counts[f]?.get(v) ?? 0) + 1)
      })
    })
    return {
      found: this.#order(by, descending).filter((at) => passes[at] === 1 && fails[at] === 0),
      facets: Object.fromEntries(
        adFacets.map((facet, f) => [facet, ordered(facet, counts[f] as Map<string, number>)]),
      ) as AdAnswer['facets'],
    }
  }

  /** What passes all but the facets. */
  #plain(words: string, limits: AdQuery['limits']): Uint8Array {
    const passes = new Uint8Array(this.ads.length).fill(1)
    for (const [name, [low, high]] of Object.entries(limits)) {
      const values = this.#figure(name as AdFigure)
      values.forEach((v, at) => (v >= (low ?? -Infinity) && v <= (high ?? Infinity)) || (passes[at] = 0))
    }
    const wanted = fold(words).split(/\s+/).filter((w) => w !== '') // prettier-ignore
    if (wanted.length > 0) {
      const texts = (this.#texts ??= this.ads.map((a) => fold(`${a.advertiser} ${a.title} ${a.text}`)))
      texts.forEach((t, at) => wanted.every((w) => t.includes(w)) || (passes[at] = 0))
    }
    return passes
  }

  #order(by: AdFigure, descending: boolean): Int32Array {
    const name = `${by} ${descending}`
    const known = this.#orders.get(name)
    if (known) return known
    const way = descending ? -1 : 1
    const keys = this.#figure(by).map((v) => (Number.isNaN(v) ? Infinity : way * v))
    const made = Int32Array.from(keys.keys()).sort((a, b) => (keys[a] as number) - (keys[b] as number) || a - b)
    this.#orders.set(name, made)
    return made
  }
}

function ordered(facet: AdFacet, counts: ReadonlyMap<string, number>) {
  const place = (v: string) => (facet === 'states' ? adStates.indexOf(v as AdState) : 0)
  return [...counts]
    .map(([value, count]) => ({ value, count }))
    .sort((a, b) => place(a.value) - place(b.value) || (a.value < b.value ? -1 : 1))
}

/** A kept question about ads. */
export interface AdCut {
  name: string
  query: AdQuery
}

const span = tuple([number().nullable().defined(), number().nullable().defined()]).defined()

export const adCutsSchema = listOf(
  record({
    name: text(80),
    query: record({
      words: anyText(500),
      ...Object.fromEntries(adFacets.map((f) => [f, listOf(text(500), 1000)])),
      limits: byName(span, 20),
      by: oneOf(...adFigureNames),
      descending: truth(),
    }),
  }),
  1000,
)
