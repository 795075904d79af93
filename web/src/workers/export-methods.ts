import { dataPackage, exportedColumns, writeExport, type ExportedColumn, type ExportFormat } from '@sickle/core/exports'
import { recordKind } from '@sickle/core/records'
import { openDatabase } from '../storage/database'
import type { Database, ImportEntry } from '../storage/schema'
import { findImport, listImports, loadCaptures } from '../storage/imports'
import type { CallContext } from './channel'

/** Columns of the import that was looked at last: its pages follow one another. */
let last: { id: string; columns: ExportedColumn[] } | null = null

async function withDatabase<T>(work: (db: Database) => Promise<T>): Promise<T> {
  const db = await openDatabase()
  try {
    return await work(db)
  } finally {
    db.close()
  }
}

async function columnsOf(db: Database, entry: ImportEntry): Promise<ExportedColumn[]> {
  const captures = await loadCaptures(db, entry)
  return exportedColumns(
    captures.map((c) => c.table),
    entry.kind,
  )
}

async function columnsById(id: string): Promise<ExportedColumn[]> {
  if (last?.id === id) return last.columns
  const columns = await withDatabase(async (db) => {
    const entry = await findImport(db, id)
    return entry ? columnsOf(db, entry) : []
  })
  last = { id, columns }
  return columns
}

/** Looking at what was brought in, and taking it out again in open forms. */
export const exportMethods = {
  /** Some records of an import, in the units people use. */
  async records(_: CallContext, id: string, from: number, count: number) {
    const columns = await columnsById(id)
    const total = columns[0]?.values.length ?? 0
    const rows = Array.from({ length: Math.max(0, Math.min(count, total - from)) }, (_row, i) =>
      columns.map((c) => c.values[from + i] ?? null),
    )
    return { total, columns: columns.map(({ name, label, type }) => ({ name, label, type })), rows }
  },

  async exportRecords(_: CallContext, id: string, format: ExportFormat, sheet: string) {
    return writeExport(format, await columnsById(id), sheet)
  },

  /** All that was brought in, as a Data Package. */
  async exportPackage({ progress }: CallContext, now: number) {
    return withDatabase(async (db) => {
      const entries = await listImports(db)
      const names = new Map<string, number>()
      const resources = []
      for (const [i, entry] of entries.entries()) {
        progress(i / entries.length)
        const base = slug(`${entry.kind}-${entry.from ?? ''}`)
        const nth = (names.get(base) ?? 0) + 1
        names.set(base, nth)
        const title = `${recordKind(entry.kind).label} from ${entry.file}`
        resources.push({ name: nth === 1 ? base : `${base}-${nth}`, title, columns: await columnsOf(db, entry) })
      }
      return dataPackage(resources, { created: new Date(now).toISOString() })
    })
  },
}

/** Lower case letters, digits and hyphens, as names of a Data Package are written. */
function slug(text: string): string {
  return text
    .normalize('NFD')
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-|-$/g, '')
}
