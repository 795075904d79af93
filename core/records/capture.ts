import type { Table } from '../tables'
import type { KindName } from './field'

/** One import as it lies at rest. */
export interface Capture {
  id: string
  kind: KindName
  /** last day its figures speak of, days since 1970 */
  capturedOn: number
  windowDays: number
  table: Table
}
