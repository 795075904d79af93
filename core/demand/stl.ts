import { loess, loessAt, type Smoothing } from './loess'

export interface Decomposition {
  seasonal: Float64Array
  trend: Float64Array
  /** what neither explains; the three add up to the values */
  rest: Float64Array
}

export interface StlOptions {
  /** span of the seasonal smoothing in years of `period`, odd; 'periodic' (the default) keeps one season for all years */
  season?: number | 'periodic'
}

/**
 * Splits an even series into season, trend and rest: STL (Cleveland, Cleveland, McRae & Terpenning 1990, J. Official Statistics 6),
 * with the defaults of R's `stl`.
 *
 * @param values without gaps, two periods at least
 * @param period values in a year (or a week …)
 * @throws RangeError where there are fewer than two periods and a value
 */
export function stl(values: Float64Array, period: number, { season = 'periodic' }: StlOptions = {}): Decomposition {
  const n = values.length
  if (period < 2 || n <= 2 * period)
    throw new RangeError(`STL needs more than two periods of ${period}, there are ${n} values`)
  const seasonSpan = season === 'periodic' ? 10 * n + 1 : season
  const how: Spans = {
    period,
    season: smoothing(seasonSpan, 'mean'),
    trend: smoothing(nextOdd(Math.ceil((1.5 * period) / (1 - 1.5 / seasonSpan))), 'line'),
    low: smoothing(nextOdd(period), 'line'),
  }
  let parts: Pick<Decomposition, 'seasonal' | 'trend'> = { seasonal: new Float64Array(n), trend: new Float64Array(n) }
  for (let inner = 0; inner < 2; inner++) parts = step(values, parts.trend, how)
  const seasonal = season === 'periodic' ? sameEachYear(parts.seasonal, period) : parts.seasonal
  return { seasonal, trend: parts.trend, rest: values.map((v, i) => v - at(seasonal, i) - at(parts.trend, i)) }
}

interface Spans {
  period: number
  season: Smoothing
  trend: Smoothing
  low: Smoothing
}

const at = (values: Float64Array, i: number) => values[i] as number
const nextOdd = (x: number) => 2 * Math.floor(Math.round(x) / 2) + 1
const smoothing = (span: number, fit: Smoothing['fit']): Smoothing => ({ span, fit, jump: Math.ceil(span / 10) })

/** The inner loop: season from what the trend leaves, trend from what the season leaves. */
function step(values: Float64Array, trend: Float64Array, how: Spans): Pick<Decomposition, 'seasonal' | 'trend'> {
  const { period } = how
  const cycle = seasonsApart(
    values.map((v, i) => v - at(trend, i)),
    period,
    how.season,
  )
  const low = loess(movingMean(movingMean(movingMean(cycle, period), period), 3), how.low)
  const seasonal = values.map((_, i) => at(cycle, period + i) - at(low, i))
  return {
    seasonal,
    trend: loess(
      values.map((v, i) => v - at(seasonal, i)),
      how.trend,
    ),
  }
}

/** Each month (of its kind) smoothed over the years, with one year more at either end. */
function seasonsApart(values: Float64Array, period: number, how: Smoothing): Float64Array {
  const out = new Float64Array(values.length + 2 * period)
  for (let j = 0; j < period; j++) {
    const one = everyNth(values, j, period)
    const k = one.length
    const smooth = loess(one, how)
    const before = loessAt(one, how, 0, [1, Math.min(how.span, k)]) ?? at(smooth, 0)
    const after = loessAt(one, how, k + 1, [Math.max(1, k - how.span + 1), k]) ?? at(smooth, k - 1)
    ;[before, ...smooth, after].forEach((v, m) => (out[m * period + j] = v))
  }
  return out
}

function everyNth(values: Float64Array, first: number, step: number): Float64Array {
  return values.filter((_, i) => i % step === first)
}

function movingMean(values: Float64Array, span: number): Float64Array {
  const out = new Float64Array(values.length - span + 1)
  let sum = values.subarray(0, span).reduce((a, b) => a + b, 0)
  out[0] = sum / span
  for (let i = 1; i < out.length; i++) {
    sum += at(values, i + span - 1) - at(values, i - 1)
    out[i] = sum / span
  }
  return out
}

function sameEachYear(seasonal: Float64Array, period: number): Float64Array {
  const means = Float64Array.from({ length: period }, (_, j) => mean(everyNth(seasonal, j, period)))
  return seasonal.map((_, i) => at(means, i % period))
}

function mean(values: Float64Array): number {
  return values.reduce((a, b) => a + b, 0) / values.length
}
