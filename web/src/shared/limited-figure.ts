import type { Measure } from '@sickle/core/engine'

/** What a limit has to know of its figure. */
export type LimitedFigure = Pick<Measure, 'label' | 'format' | 'band'>
