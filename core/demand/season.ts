import { monthOf } from '../identity'
import { type UnitSeries } from './series'
import { stl, type Decomposition } from './stl'

export interface Season {
  /** F_S, 0–1: how much of what the trend leaves is season */
  strength: number
  /** F_T, 0–1: how much of what the season leaves is trend */
  trendStrength: number
  /** by month from January: its sales against the mean month, 1 is as usual */
  months: Float64Array
  /** whole months that it is worked out from */
  of: number
}

/**
 * Strengths of season and trend: 1 − Var(rest) / Var(part + rest), at least 0.
 * Source: Hyndman & Athanasopoulos, Forecasting: Principles and Practice, 3rd ed., 4.3.
 */
export function strengths({ seasonal, trend, rest }: Decomposition): { season: number; trend: number } {
  const of = (part: Float64Array) => {
    const all = variance(part.map((v, i) => v + (rest[i] as number)))
    return all > leastVariance ? Math.max(0, 1 - variance(rest) / all) : 0
  }
  return { season: of(seasonal), trend: of(trend) }
}

const least = 25
/** what rounding makes of values that are all alike */
const leastVariance = 1e-20

/** months → strength that 3 % of noise reaches whose months pull on each other by 0.3 (1,500 series of each length; docs/estimates.md) */
const noise = [
  [25, 0.8],
  [28, 0.73],
  [32, 0.68],
  [36, 0.615],
  [48, 0.492],
  [60, 0.395],
  [72, 0.338],
  [84, 0.293],
] as const

/** The strength that a season must pass so as not to be taken for what noise of that length reaches. */
export function noiseStrength(months: number): number {
  const at = noise.findIndex(([m]) => m >= months)
  if (at <= 0) return (at === 0 ? noise[0] : (noise.at(-1) as (typeof noise)[number]))[1]
  const [[from, high], [to, low]] = [noise[at - 1] as (typeof noise)[number], noise[at] as (typeof noise)[number]]
  return high + ((months - from) / (to - from)) * (low - high)
}

/** A season that is told as one: as strong as the rule asks for, and stronger than noise. @param strength that the rule asks for */
export function isSeason({ strength, of }: Season, asked: number): boolean {
  return strength >= Math.max(asked, noiseStrength(of))
}

/**
 * The season of a series, by STL on log(1 + units a day) of the longest run of whole months that all have figures; null where
 * that is two years or less, as a guess would be taken for knowledge, and where all months are alike.
 */
export function seasonOf(series: UnitSeries): Season | null {
  if (series.values.length * series.stepDays < (least + 1) * 28) return null
  const { first, rates } = monthlyRates(series)
  if (rates.length < least || rates.every((rate) => rate === rates[0])) return null
  const parts = stl(rates.map(Math.log1p), 12)
  const { season, trend } = strengths(parts)
  const months = new Float64Array(12)
  for (let m = 0; m < 12; m++) months[(first + m) % 12] = Math.exp(parts.seasonal[m] as number)
  const mean = months.reduce((a, b) => a + b, 0) / 12
  return { strength: season, trendStrength: trend, months: months.map((v) => v / mean), of: rates.length }
}

/** Units a day of the months of that run, and the month (0–11) of the first. */
function monthlyRates({ start, stepDays, values }: UnitSeries): { first: number; rates: Float64Array } {
  const units = new Map<number, { sum: number; days: number }>()
  values.forEach((value, i) => {
    for (let d = 0; d < stepDays; d++) {
      const month = monthOf(start + i * stepDays + d)
      const at = units.get(month) ?? { sum: 0, days: 0 }
      if (!Number.isNaN(value)) units.set(month, { sum: at.sum + value / stepDays, days: at.days + 1 })
      else units.set(month, at)
    }
  })
  const end = start + values.length * stepDays - 1
  const first = monthOf(start - 1) + 1
  const last = monthOf(end + 1) - 1
  const rates = Float64Array.from({ length: Math.max(0, last - first + 1) }, (_, k) => {
    const { sum, days } = units.get(first + k) as { sum: number; days: number }
    return days === 0 ? NaN : sum / days
  })
  const { from, to } = longestKnown(rates)
  return { first: (first + from) % 12, rates: rates.subarray(from, to) }
}

/** The longest stretch without a NaN, the first of several. */
function longestKnown(values: Float64Array): { from: number; to: number } {
  let best = { from: 0, to: 0 }
  for (let from = 0, to = 0; to <= values.length; to++) {
    if (to < values.length && !Number.isNaN(values[to])) continue
    if (to - from > best.to - best.from) best = { from, to }
    from = to + 1
  }
  return best
}

function variance(values: Float64Array): number {
  const mean = values.reduce((a, b) => a + b, 0) / values.length
  return values.reduce((sum, v) => sum + (v - mean) ** 2, 0) / (values.length - 1)
}
