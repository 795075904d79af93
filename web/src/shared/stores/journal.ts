import type { Services } from '@/services/services'
import type { DocumentName } from '@/storage/document-forms'

/** letters of a document beyond which it is not noted: the platform keeps five million of all together */
const most = 1_000_000

/**
 * Notes a document before it is written. Writing takes its time, most of all while much else is being written, and a tab that is
 * reloaded meanwhile takes it along; a note is there at once, and is taken up when Sickle opens again.
 */
export function journalOf({ journal }: Services, name: DocumentName) {
  const key = `sickle unwritten ${name}`
  return {
    note(value: unknown): void {
      const text = JSON.stringify(value)
      try {
        if (text.length <= most) journal?.setItem(key, text)
        else journal?.removeItem(key)
      } catch (thrown) {
        // no room for a note: the writing itself will say so
        if (!(thrown instanceof DOMException)) throw thrown
      }
    },
    read(): unknown {
      try {
        return JSON.parse(journal?.getItem(key) ?? 'null')
      } catch (thrown) {
        if (thrown instanceof SyntaxError) return null
        throw thrown
      }
    },
    clear: () => journal?.removeItem(key),
  }
}
