import type { Catalog, Corrections, SellerRules } from '@sickle/core/catalog'
import type { FindRow } from '@sickle/core/engine'
import { Problem } from '@sickle/core/problem'
import { fromStored, isBlank, toStored, type Column, type StoredColumn, type Table } from '@sickle/core/tables'
import type { Database, ImportEntry } from './schema'
import { isSound, sealed } from './seal'

/** What was worked out last, so that reopening does not work it out again. It is no part of the workspace: it can always be made anew. */
export interface Worked {
  catalog: Catalog
  figures: Table
}

interface Head {
  print: string
  /** what each table has; of `blank` columns nothing is known, so nothing rests */
  tables: Record<TableName, { rows: number; columns: string[]; blank: string[] }>
  first: FirstScreen
}

/** What is gathered, in numbers. */
export interface WorkedSummary {
  items: number
  listings: number
  offers: number
  /** categories that the items lie in */
  branches: number
  stores: number
  markets: string[]
  /** currencies of listings for which there is no rate */
  noRate: string[]
  /** last day that any figure speaks of; null where nothing is gathered */
  figuresTo: number | null
}

/** What the first screen shows before the catalog itself is read. */
export interface FirstScreen {
  summary: WorkedSummary
  /** rows that were made, by place */
  rows: [place: number, row: FindRow][]
  /** places of items that were asked for by key */
  places: [key: string, place: number][]
}

/** Tables of the catalog; they rest column by column, beside the figures. */
const catalogTables = ['listings', 'life', 'reach', 'unpublished'] as const
const tableNames = [...catalogTables, 'figures'] as const
type TableName = (typeof tableNames)[number]
type CatalogTables = Pick<Catalog, (typeof catalogTables)[number]>

declare const __BUILD__: string

/** Names what a catalog was worked out from: the build, the imports but those set aside, rules and corrections. */
export function snapshotPrint(
  entries: readonly ImportEntry[],
  rules: SellerRules,
  corrections: Corrections,
  spoilt: ReadonlyMap<string, string> = new Map(),
): string {
  const build = typeof __BUILD__ === 'undefined' ? 'test' : __BUILD__
  return JSON.stringify([build, entries.map((e) => e.id).filter((id) => !spoilt.has(id)), rules, corrections])
}

/** A snapshot as it is opened: what the first screen needs at once, the rest while it is looked at. */
export interface OpenedSnapshot {
  first: FirstScreen
  figures: Table
  catalog: () => Promise<Catalog>
}

/** A part of what was kept; null where it is gone, or is not as it was. */
async function soundPart<T>(db: Database, key: string): Promise<T | null> {
  const part = await db.get('snapshots', key)
  return part && isSound(['snapshots', key], part) ? (part.value as T) : null
}

/** What a former session worked out, if it was from the very same, and is as it was kept. */
export async function readSnapshot(db: Database, print: string): Promise<OpenedSnapshot | null> {
  const head = await soundPart<Head>(db, 'head')
  if (head?.print !== print) return null
  const read = async (table: TableName): Promise<Table> => {
    const { rows, columns, blank } = head.tables[table]
    const stored = await Promise.all(columns.map((name) => soundPart<StoredColumn>(db, `${table}/${name}`)))
    if (stored.includes(null)) throw new Problem('snapshot-spoilt')
    // one list for all of them, as when they were worked out
    const unknown: Column = { type: 'number', values: new Float64Array(rows).fill(NaN) }
    return {
      rows,
      columns: Object.fromEntries([
        ...columns.map((name, i) => [name, fromStored(stored[i] as StoredColumn)] as const),
        ...blank.map((name) => [name, unknown] as const),
      ]),
    }
  }
  const figures = await read('figures').catch(() => null)
  if (figures === null) return null
  return {
    first: head.first,
    figures,
    async catalog() {
      const rest = await soundPart<Omit<Catalog, keyof CatalogTables>>(db, 'rest')
      if (rest === null) throw new Problem('snapshot-spoilt')
      const tables = await Promise.all(catalogTables.map(async (name) => [name, await read(name)] as const))
      return { ...rest, ...(Object.fromEntries(tables) as unknown as CatalogTables) }
    },
  }
}

/** Keeps what was worked out. Where there is no room for it, it is done without. */
export async function writeSnapshot(
  db: Database,
  print: string,
  { catalog, figures }: Worked,
  first: FirstScreen,
): Promise<void> {
  const { listings, life, reach, unpublished, ...rest } = catalog
  const tables: Record<TableName, Table> = { listings, life, reach, unpublished, figures }
  const shapes = tableNames.map((name) => {
    const { rows, columns } = tables[name]
    const blank = Object.keys(columns).filter((c) => isBlank(columns[c]))
    return [name, { rows, columns: Object.keys(columns).filter((c) => !blank.includes(c)), blank }] as const
  })
  const head: Head = { print, first, tables: Object.fromEntries(shapes) as Head['tables'] }
  try {
    const tx = db.transaction('snapshots', 'readwrite')
    void tx.store.clear()
    const put = (key: string, value: unknown) => void tx.store.put(sealed(['snapshots', key], { value }), key)
    put('head', head)
    put('rest', rest)
    for (const table of tableNames)
      for (const [name, column] of Object.entries(tables[table].columns))
        if (!isBlank(column)) put(`${table}/${name}`, toStored(column))
    await tx.done
  } catch (error) {
    if ((error as Error).name !== 'QuotaExceededError') throw error
    await db.clear('snapshots')
  }
}
