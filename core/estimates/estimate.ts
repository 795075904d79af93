/** An estimate of units sold over a window: a median and an interval that holds the truth four times in five. */
export interface Estimate {
  method: 'feedback' | 'rank' | 'reviews' | 'stock' | 'combined'
  units: number
  low: number
  high: number
  /** without the bias that a median has against a mean: what is added up over many items */
  mean: number
  /** standard deviation of log units, by which estimates are weighed */
  logSd: number
}

/** Quantile of the normal that leaves a tenth on either side. */
export const z80 = 1.2815515655446004

/** From log units and their spread. @param logUnits natural logarithm @param mean that of the log-normal where it is left out */
export function fromLog(
  method: Estimate['method'],
  logUnits: number,
  logSd: number,
  mean = Math.exp(logUnits + logSd ** 2 / 2),
): Estimate {
  return {
    method,
    units: Math.exp(logUnits),
    low: Math.exp(logUnits - z80 * logSd),
    high: Math.exp(logUnits + z80 * logSd),
    mean,
    logSd,
  }
}

/** A year's run rate from what sold in a window. The trade's quarter × 4 is the same to rounding. */
export function runRate(units: number, days: number): number {
  return (units * 365) / days
}
