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
  const known = Int32Array.from(
    [...places].filter((at) => !Number.isNaN(columns.revenueE4[at]) && (columns.creator.codes[at] as number) >= 0),
  )
  const ranks = ranksOf(columns.revenueE4, known)
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
  const rows = known.filter((at) => (codes[at] as number) >= 0)
  const clips = new Int32Array(options.length)
  for (const at of rows) clips[codes[at] as number] = (clips[codes[at] as number] as number) + 1
  const wanted = [...clips.keys()].filter(
    (o) => Math.min(clips[o] as number, rows.length - (clips[o] as number)) >= leastClips,
  )
  if (wanted.length === 0) return []
  const money = contrasts(choice, columns, { rows, clips, wanted, values: columns.revenueE4 })
  const ranked = contrasts(choice, columns, { rows, clips, wanted, values: ranks })
  return wanted.flatMap((option, w) => {
    const [by, rank] = [money[w] as Contrast, ranked[w] as Contrast]
    if (by.fewest < leastCreators) return []
    const [differenceE4, freedom] = [by.mean - by.rest, by.fewest - 1]
    const wide = tQuantile(0.975, freedom) * by.error
    return {
      choice: choice.name,
      option: options[option] as string,
      clips: clips[option] as number,
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

interface Compare {
  /** clips that make the choice */
  rows: Int32Array
  /** option → how many chose it */
  clips: Int32Array
  /** options that are compared */
  wanted: readonly number[]
  values: Float64Array
}

/** The difference of means of each wanted option from the rest, its variance linearised over creators. */
function contrasts(
  { codes }: ClipChoice,
  { creator }: ClipColumns,
  { rows, clips, wanted, values }: Compare,
): Contrast[] {
  const creators = creator.words.length
  const place = new Map(wanted.map((option, w) => [option, w]))
  const cells = () => new Float64Array(creators * wanted.length)
  const [count, sum, allCount, allSum] = [cells(), cells(), new Float64Array(creators), new Float64Array(creators)]
  const add = (to: Float64Array, at: number, value: number) => (to[at] = (to[at] as number) + value)
  let total = 0
  for (const at of rows) {
    const [who, value] = [creator.codes[at] as number, values[at] as number]
    total += value
    add(allCount, who, 1)
    add(allSum, who, value)
    const w = place.get(codes[at] as number)
    if (w === undefined) continue
    add(count, w * creators + who, 1)
    add(sum, w * creators + who, value)
  }
  return wanted.map((option, w) => {
    const [n, from] = [clips[option] as number, w * creators]
    const own = sum.subarray(from, from + creators).reduce((a, b) => a + b, 0)
    const others = rows.length - n
    const [mean, rest] = [own / n, (total - own) / others]
    let [squares, mine, theirs, all] = [0, 0, 0, 0]
    for (let who = 0; who < creators; who++) {
      const [c, m] = [count[from + who] as number, sum[from + who] as number]
      const [c2, m2] = [(allCount[who] as number) - c, (allSum[who] as number) - m]
      if (c + c2 > 0) all++
      if (c > 0) mine++
      if (c2 > 0) theirs++
      squares += ((m - mean * c) / n - (m2 - rest * c2) / others) ** 2
    }
    return {
      mean,
      rest,
      creators: mine,
      fewest: Math.min(mine, theirs),
      error: Math.sqrt((all / Math.max(1, all - 1)) * squares),
    }
  })
}

/** Place of each clip by what it took, ties shared; as wide as the columns, only those known are set. */
function ranksOf(revenueE4: Float64Array, known: Int32Array): Float64Array {
  const order = known.slice().sort((a, b) => (revenueE4[a] as number) - (revenueE4[b] as number))
  const ranks = new Float64Array(revenueE4.length)
  for (let i = 0; i < order.length;) {
    let end = i + 1
    while (end < order.length && revenueE4[order[end] as number] === revenueE4[order[i] as number]) end++
    for (let j = i; j < end; j++) ranks[order[j] as number] = (i + end + 1) / 2
    i = end
  }
  return ranks
}
