import type { DateOrder, NumberStyle } from '../../notation'
import type { Mapping } from '../mapping'

/** How the cells of one column are to be read. */
export interface CellStyle {
  number: NumberStyle
  order: DateOrder
  /** of shares written as plain figures; a sign of percent is always believed (default 'share') */
  ratio?: 'percent' | 'share'
  /** of days written as plain figures; without it such figures are no days */
  days?: 'serial' | 'seconds' | 'milliseconds'
  /** what a plain yes says in a column of verdicts, by its heading; left out, it is the text it is */
  yes?: 'restricted' | 'allowed'
  /** unit of plain figures in a column of weights or sizes; left out, they have none */
  unit?: string
  /** days after it are doubted, days since 1970 */
  latestDay?: number | null
}

/** The style of the column at a place of the file. */
export function styleAt(mapping: Mapping, at: number): CellStyle {
  const { number, order, latestDay } = mapping
  return { number, order, latestDay, ...mapping.styles[at] }
}

/** The style of the column that holds a field; that of the file where none does. */
export function styleOfField(mapping: Mapping, field: string): CellStyle {
  return styleAt(
    mapping,
    mapping.columns.findIndex((c) => c.as === 'field' && c.field === field),
  )
}
