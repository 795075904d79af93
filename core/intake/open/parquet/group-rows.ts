import {
  parquetSchema,
  type ColumnChunk,
  type ColumnMetaData,
  type DecodedArray,
  type FileMetaData,
  type RowGroup,
  type SchemaTree,
} from 'hyparquet'
import { assembleNested } from 'hyparquet/src/assemble.js'
import { DEFAULT_PARSERS } from 'hyparquet/src/convert.js'
import { getTreePath } from 'hyparquet/src/schema.js'
import type { SlicedSource } from '../opened-file'
import { ColumnPages } from './column-pages'

/** A column of a row group from which rows are taken in turn. */
interface RowSource {
  /** as many of the next values as are asked for, fewer at the end */
  take(count: number): unknown[]
}

const mostNestedRows = 4_000_000

/** The top columns of a row group, each ready to be read in turn. @throws Error with the reason */
export async function groupColumns(
  file: SlicedSource,
  metadata: FileMetaData,
  group: RowGroup,
): Promise<{ name: string; source: RowSource }[]> {
  const tree = parquetSchema(metadata)
  const rows = Number(group.num_rows)
  const columns: { name: string; source: RowSource }[] = []
  for (const child of tree.children) {
    const chunks = group.columns.filter((c) => c.meta_data?.path_in_schema[0] === child.element.name)
    const { name } = child.element
    if (chunks.length === 0) continue
    if (child.children.length === 0 && child.element.repetition_type !== 'REPEATED')
      columns.push({ name, source: pagewise(await pagesOf(file, tree, chunks[0] as ColumnChunk, rows)) })
    else columns.push({ name, source: whole(await nestedRows(file, tree, child, chunks, rows)) })
  }
  return columns
}

async function pagesOf(file: SlicedSource, tree: SchemaTree, chunk: ColumnChunk, rows: number): Promise<ColumnPages> {
  const metadata = chunk.meta_data as ColumnMetaData
  const first = metadata.dictionary_page_offset
  const from = Number(
    first !== undefined && first > 0n && first < metadata.data_page_offset ? first : metadata.data_page_offset,
  )
  const size = Number(metadata.total_compressed_size)
  if (!(from >= 0 && size >= 0 && from + size <= file.size)) throw new Error('a column lies outside the file')
  return new ColumnPages(
    await file.slice(from, from + size).arrayBuffer(),
    metadata,
    getTreePath(tree, metadata.path_in_schema),
    rows,
  )
}

/** Columns of lists and records are put together for the whole group, as their rows know no page. */
async function nestedRows(
  file: SlicedSource,
  tree: SchemaTree,
  child: SchemaTree,
  chunks: readonly ColumnChunk[],
  rows: number,
): Promise<DecodedArray> {
  if (rows > mostNestedRows)
    throw new Error(`a group of ${rows} rows holds lists or records; write it in smaller groups`)
  const parts = new Map<string, DecodedArray>()
  for (const chunk of chunks)
    parts.set((chunk.meta_data?.path_in_schema ?? []).join('.'), (await pagesOf(file, tree, chunk, rows)).all())
  if (child.children.length > 0) assembleNested(parts, child, DEFAULT_PARSERS)
  return parts.get(child.element.name) ?? []
}

function pagewise(pages: ColumnPages): RowSource {
  let page: DecodedArray = []
  let at = 0
  return {
    take(count) {
      const taken: unknown[] = []
      while (taken.length < count) {
        if (at >= page.length) {
          const next = pages.next()
          if (next === null) break
          page = next
          at = 0
          continue
        }
        const to = Math.min(page.length, at + count - taken.length)
        for (; at < to; at++) taken.push(page[at])
      }
      return taken
    },
  }
}

function whole(values: DecodedArray): RowSource {
  let at = 0
  return {
    take(count) {
      const taken = Array.from(values.slice(at, at + count) as ArrayLike<unknown>)
      at += taken.length
      return taken
    },
  }
}
