import { knownValues } from './known-values'
import { middleRanks } from './pettitt'
import type { Scatter } from './scatter'
import { theilSenSlope } from './theil-sen'

/** from which size on, in standard errors of chance, a correlation counts: 10 %, two-sided, as Hamed & Rao took it */
const significant = 1.645

/**
 * By how much the variance of Mann–Kendall's S is larger where values pull on those after them: 1 + 2 / (n(n−1)(n−2)) Σ (n−k)(n−k−1)(n−k−2) ρ(k),
 * over the correlations of the ranks, the trend (Theil–Sen) taken off, that are more than chance.
 * Source: Hamed & Rao 1998, J. Hydrol. 204, 182–196.
 *
 * @param values in order of time; NaN is a gap and left out
 * @param slope the trend, per step, where it is known already
 * @returns 1 with fewer than five values
 */
export function serialFactor(values: ArrayLike<number>, slope: number | null = null): number {
  const x = knownValues(values)
  const n = x.length
  if (n < 5) return 1
  const trend = slope ?? theilSenSlope(x) ?? 0
  const correlation = correlations(middleRanks(x.map((v, i) => v - trend * i)))
  const least = significant / Math.sqrt(n)
  return factorOf(n, (k) => {
    const r = correlation(k)
    return Math.abs(r) > least ? r : 0
  })
}

/** The same where the pull is known: levels that pull on the next with a correlation, under the chance of counting, which does not. */
export function pullFactor({ variance, pull, counting }: Scatter, n: number): number {
  const share = variance === 0 ? 0 : variance / (variance + counting)
  return n < 5 ? 1 : factorOf(n, (k) => share * pull ** k)
}

/** By how much the variance of a sum over n weeks is larger where their levels pull on each other. */
export function sumFactor({ variance, pull, counting }: Scatter, n: number): number {
  const share = variance === 0 ? 0 : variance / (variance + counting)
  let sum = 0
  for (let k = 1; k < n; k++) sum += (1 - k / n) * pull ** k
  return 1 + 2 * share * sum
}

function factorOf(n: number, correlation: (lag: number) => number): number {
  let sum = 0
  for (let k = 1; k < n - 2; k++) sum += (n - k) * (n - k - 1) * (n - k - 2) * correlation(k)
  return 1 + (2 / (n * (n - 1) * (n - 2))) * sum
}

/** Correlation of values with those so many places later, as R's `acf`; 0 where all are alike. */
function correlations(values: readonly number[]): (lag: number) => number {
  const n = values.length
  const mean = values.reduce((a, b) => a + b, 0) / n
  let all = 0
  for (const v of values) all += (v - mean) ** 2
  return (lag) => {
    let sum = 0
    for (let i = lag; i < n; i++) sum += ((values[i] as number) - mean) * ((values[i - lag] as number) - mean)
    return all === 0 ? 0 : sum / all
  }
}
