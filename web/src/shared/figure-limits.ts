import type { Span } from '@sickle/core/engine'
import type { LimitedFigure } from './limited-figure'
import { spanWords } from './span-words'
import type { LimitChip } from './widgets/limit-chip'

/** Spans of figures by their names; open where one is null. */
export type FigureLimits<T extends string> = Partial<Record<T, readonly [number | null, number | null]>>

/** The same limits but for one figure's; a span that is open at both ends lifts it. */
export function withLimit<T extends string>(limits: FigureLimits<T>, name: T, span: Span | null): FigureLimits<T> {
  const { [name]: _, ...others } = limits
  const isOpen = span === null || span.every((end) => end === null)
  return (isOpen ? others : { ...others, [name]: span }) as FigureLimits<T>
}

/** The limits that hold, in the order of the figures, each to be changed where it stands. */
export function limitChips<T extends string>(
  figures: readonly (LimitedFigure & { name: T })[],
  limits: FigureLimits<T>,
  set: (name: T, span: Span | null) => void,
): LimitChip[] {
  return figures.flatMap((measure) => {
    const span = limits[measure.name]
    if (!span) return []
    return {
      label: `${measure.label} ${spanWords(measure, span)}`,
      lift: () => set(measure.name, null),
      edit: { measure, span, set: (next: Span) => set(measure.name, next) },
    }
  })
}
