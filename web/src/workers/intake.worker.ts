import { importRows, openFile, proposeMapping, previewRows, type Mapping, type OpenedFile } from '@sickle/core/intake'
import { restoreBackup, writeBackup } from '../storage/backup'
import { stopIfCancelled } from '@sickle/core/problem'
import { openDatabase, type ImportEntry } from '../storage/database'
import { saveImport } from '../storage/imports'
import { serve, type CallContext } from './channel'

/** An opened file as the page sees it: no rows but the first. */
function summary(file: OpenedFile) {
  const { name, format, encoding, delimiter, sheet, sheets, notes, headings, sample } = file
  return { name, format, encoding, delimiter, sheet, sheets, notes, headings, firstRows: sample.slice(0, 6) }
}

export type FileSummary = ReturnType<typeof summary>

/** The file that was looked at last stays open, so that a changed mapping does not read it again. */
let last: { file: File; sheet: string | null; opened: OpenedFile } | null = null

const pause = () => new Promise<void>((resolve) => setTimeout(resolve))

async function open(file: File, sheet: string | null): Promise<OpenedFile> {
  if (
    last &&
    last.file.name === file.name &&
    last.file.size === file.size &&
    last.file.lastModified === file.lastModified &&
    last.sheet === sheet
  ) {
    return last.opened
  }
  const result = await openFile(file, sheet)
  last = { file, sheet, opened: result }
  return result
}

const methods = {
  async plan(_: CallContext, file: File, sheet: string | null, now: number) {
    const o = await open(file, sheet)
    return { file: summary(o), proposal: proposeMapping(o, now) }
  },

  async preview(_: CallContext, file: File, sheet: string | null, mapping: Mapping) {
    return previewRows(await open(file, sheet), mapping, 8)
  },

  async run(
    { signal, progress }: CallContext,
    file: File,
    sheet: string | null,
    mapping: Mapping,
    about: { id: string; now: number; demo: boolean },
  ) {
    const o = await open(file, sheet)
    const result = await importRows(o, mapping, { signal, pause, onProgress: (done, rows) => progress({ done, rows }) })
    stopIfCancelled(signal)
    const entry: ImportEntry = {
      id: about.id,
      file: file.name,
      kind: mapping.kind,
      from: mapping.kind === 'offers' ? mapping.supplier : mapping.market,
      rows: result.table.rows,
      taken: result.taken,
      rejected: result.rejected.length + result.rejectedMore,
      doubts: result.doubts.length + result.doubtsMore,
      capturedOn: result.capturedOn,
      windowDays: mapping.windowDays,
      importedAt: about.now,
      fileBytes: file.size,
      columns: Object.keys(result.table.columns),
      demo: about.demo,
    }
    if (result.taken > 0) {
      const db = await openDatabase()
      await saveImport(db, entry, result.table, {
        headings: o.headings,
        rejected: result.rejected,
        more: result.rejectedMore,
        doubts: result.doubts,
      })
      db.close()
    }
    last = null
    return {
      entry,
      rejects: { headings: o.headings, rejected: result.rejected.slice(0, 500), doubts: result.doubts.slice(0, 200) },
    }
  },

  async backup(_: CallContext) {
    const db = await openDatabase()
    const bytes = await writeBackup(db)
    db.close()
    return bytes
  },

  async restore(_: CallContext, file: File) {
    const db = await openDatabase()
    try {
      await restoreBackup(db, new Uint8Array(await file.arrayBuffer()), file.name)
    } finally {
      db.close()
    }
  },
}

export type IntakeMethods = typeof methods

serve(self, methods)
