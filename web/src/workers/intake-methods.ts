import {
  holdingOf,
  importRows,
  openFile,
  proposeMapping,
  previewRows,
  Recogniser,
  type ImportResult,
  type Learned,
  type Mapping,
  type OpenedFile,
  type OpenOptions,
} from '@sickle/core/intake'
import { recordKind } from '@sickle/core/records'
import { restoreBackup, writeBackup } from '../storage/backup'
import { stopIfCancelled } from '@sickle/core/problem'
import { openDatabase } from '../storage/database'
import type { ImportEntry } from '../storage/schema'
import { enterImport, removeImport, saveSegment } from '../storage/imports'
import type { CallContext } from './channel'
import { exportMethods } from './export-methods'
import { pauseEvery } from './pause'
import { remoteBlocks } from './remote-blocks'
import { seldom } from './seldom'

/** An opened file as the page sees it: no rows but the first. */
function summary(file: OpenedFile) {
  const { name, format, encoding, delimiter, sheet, sheets, notes, headings, warnings, sample } = file
  const holds = headings.map((_, at) => holdingOf(sample.slice(0, 240).map((r) => r.cells[at] ?? null)))
  return {
    name,
    format,
    encoding,
    delimiter,
    sheet,
    sheets,
    notes,
    headings,
    warnings,
    holds,
    firstRows: sample.slice(0, 6),
  }
}

export type FileSummary = ReturnType<typeof summary>

/** The file that was looked at last stays open, so that a changed mapping does not read it again. */
let last: { file: File; sheet: string | null; opened: OpenedFile } | null = null

/** It knows all words of all fields, which takes a moment to make. */
let recogniser: Recogniser | null = null

const pause = pauseEvery(60)

async function open(file: File, sheet: string | null, options: OpenOptions = {}): Promise<OpenedFile> {
  if (
    last &&
    last.file.name === file.name &&
    last.file.size === file.size &&
    last.file.lastModified === file.lastModified &&
    last.sheet === sheet
  ) {
    return last.opened
  }
  const result = await openFile(file, sheet, options)
  last = { file, sheet, opened: result }
  return result
}

/** A large file is read and split in a thread of its own. */
const largeBytes = 8_000_000
function withHelper(opened: OpenedFile, file: File): OpenedFile {
  const { byteRows } = opened
  if (!byteRows || file.size < largeBytes) return opened
  return { ...opened, byteRows: { ...byteRows, blocks: (signal) => remoteBlocks(file, byteRows.form, signal) } }
}

/** What the intake worker is asked for. */
export const intakeMethods = {
  ...exportMethods,

  async plan(
    { signal, progress }: CallContext,
    file: File,
    sheet: string | null,
    now: number,
    learned: Learned | null = null,
  ) {
    const o = await open(file, sheet, { signal, onProgress: seldom(100, (done: number) => progress(done)) })
    recogniser ??= new Recogniser()
    return { file: summary(o), proposal: proposeMapping(o, now, { learned, recogniser }) }
  },

  async preview(_: CallContext, file: File, sheet: string | null, mapping: Mapping) {
    return previewRows(await open(file, sheet), mapping, 8)
  },

  async run({ signal, progress }: CallContext, file: File, sheet: string | null, mapping: Mapping, about: AboutImport) {
    const o = withHelper(await open(file, sheet), file)
    const db = await openDatabase()
    // One segment rests while the next is read.
    let saving: Promise<void> = Promise.resolve()
    try {
      const result = await importRows(o, mapping, {
        signal,
        pause,
        onProgress: seldom(100, (done: number, rows: number) => progress({ done, rows })),
        async onSegment(table, segment) {
          await saving
          saving = saveSegment(db, about.id, segment, table)
          saving.catch(() => undefined) // heard of at the next await
        },
      })
      await saving
      stopIfCancelled(signal)
      const entry = entryOf(file, mapping, result, about)
      if (result.taken > 0) {
        if (result.table.rows > 0) await saveSegment(db, about.id, result.segments.length - 1, result.table)
        await enterImport(db, entry, {
          headings: o.headings,
          rejected: result.rejected,
          more: result.rejectedMore,
          doubts: result.doubts,
        })
      }
      last = null
      return {
        entry,
        rejects: { headings: o.headings, rejected: result.rejected.slice(0, 500), doubts: result.doubts.slice(0, 200) },
      }
    } catch (error) {
      // Nothing of an import that failed or was stopped is left behind.
      await saving.catch(() => undefined)
      await removeImport(db, about.id)
      throw error
    } finally {
      db.close()
    }
  },

  async backup(_: CallContext) {
    const db = await openDatabase()
    return writeBackup(db).finally(() => db.close())
  },

  async restore(_: CallContext, file: File) {
    const db = await openDatabase()
    try {
      await restoreBackup(db, file)
    } finally {
      db.close()
    }
  },
}

interface AboutImport {
  id: string
  /** ms since 1970 */
  now: number
  demo: boolean
}

function entryOf(file: File, mapping: Mapping, result: ImportResult, about: AboutImport): ImportEntry {
  return {
    id: about.id,
    file: file.name,
    kind: mapping.kind,
    from: mapping[recordKind(mapping.kind).from],
    rows: result.segments.reduce((a, b) => a + b, 0),
    taken: result.taken,
    rejected: result.rejected.length + result.rejectedMore,
    doubts: result.doubts.length + result.doubtsMore,
    capturedOn: result.capturedOn,
    windowDays: mapping.windowDays,
    importedAt: about.now,
    fileBytes: file.size,
    segments: result.segments,
    demo: about.demo,
  }
}

export type IntakeMethods = typeof intakeMethods
