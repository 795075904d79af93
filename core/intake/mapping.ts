import type { DateOrder, NumberStyle } from '../notation'
import type { ColumnStyle } from './recognise/column-style'
import type { ColumnUse } from './recognise/guess'
import type { KindName } from '../records'

/** How one file is read: all that the user can correct. */
export interface Mapping {
  kind: KindName
  columns: ColumnUse[]
  /** by place; where a column's cells are written in a way of their own */
  styles: ColumnStyle[]
  number: NumberStyle
  order: DateOrder
  /** for the whole file, where no column says it; null is still open */
  market: string | null
  supplier: string | null
  currency: string | null
  /** last day the figures speak of, days since 1970 */
  capturedOn: number
  /** length of the window that 'units' counts, in days */
  windowDays: number
  /** the last day that a cell may name without doubt, days since 1970; null where any is taken */
  latestDay: number | null
  /** questions that the user has answered, by their `id` */
  said?: string[]
}
