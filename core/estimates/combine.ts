import { fromLog, type Estimate } from './estimate'

/**
 * Independent estimates of one thing as one, weighed in log units by random effects: where they disagree by more than their own spread
 * allows, the answer is wider than any fixed weighing would have it. Null without any; one alone stays what it is.
 *
 * Source: DerSimonian & Laird 1986, Controlled Clinical Trials 7, 177–188; check: statsmodels' `combine_effects` (method 'dl').
 */
export function combine(estimates: readonly Estimate[]): Estimate | null {
  const first = estimates[0]
  if (!first) return null
  if (estimates.length === 1) return first
  const logs = estimates.map((e) => Math.log(e.units))
  // none is surer than a thousandth: weights without end would leave nothing of the others, nor of the arithmetic
  const own = estimates.map((e) => Math.max(e.logSd, leastSd) ** 2)
  const weights = own.map((v) => 1 / v)
  const total = sum(weights)
  const fixed = sum(logs.map((x, i) => x * (weights[i] as number))) / total
  const q = sum(logs.map((x, i) => (weights[i] as number) * (x - fixed) ** 2))
  const scale = total - sum(weights.map((w) => w * w)) / total
  const between = Math.max(0, (q - (estimates.length - 1)) / scale)
  const wider = own.map((v) => 1 / (v + between))
  const all = sum(wider)
  return fromLog('combined', sum(logs.map((x, i) => x * (wider[i] as number))) / all, Math.sqrt(1 / all))
}

const leastSd = 1e-3
const sum = (list: readonly number[]) => list.reduce((a, b) => a + b, 0)
