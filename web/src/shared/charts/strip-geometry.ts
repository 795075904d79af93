import type { StripAnswer } from '@sickle/core/engine'

export interface StripBar {
  x: number
  width: number
  /** heights from the bottom, in the strip's own height */
  all: number
  passing: number
}

/** A strip's bars: all items behind, those that pass every other limit in front, on a square-root scale so that small bins show. */
export function stripBars(strip: StripAnswer, width: number, height: number): StripBar[] {
  const most = Math.max(1, ...strip.all)
  const step = width / strip.all.length
  const tall = (n: number) => (n === 0 ? 0 : Math.max(1, Math.sqrt(n / most) * height))
  return strip.all.map((n, i) => ({
    x: i * step,
    width: Math.max(1, step - 1),
    all: tall(n),
    passing: tall(strip.passing[i] ?? 0),
  }))
}
