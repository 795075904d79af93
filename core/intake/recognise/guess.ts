import type { Cell } from '../../notation'
import type { Holding } from './holding'
import type { KindName } from '../../records'
import type { ColumnProfile } from './column-profile'
import type { Heading } from './heading'
import type { HeadingFits } from './vocabulary'

/** What a column is taken for: a field of the kind, a price step, one day of a wide sales file, or nothing. */
export type ColumnUse =
  { as: 'field'; field: string } | { as: 'tier'; from: number } | { as: 'day'; day: number } | { as: 'unused' }

/** How surely: of what is called sure, 99 in 100 are right (docs/estimates.md); 'said' is what the seller said of such a column before. */
export type Surety = 'said' | 'sure' | 'likely' | 'unsure' | 'none'

export interface ColumnGuess {
  use: ColumnUse
  surety: Surety
  /** what it was judged by; null where nothing had to be judged */
  evidence?: Evidence
}

export interface KindGuess {
  kind: KindName
  columns: ColumnGuess[]
  /** figures the kind lives on that no column gives, each with a column that looks like it */
  leftOut: { field: string; column: number | null }[]
  /** how well the kind explains the file; only the order and the distance matter */
  score: number
  /** required fields for which no column was found */
  missing: string[]
}

export interface Evidence {
  /** what all columns together lose if this one is taken for something else, or for nothing */
  regret: number
  /** how well the heading names the field, 0 to 1 */
  heading: number
  /** what the cells say */
  values: number
}

/** A column as the guess sees it. */
export interface SeenColumn {
  text: string
  heading: Heading
  fits: HeadingFits
  profile: ColumnProfile
  cells: readonly Cell[]
  /** is it the product of two others, or one of those; or one of two amounts of which one is always lower? */
  sum: 'product' | 'price' | 'units' | 'cost' | 'dearer' | null
  holds: Holding
}
