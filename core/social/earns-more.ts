import tCdf from '@stdlib/stats-base-dists-t-cdf'
import tQuantile from '@stdlib/stats-base-dists-t-quantile'
import { falseDiscovery } from '../demand'
import { clipChoices, type ClipChoice } from './clip-choices'
import type { ClipColumns } from './clip-columns'

/** By how much more money clips of one kind take than the rest. Money in E4 of the home currency. */
export interface KindEarnings {
  /** 'Length', and '16–30 s' */
  choice: string
  option: string
  clips: number
  creators: number
  /** mean a clip, and that of the rest */
  meanE4: number
  restE4: number
  /** their difference with its 95 % interval over creators */
  differenceE4: number
  lowE4: number
  highE4: number
  /** its interval leaves zero out, and so does a control of the false discovery rate over all that are compared */
  isSure: boolean
}

/** fewer clips on either side, or fewer creators, say nothing */
const leastClips = 10
const leastCreators = 10

/**
 * Which kinds of clips take more money each than the rest of their choice: the difference of two means, its variance linearised over creators, whose
 * clips are alike (as R's `survey::svyglm` with creators as clusters; Binder 1983), with t of as many degrees of freedom as the side with fewer
 * creators has, less one. Few clips take most of the money, so that means alone call chance sure: sure is what the same says of places in the order of
 * money too, by Benjamini and Hochberg's control at 5 % over all. Clips that do not say what they took are left out.
 *
 * @param places clips of the columns that are compared; all of them without
 */
export function earnsMore(columns: ClipColumns, places: Iterable<number> = columns.clips.keys()): KindEarnings[] {
  const known = Int32Array.from(places).filter(
    (at) => !Number.isNaN(columns.revenueE4[at]) && (columns.creator.codes[at] as number) >= 0,
  )
  const ranks = ranksOf(columns, known)
  const compared = clipChoices(columns).flatMap((choice) => optionsOf(choice, columns, known, ranks))
  const adjusted = falseDiscovery(compared.map((c) => c.p))
  return compared.map(({ p: _, ...kind }, i) => ({
    ...kind,
    isSure: (adjusted[i] as number) <= 0.05 && (kind.lowE4 > 0 || kind.highE4 < 0),
  }))
}

type Compared = Omit<KindEarnings, 'isSure'> & { p: number }

/** What one figure of clips says of an option against the rest. */
interface Contrast {
  mean: number
  rest: number
  /** standard error of their difference */
  error: number
  /** creators on the option's side, and of the side with fewer */
  creators: number
  fewest: number
}

function optionsOf(choice: ClipChoice, columns: ClipColumns, known: Int32Array, ranks: Float64Array): Compared[] {
  const { codes, options } = choice
  const rows = byOption(known, codes, options.length)
  const { starts, places } = rows
  const sizeOf = (option: number) => (starts[option + 1] as number) - (starts[option] as number)
  const wanted = Array.from(options.keys()).filter((o) => Math.min(sizeOf(o), places.length - sizeOf(o)) >= leastClips)
  if (wanted.length === 0) return []
  const money = contrasts(columns, rows, wanted, columns.revenueE4)
  const ranked = contrasts(columns, rows, wanted, ranks)
  return wanted.flatMap((option, w) => {
    const [by, rank] = [money[w] as Contrast, ranked[w] as Contrast]
    if (by.fewest < leastCreators) return []
    const [differenceE4, freedom] = [by.mean - by.rest, by.fewest - 1]
    const wide = tQuantile(0.975, freedom) * by.error
    return {
      choice: choice.name,
      option: options[option] as string,
      clips: sizeOf(option),
      creators: by.creators,
      meanE4: by.mean,
      restE4: by.rest,
      differenceE4,
      lowE4: differenceE4 - wide,
      highE4: differenceE4 + wide,
      p: rank.error === 0 ? 1 : 2 * (1 - tCdf(Math.abs(rank.mean - rank.rest) / rank.error, freedom)),
    }
  })
}

/** Clips that make the choice, those of one option together: `places` from `starts[option]` up to `starts[option + 1]`. */
interface ByOption {
  starts: Int32Array
  places: Int32Array
}

function byOption(known: Int32Array, codes: ArrayLike<number>, options: number): ByOption {
  const starts = new Int32Array(options + 1)
  for (const at of known) if ((codes[at] as number) >= 0) starts[(codes[at] as number) + 1]!++
  for (let o = 0; o < options; o++) starts[o + 1] = (starts[o + 1] as number) + (starts[o] as number)
  const next = starts.slice()
  const places = new Int32Array(starts[options] as number)
  for (const at of known) {
    const option = codes[at] as number
    if (option >= 0) places[next[option]!++] = at
  }
  return { starts, places }
}

/**
 * The difference of means of each wanted option from the rest, its variance linearised over creators. A creator without the option adds what she
 * would add for any other, so that only those with it are gone through.
 */
function contrasts(
  { creator }: ClipColumns,
  { starts, places }: ByOption,
  wanted: readonly number[],
  values: Float64Array,
): Contrast[] {
  const creators = creator.words.length
  const [clips, sums] = [new Float64Array(creators), new Float64Array(creators)]
  let total = 0
  for (const at of places) {
    const who = creator.codes[at] as number
    clips[who]!++
    sums[who] = (sums[who] as number) + (values[at] as number)
    total += values[at] as number
  }
  let [all, squaresOfSums, products, squaresOfClips] = [0, 0, 0, 0]
  for (let who = 0; who < creators; who++) {
    const [c, m] = [clips[who] as number, sums[who] as number]
    if (c > 0) all++
    squaresOfSums += m * m
    products += m * c
    squaresOfClips += c * c
  }
  const [own, ownSum] = [new Float64Array(creators), new Float64Array(creators)]
  return wanted.map((option) => {
    const [from, to] = [starts[option] as number, starts[option + 1] as number]
    const [n, others] = [to - from, places.length - (to - from)]
    const touched: number[] = []
    let mine = 0
    for (let i = from; i < to; i++) {
      const at = places[i] as number
      const who = creator.codes[at] as number
      if (own[who] === 0) touched.push(who)
      own[who]!++
      ownSum[who] = (ownSum[who] as number) + (values[at] as number)
      mine += values[at] as number
    }
    const [mean, rest] = [mine / n, (total - mine) / others]
    let squares = (squaresOfSums - 2 * rest * products + rest * rest * squaresOfClips) / others ** 2
    let theirs = all
    for (const who of touched) {
      const [c, m] = [own[who] as number, ownSum[who] as number]
      const [c2, m2] = [(clips[who] as number) - c, (sums[who] as number) - m]
      if (c2 === 0) theirs--
      const without = ((sums[who] as number) - rest * (clips[who] as number)) / others
      squares += ((m - mean * c) / n - (m2 - rest * c2) / others) ** 2 - without ** 2
      own[who] = ownSum[who] = 0
    }
    const error = Math.sqrt((all / Math.max(1, all - 1)) * Math.max(0, squares))
    // what is left of a difference of large sums is none
    return {
      mean,
      rest,
      creators: touched.length,
      fewest: Math.min(touched.length, theirs),
      error: error < 1e-9 * Math.abs(mean + rest) ? 0 : error,
    }
  })
}

const orders = new WeakMap<ClipColumns, Int32Array>()

/** All clips by what they took, least first: found once for the same columns. */
function orderOf(columns: ClipColumns): Int32Array {
  const { revenueE4 } = columns
  const made =
    orders.get(columns) ??
    Int32Array.from(revenueE4.keys()).sort((a, b) => (revenueE4[a] as number) - (revenueE4[b] as number) || a - b)
  orders.set(columns, made)
  return made
}

/** Place of each known clip by what it took, ties shared; as wide as the columns, the others are not set. */
function ranksOf(columns: ClipColumns, known: Int32Array): Float64Array {
  const { revenueE4 } = columns
  const isKnown = new Uint8Array(revenueE4.length)
  for (const at of known) isKnown[at] = 1
  const order = orderOf(columns).filter((at) => isKnown[at] === 1)
  const ranks = new Float64Array(revenueE4.length)
  for (let i = 0; i < order.length;) {
    let end = i + 1
    while (end < order.length && revenueE4[order[end] as number] === revenueE4[order[i] as number]) end++
    for (let j = i; j < end; j++) ranks[order[j] as number] = (i + end + 1) / 2
    i = end
  }
  return ranks
}
