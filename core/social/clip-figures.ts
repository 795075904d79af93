import type { FigureFormat } from '../records'
import type { Clip } from './clip'

export const clipFigureNames = [
  'day',
  'age',
  'views',
  'likes',
  'comments',
  'shares',
  'units',
  'revenue',
  'perThousand',
  'length',
  'hour',
] as const
/** What clips are sorted and limited by. */
export type ClipFigure = (typeof clipFigureNames)[number]

/** Limits of figures, each by its own span, open where it is null; what is not known is in none. */
export type ClipLimits = Partial<Record<ClipFigure, readonly [number | null, number | null]>>

/** A figure of clips as a screen writes it. */
export interface ClipMeasure {
  name: ClipFigure
  label: string
  format: FigureFormat | 'day'
  /** null where it is not known; money in major units @param newest day of the newest clip of the list */
  of: (clip: Clip, newest: number) => number | null
}

const major = (e4: number | null) => (e4 === null ? null : e4 / 10_000)

/** How each figure is called, and what it is of a clip. */
export const clipFigures: Record<ClipFigure, Omit<ClipMeasure, 'name'>> = {
  day: { label: 'Posted', format: 'day', of: (c) => c.day },
  age: { label: 'Days old', format: 'count', of: (c, newest) => (c.day === null ? null : newest - c.day) },
  views: { label: 'Views', format: 'count', of: (c) => c.views },
  likes: { label: 'Likes', format: 'count', of: (c) => c.likes },
  comments: { label: 'Comments', format: 'count', of: (c) => c.comments },
  shares: { label: 'Shares', format: 'count', of: (c) => c.shares },
  units: { label: 'Units', format: 'count', of: (c) => c.units },
  revenue: { label: 'Sales', format: 'money', of: (c) => major(c.revenueE4) },
  perThousand: {
    label: 'A 1,000 views',
    format: 'money',
    of: (c) => (c.revenueE4 === null || !c.views ? null : c.revenueE4 / 10 / c.views),
  },
  length: { label: 'Seconds', format: 'count', of: (c) => c.length },
  hour: { label: 'Hour', format: 'count', of: (c) => c.hour },
}
