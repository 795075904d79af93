import type { Weeks } from './weeks'

/** How much the weekly level of sales goes up and down beyond the chance of counting (Poisson), and how far one week pulls on the next. */
export interface Scatter {
  /** variance of the level around its mean, as a share of the mean's square; 0 where counts are Poisson */
  variance: number
  /** the same of counting alone, of a week in the mean */
  counting: number
  /** correlation of one week's level with the next one's, 0–0.9 */
  pull: number
  /** weeks that it was learned from, less those spent on means */
  freedom: number
}

/**
 * What is taken where too little is known to tell: levels that swing by half from week to week, each pulling on the next by 0.6. It is no small
 * scatter: without it two months of such weeks were surely growing or shrinking in seven of ten.
 */
export const usualScatter: Scatter = { variance: 0.28, pull: 0.6, counting: 0.1, freedom: 100 }

/** weeks from which on a series speaks for itself alone; of fewer, the usual scatter has a say of a third of a week for each that lacks */
const enoughWeeks = 12
/** weeks at the end whose mean is taken on its own unless another cut is known, so that a step there is not taken for scatter */
const lastWeeks = 4
/** standard errors of the variance that are added to it: of few weeks too small a one is as likely as too large a one, and harms more */
export const caution = 0.3
const mostPull = 0.9
/** what few weeks say of the pull is held against so many weeks of a usual one */
const usualPull = { pull: 0.6, weeks: 8 }

/**
 * Scatter by moments: the squares and neighbouring products of what weeks are off their mean, less what counting alone makes of them. The
 * mean is that of the weeks before a cut and of those from it on, or a straight line where that fits better: neither a step nor a trend is
 * scatter. The pull is freed of its bias in short series (Kendall 1954). Weeks before the first sale say nothing of it.
 *
 * @param cut place of the first week after which the level may be another
 * @returns null with fewer than eight weeks that have a figure, or nothing sold
 */
export function scatterOf({ units, days }: Weeks, cut = Math.max(0, units.length - lastWeeks)): Scatter | null {
  const first = units.findIndex((u) => u > 0)
  if (first < 0) return null
  const weeks = { units, days }
  const step = offMeans(weeks, stepMeans(weeks, first, cut))
  const line = offMeans(weeks, lineMeans(weeks, first))
  const best = line.squares < step.squares ? line : step
  const { known, worth, counting: noise } = best
  if (known < 8) return null
  // as many weeks as count fully, less the two means
  const freedom = Math.max(1, worth - 2)
  const whole = (best.squares * worth) / freedom
  const variance = Math.max(0, whole - noise)
  const raw = variance === 0 ? 0 : neighbours(weeks, best.means) / variance
  const found = Math.min(mostPull, Math.max(0, raw + (1 + 4 * raw) / known))
  const pull = (found * known + usualPull.pull * usualPull.weeks) / (known + usualPull.weeks)
  // what the means took away of levels that pull on each other
  const lost = Math.min(0.5, ((1 + pull) / (1 - pull) - 1) / known)
  const own = variance / (1 - lost) + caution * whole * Math.sqrt(2 / freedom)
  const missing = Math.max(0, enoughWeeks - known)
  const share = missing / (missing + 3 * known)
  return {
    variance: (1 - share) * own + share * usualScatter.variance,
    counting: noise,
    pull,
    freedom,
  }
}

/** Units a day by two levels. Shape: one entry a week; NaN before the first sale. */
function stepMeans({ units, days }: Weeks, first: number, cut: number): number[] {
  const step = Math.max(first, cut)
  const [before, after] = [meanOf(units, days, first, step), meanOf(units, days, step, units.length)]
  return units.map((_, w) => (w < first ? NaN : w < step ? before : after))
}

/** Units a day of some weeks; NaN where nothing is sold in them. */
function meanOf(units: readonly number[], days: readonly number[], from: number, to: number): number {
  let [sold, span] = [0, 0]
  for (let w = from; w < to; w++) {
    sold += units[w] as number
    span += days[w] as number
  }
  return sold > 0 ? sold / span : NaN
}

/** Units a day by a straight line, fitted with each week's days as its weight; no lower than a tenth of the mean. */
function lineMeans({ units, days }: Weeks, first: number): number[] {
  let [n, t, y, tt, ty] = [0, 0, 0, 0, 0]
  for (let w = first; w < units.length; w++) {
    const [d, u] = [days[w] as number, units[w] as number]
    n += d
    t += d * w
    tt += d * w * w
    y += u
    ty += u * w
  }
  const spread = tt - (t * t) / n
  // of one week there is no line, nor any scatter
  const slope = (ty - (t * y) / n) / spread
  const [mean, middle] = [y / n, t / n]
  return units.map((_, w) => (w < first ? NaN : Math.max(mean / 10, mean + slope * (w - middle))))
}

/** How far a week is off its mean, as a share of that; NaN where either is not known. */
function offOf({ units, days }: Weeks, means: readonly number[], w: number): number {
  const d = days[w] as number
  return d === 0 ? NaN : (units[w] as number) / d / (means[w] as number) - 1
}

/**
 * How far weeks lie off their means, as shares of those; and what counting alone makes of that. Each counts by its mean: of weeks in which
 * next to nothing is expected a single sale is many times that.
 */
function offMeans(weeks: Weeks, means: readonly number[]) {
  let [known, total, counting, squares, weightSquares] = [0, 0, 0, 0, 0]
  for (let w = 0; w < means.length; w++) {
    const off = offOf(weeks, means, w)
    if (off !== off) continue
    const mean = means[w] as number
    known++
    total += mean
    weightSquares += mean ** 2
    squares += mean * off ** 2
    counting += 1 / (weeks.days[w] as number)
  }
  return { means, known, worth: total ** 2 / weightSquares, counting: counting / total, squares: squares / total }
}

/** Mean product of neighbouring weeks, each pair by the mean of its weights. */
function neighbours(weeks: Weeks, means: readonly number[]): number {
  let [sum, total] = [0, 0]
  for (let w = 1; w < means.length; w++) {
    const product = offOf(weeks, means, w) * offOf(weeks, means, w - 1)
    if (product !== product) continue
    const weight = ((means[w] as number) + (means[w - 1] as number)) / 2
    sum += weight * product
    total += weight
  }
  return total === 0 ? 0 : sum / total
}

/**
 * Variance of the logarithm of the mean level of some weeks over that of the weeks right before, by the scatter alone.
 *
 * @param later weeks at the end @param earlier weeks right before those
 */
export function contrastVariance({ variance, pull }: Scatter, later: number, earlier: number): number {
  if (variance === 0) return 0
  let [sum, power] = [0, 1]
  for (const product of lagProducts(later, earlier)) {
    sum += power * product
    power *= pull
  }
  return variance * sum
}

const knownProducts = new Map<string, Float64Array>()
/** Of the weights 1/later and −1/earlier the sums of products so many weeks apart, twice but for the first. */
function lagProducts(later: number, earlier: number): Float64Array {
  const key = `${later} ${earlier}`
  const known = knownProducts.get(key)
  if (known) return known
  const n = later + earlier
  const weight = (w: number) => (w < later ? 1 / later : -1 / earlier)
  const products = Float64Array.from({ length: n }, (_, lag) => {
    let sum = 0
    for (let w = lag; w < n; w++) sum += weight(w) * weight(w - lag)
    return lag === 0 ? sum : 2 * sum
  })
  knownProducts.set(key, products)
  return products
}
