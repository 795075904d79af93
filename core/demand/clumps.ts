import type { UnitSeries } from './series'

/**
 * How many times as uneven days are as those of single orders: variance over mean, by what neighbouring days differ (von Neumann 1941), so that
 * weeks which rise or fall count for nothing; 1 is Poisson's, and the least. Where orders are of several pieces at once, so many units tell no
 * more than one. Weeks say nothing of it, nor do days without sales.
 *
 * @param days from the last one back
 */
export function clumpOf({ values, stepDays }: UnitSeries, days = 90): number {
  if (stepDays !== 1) return 1
  let [squares, sum] = [0, 0]
  for (let i = Math.max(1, values.length - days + 1); i < values.length; i++) {
    const [now, before] = [values[i] as number, values[i - 1] as number]
    const square = (now - before) ** 2
    if (square !== square) continue
    squares += square
    sum += now + before
  }
  return sum <= 0 ? 1 : Math.max(1, squares / sum)
}
