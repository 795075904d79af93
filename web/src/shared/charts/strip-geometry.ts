import type { StripAnswer } from '@sickle/core/engine'

/** A strip as three outlines, so that a moved brush redraws three paths and not a hundred bars. */
export interface StripPaths {
  /** all items, no limit applied */
  all: string
  /** items that pass every other limit: within this limit, and beyond it */
  inside: string
  outside: string
}

export interface StripSize {
  width: number
  height: number
  /** does a bin lie within the strip's own limit? */
  isInside: (bin: number) => boolean
}

/** A strip's bars, on a square-root scale so that small bins show; an empty bin is no bar, one item is at least a pixel. */
export function stripPaths(strip: StripAnswer, { width, height, isInside }: StripSize): StripPaths {
  const most = Math.max(1, ...strip.all)
  const step = width / strip.all.length
  const bar = (n: number, i: number) => {
    if (n === 0) return ''
    const tall = Math.max(1, Math.sqrt(n / most) * height)
    return `M${round(i * step)} ${round(height - tall)}h${round(Math.max(1, step - 1))}v${round(tall)}h${round(-Math.max(1, step - 1))}z`
  }
  const join = (counts: readonly number[], test: (i: number) => boolean) =>
    counts.map((n, i) => (test(i) ? bar(n, i) : '')).join('')
  return {
    all: join(strip.all, () => true),
    inside: join(strip.passing, isInside),
    outside: join(strip.passing, (i) => !isInside(i)),
  }
}

function round(x: number): number {
  return Math.round(x * 100) / 100
}
