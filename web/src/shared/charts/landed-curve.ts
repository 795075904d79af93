import { line, scaleLinear, scaleLog } from 'd3'
import type { LandedAt } from '@sickle/core/margin'

export interface LandedCurve {
  path: string
  /** whole quantities below the axis, px from the left */
  ticks: { x: number; quantity: number }[]
  /** amounts at the left, px from the top */
  levels: { y: number; e4: number }[]
  /** my lot on the curve; null where it is not on it */
  lot: { x: number; y: number; landedE4: number } | null
}

export interface CurveSize {
  /** px */
  width: number
  height: number
  /** supplier's packs in my first order */
  lot: number
}

const pad = { left: 44, right: 12, top: 10, bottom: 20 }

/** Landed cost against quantity: quantities on a log scale, since a step from 1 to 10 says as much as one from 10 to 100; cost from zero. */
export function landedCurve(steps: readonly LandedAt[], { width, height, lot }: CurveSize): LandedCurve | null {
  const [first, last] = [steps[0], steps.at(-1)]
  if (!first || !last || first === last) return null
  const x = scaleLog([first.quantity, last.quantity], [pad.left, width - pad.right])
  const most = Math.max(...steps.map((s) => s.landedE4))
  const y = scaleLinear([0, most || 1], [height - pad.bottom, pad.top]).nice(4)
  const at = steps.find((s) => s.quantity === lot)
  const path = line<LandedAt>(
    (s) => x(s.quantity),
    (s) => y(s.landedE4),
  )(steps)
  return {
    path: path ?? '',
    ticks: roundOnes(first.quantity, last.quantity).map((quantity) => ({ x: x(quantity), quantity })),
    levels: y.ticks(3).map((e4) => ({ y: y(e4), e4 })),
    lot: at ? { x: x(at.quantity), y: y(at.landedE4), landedE4: at.landedE4 } : null,
  }
}

/** 1, 2, 5, 10, 20, … within two quantities. */
function roundOnes(from: number, to: number): number[] {
  const found: number[] = []
  for (let ten = 1; ten <= to; ten *= 10)
    for (const n of [ten, 2 * ten, 5 * ten]) if (n >= from && n <= to) found.push(n)
  return found.length > 6 ? found.filter((n) => /^1/.test(String(n))) : found
}
