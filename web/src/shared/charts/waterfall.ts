import { scaleLinear } from 'd3'
import type { CostLine } from '@sickle/core/margin'

export interface WaterfallBar {
  line: CostLine
  /** left edge and width as shares of the whole, 0–1 */
  from: number
  width: number
  /** what remains after this line; null from an unknown line on */
  remains: number | null
}

export interface Waterfall {
  bars: WaterfallBar[]
  zero: number
}

/** From price to profit: each line begins where the one before ended. The scale takes in zero and everything reached. */
export function waterfall(lines: readonly CostLine[]): Waterfall {
  let sum: number | null = 0
  const steps = lines.map((line) => {
    const before: number | null = sum
    sum = sum === null || line.amountE4 === null ? null : sum + line.amountE4
    return { line, before, after: sum }
  })
  const reached = [0, ...steps.flatMap((s) => [s.before ?? 0, s.after ?? 0])]
  const x = scaleLinear([Math.min(...reached), Math.max(1, ...reached)], [0, 1])
  const bars = steps.map(({ line, before, after }) => {
    const [a, b] = [x(before ?? 0), x(after ?? before ?? 0)]
    return { line, from: Math.min(a, b), width: Math.abs(b - a), remains: after }
  })
  return { bars, zero: x(0) }
}
