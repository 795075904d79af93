import type { Measure, Span } from '@sickle/core/engine'
import { count, decimal, percent } from './format'

type Written = Pick<Measure, 'format'>

/** A value of a measure as it is written in limits, without its currency. */
export function valueWords({ format }: Written, v: number): string {
  if (format === 'percent') return percent(v)
  if (format === 'count') return count(v)
  return decimal(v, format === 'rating' ? 1 : Math.abs(v) >= 20 ? 0 : 2)
}

/** A limit as it is written: '≥ 20 %', '20–100'. @example spanWords(measure('margin'), [0.2, null]) // '≥ 20 %' */
export function spanWords(measure: Written, [low, high]: Readonly<Span>): string {
  const word = (v: number) => valueWords(measure, v)
  if (low !== null && high !== null) return `${word(low)}–${word(high)}`
  return low !== null ? `≥ ${word(low)}` : high !== null ? `≤ ${word(high)}` : 'any'
}
