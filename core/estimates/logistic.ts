/** A chance that follows a figure: log odds = intercept + slope × x. */
export interface Logistic {
  intercept: number
  slope: number
}

const most = 100

/**
 * Logistic regression on one figure by Newton's method, as R's `glm(family = binomial)` does it.
 *
 * @returns null where a figure parts those that are from those that are not, so that no chance follows from it
 */
export function logistic(x: readonly number[], is: readonly boolean[]): Logistic | null {
  let [intercept, slope] = [0, 0]
  for (let step = 0; step < most; step++) {
    let [g0, g1, h00, h01, h11] = [0, 0, 0, 0, 0]
    x.forEach((v, i) => {
      const p = chanceAt(v, { intercept, slope })
      const [rest, weight] = [Number(is[i]) - p, p * (1 - p)]
      g0 += rest
      g1 += rest * v
      h00 += weight
      h01 += weight * v
      h11 += weight * v * v
    })
    const det = h00 * h11 - h01 * h01
    if (!(det > 1e-12)) return null
    const [d0, d1] = [(h11 * g0 - h01 * g1) / det, (h00 * g1 - h01 * g0) / det]
    intercept += d0
    slope += d1
    if (Math.abs(d0) + Math.abs(d1) < 1e-12) return { intercept, slope }
  }
  return null
}

/** 0–1 */
export const chanceAt = (x: number, { intercept, slope }: Logistic): number =>
  1 / (1 + Math.exp(-intercept - slope * x))
