import { scaleLinear } from 'd3'

export interface Rung {
  id: string
  label: string
  priceE4: number
  profitE4: number | null
}

export interface PlacedRung extends Rung {
  /** where the price lies, and where its label found room, px from the top */
  y: number
  labelY: number
}

export interface Ladder {
  rungs: PlacedRung[]
  y: (priceE4: number) => number
  priceAt: (y: number) => number
  low: number
  high: number
}

export interface LadderOptions {
  /** my price, E4: its place is kept free of other labels */
  mineE4: number
  /** other prices that must be on the scale, E4 */
  marksE4: readonly number[]
  /** px */
  height: number
  /** least distance between labels, px */
  gap?: number
}

/** A vertical price scale, dear at the top: a rung for each competing price, its label moved only as far as others force it. */
export function ladder(rungs: readonly Rung[], { mineE4, marksE4, height, gap = 17 }: LadderOptions): Ladder {
  const prices = [...rungs.map((r) => r.priceE4), mineE4, ...marksE4].filter((p) => p > 0)
  const [least, most] = [Math.min(...prices), Math.max(...prices)]
  const pad = Math.max((most - least) * 0.06, most * 0.04, 100)
  const [low, high] = [Math.max(0, least - pad), most + pad]
  const scale = scaleLinear([low, high], [height - 10, 10])
  const sorted = [...rungs]
    .sort((a, b) => b.priceE4 - a.priceE4)
    .map((r) => ({ ...r, y: scale(r.priceE4), labelY: scale(r.priceE4) }))
  const mine = scale(mineE4)
  const above = sorted.filter((r) => r.priceE4 > mineE4).reverse()
  const below = sorted.filter((r) => r.priceE4 <= mineE4)
  spread(above, mine, -Math.min(gap, (mine - 14) / (above.length + 0.4)))
  spread(below, mine, Math.min(gap, (height - mine - 14) / (below.length + 0.4)))
  return { rungs: sorted, y: (p) => scale(p), priceAt: (y) => scale.invert(y), low, high }
}

/** Pushes labels away from where mine stands, each only as far as the one before it forces; `step` is negative upwards. */
function spread(rungs: PlacedRung[], from: number, step: number): void {
  let last = from + step * 0.4
  for (const rung of rungs) {
    rung.labelY = step < 0 ? Math.min(rung.labelY, last + step) : Math.max(rung.labelY, last + step)
    last = rung.labelY
  }
}
