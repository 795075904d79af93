import type { Catalog, Corrections, SellerRules } from '@sickle/core/catalog'
import type { FindRow } from '@sickle/core/engine'
import { fromStored, toStored, type Column, type StoredColumn, type Table } from '@sickle/core/tables'
import type { Database, ImportEntry } from './database'

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

/** What the first screen shows before the catalogue itself is read. */
export interface FirstScreen {
  summary: { items: number; listings: number; offers: number; branches: number; markets: string[]; noRate: string[] }
  /** rows that were made, by place */
  rows: [place: number, row: FindRow][]
  /** places of items that were asked for by key */
  places: [key: string, place: number][]
}

/** Tables of the catalogue; they rest column by column, beside the figures. */
const catalogTables = ['listings', 'life', 'reach', 'unpublished'] as const
const tableNames = [...catalogTables, 'figures'] as const
type TableName = (typeof tableNames)[number]
type CatalogTables = Pick<Catalog, (typeof catalogTables)[number]>

declare const __BUILD__: string

/** Names what a catalogue was worked out from: the build, the imports, rules and corrections. */
export function snapshotPrint(entries: readonly ImportEntry[], rules: SellerRules, corrections: Corrections): string {
  const build = typeof __BUILD__ === 'undefined' ? 'test' : __BUILD__
  return JSON.stringify([build, entries.map((e) => e.id), rules, corrections])
}

/** A snapshot as it is opened: what the first screen needs at once, the rest while it is looked at. */
export interface OpenedSnapshot {
  first: FirstScreen
  figures: Table
  catalog: () => Promise<Catalog>
}

/** What a former session worked out, if it was from the very same. */
export async function readSnapshot(db: Database, print: string): Promise<OpenedSnapshot | null> {
  const head = (await db.get('snapshots', 'head')) as Head | undefined
  if (head?.print !== print) return null
  const read = async (table: TableName): Promise<Table> => {
    const { rows, columns, blank } = head.tables[table]
    const tx = db.transaction('snapshots')
    const stored = await Promise.all(columns.map((name) => tx.store.get(`${table}/${name}`)))
    const unknown = (): Column => ({ type: 'number', values: new Float64Array(rows).fill(NaN) })
    return {
      rows,
      columns: Object.fromEntries([
        ...columns.map((name, i) => [name, fromStored(stored[i] as StoredColumn)] as const),
        ...blank.map((name) => [name, unknown()] as const),
      ]),
    }
  }
  return {
    first: head.first,
    figures: await read('figures'),
    async catalog() {
      const rest = (await db.get('snapshots', 'rest')) as Omit<Catalog, keyof CatalogTables>
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
    void tx.store.put(head, 'head')
    void tx.store.put(rest, 'rest')
    for (const table of tableNames)
      for (const [name, column] of Object.entries(tables[table].columns))
        if (!isBlank(column)) void tx.store.put(toStored(column), `${table}/${name}`)
    await tx.done
  } catch (error) {
    if ((error as Error).name !== 'QuotaExceededError') throw error
    await db.clear('snapshots')
  }
}

/** A column of numbers of which none is known. */
function isBlank(column: Column | undefined): boolean {
  return column?.type === 'number' && column.values.every((v) => Number.isNaN(v))
}
