import type { Cell } from '../../notation'
import type { Encoding } from './decode-text'
import type { CellEdges } from '../bytes/split-bytes'

/** A file as the platform hands it over: the part of the web's Blob and File that is needed. */
export interface FileSource {
  name: string
  size: number
  lastModified?: number
  slice(start: number, end: number): { arrayBuffer(): Promise<ArrayBuffer> }
  stream(): ReadableStream<Uint8Array>
  arrayBuffer(): Promise<ArrayBuffer>
}

export interface OpenOptions {
  signal?: AbortSignal
  /** share of what opening takes, 0–1 */
  onProgress?: (done: number) => void
}

/** A file that is read by pieces only. */
export type SlicedSource = Omit<FileSource, 'stream' | 'lastModified'>

/** A block of a file as it stands in its bytes, whole rows only. */
export interface ByteRows {
  bytes: Uint8Array
  edges: CellEdges
  /** number of the block's first row in the file, from 1 */
  firstRow: number
}

export interface BlockForm {
  delimiter: string
  /** what ends a row */
  newline: '\r\n' | '\n' | '\r'
}

/** A block, or a stretch with irregular quoting as rows; and the share of the file read. */
export type BlockStep = ({ block: ByteRows } | { batch: NumberedRow[] }) & { done: number }

export interface NumberedRow {
  /** names that the first rows do not have: their values are not read, which is told */
  strange?: string[]
  /** as the user counts rows in the file, from 1 */
  row: number
  cells: Cell[]
}

/** What stands in a file, before any of it has a meaning. */
export interface OpenedFile {
  name: string
  format: 'delimited' | 'xlsx' | 'json' | 'ndjson' | 'parquet'
  encoding: Encoding | null
  delimiter: string | null
  sheet: string | null
  sheets: string[]
  /** the texts that stand above the heading row, or beside the records in JSON */
  notes: string[]
  headings: string[]
  /** what of it is not read, or not to be relied on, in sentences */
  warnings?: string[]
  /** the first rows, to judge and to show */
  sample: NumberedRow[]
  /** All rows under the heading in batches, with the share of the file read so far (0–1). Can be called again. */
  rows(signal?: AbortSignal): AsyncIterable<{ batch: NumberedRow[]; done: number }>
  /** The same without making texts, where the file's form allows; a stretch with irregular quoting comes as rows. */
  byteRows?: {
    /** rows up to this number are above the table */
    skip: number
    /** how `readBlocks` is to read the file; another thread may do it */
    form: BlockForm
    blocks: (signal?: AbortSignal) => AsyncIterable<BlockStep>
  }
}

export const limits = {
  textMegabytes: 400,
  bookMegabytes: 200,
  jsonMegabytes: 200,
  parquetMegabytes: 400,
  rowMegabytes: 16,
  columns: 400,
  depth: 40,
  sampleRows: 2000,
  sampleBytes: 1_500_000,
}
