import type { Span } from '@sickle/core/engine'
import type { LimitedFigure } from '../limited-figure'

/** One limit that holds, in words, and how to lift it. */
export interface LimitChip {
  label: string
  lift: () => void
  /** a span that can be changed where it stands */
  edit?: {
    measure: LimitedFigure & { name: string }
    span: readonly [number | null, number | null]
    set: (span: Span) => void
  }
}
