import type { Services } from '@/services/services'
import { documentForms, type DocumentName, type PartChanges } from '@/storage/document-forms'
import { changesOf } from '@/storage/documents'

/** letters of a note beyond which none is made: the platform keeps five million of all together */
const most = 1_000_000

/** What is not written yet of a document in parts. */
type PartsNote = Pick<PartChanges, 'head' | 'put'>

/**
 * Notes a document before it is written. Writing takes its time, most of all while much else is being written, and a tab that is
 * reloaded meanwhile takes it along; a note is there at once, and is taken up when Sickle opens again. Of a document in parts only the
 * parts are noted that are not written yet.
 */
export function journalOf({ journal }: Services, name: DocumentName) {
  const key = `sickle unwritten ${name}`
  return {
    /** @param changes what of it is to be written, where it rests in parts */
    note(value: unknown, changes: PartChanges | null): void {
      const note = changes ? ({ head: changes.head, put: changes.put } satisfies PartsNote) : value
      const text = JSON.stringify(note)
      try {
        if (text.length <= most) journal?.setItem(key, text)
        else journal?.removeItem(key)
      } catch (thrown) {
        // no room for a note: the writing itself will say so
        if (!(thrown instanceof DOMException)) throw thrown
      }
    },
    /** What was noted, as a whole document; null where nothing was, or it goes with nothing that rests. */
    read(resting: unknown): unknown {
      const note = readNote(journal?.getItem(key) ?? 'null')
      const { inParts } = documentForms[name]
      if (!inParts || !isPartsNote(note)) return note
      const parts = resting === null ? [] : (changesOf(name, resting, null)?.put ?? [])
      return inParts.join(note.head as never, new Map([...parts, ...note.put]))
    },
    clear: () => journal?.removeItem(key),
  }
}

function readNote(text: string): unknown {
  try {
    return JSON.parse(text)
  } catch (thrown) {
    if (thrown instanceof SyntaxError) return null
    throw thrown
  }
}

function isPartsNote(note: unknown): note is PartsNote {
  return typeof note === 'object' && note !== null && 'head' in note && Array.isArray((note as PartsNote).put)
}
