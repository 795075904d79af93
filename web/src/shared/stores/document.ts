import { ref, toRaw, type Ref } from 'vue'
import type { Services } from '@/services/services'
import { Problem } from '@sickle/core/problem'
import { firstFault } from '@sickle/core/schema'
import { toProblem } from '@/shared/problem'
import { plain } from '@/storage/plain'
import { documentForms, type DocumentName } from '@/storage/document-forms'
import { readDocument, setDocumentAside, writeDocument } from '@/storage/documents'
import { journalOf } from './journal'
import { useSetAside } from './set-aside'
import { useTurn } from './turn'

export interface KeptDocument<T> {
  value: Ref<T>
  load: () => Promise<void>
  /**
   * Replaces the document and keeps it at once; resolves when it is safe. What cannot be kept does not stay on the screen either.
   *
   * @throws Problem 'tab-follows', 'storage-full', 'document-invalid'
   */
  set: (next: T) => Promise<void>
}

/** A small document of the workspace: in memory as a ref, at rest after every change, and the same in every tab. Writes keep their order. */
export function keptDocument<T>(services: Services, name: DocumentName, initial: () => T): KeptDocument<T> {
  const value = ref(initial()) as Ref<T>
  const turn = useTurn()
  const setAside = useSetAside()
  const { schema, label } = documentForms[name]
  /** as it rests, so that what could not be written is taken back */
  let resting: T = value.value
  let writing: Promise<void> = Promise.resolve()
  const journal = journalOf(services, name)

  async function load() {
    const db = await services.database()
    let stored: unknown = null
    try {
      stored = await readDocument(db, name)
    } catch (thrown) {
      const problem = toProblem(thrown)
      if (problem.code !== 'document-spoilt') throw problem
      setAside.tell(problem.message)
      if (turn.role === 'writer') await setDocumentAside(db, name)
    }
    value.value = resting = stored === null ? initial() : (stored as T)
    if (turn.role === 'writer') await takeUp()
  }
  /** What a tab was still writing when it was closed is written now. */
  async function takeUp() {
    const unwritten = journal.read()
    if (unwritten === null || firstFault(schema, unwritten)) return journal.clear()
    await set(unwritten as T)
  }
  turn.onGain(() => void load())
  turn.onNews((news) => {
    if (news.about === 'document' && news.name === name) void load()
  })
  async function set(next: T): Promise<void> {
    turn.assertWriter()
    const bare = plain(next)
    const fault = firstFault(schema, bare)
    if (fault) throw new Problem('document-invalid', { name: label, reason: `${fault.where || 'it'} ${fault.what}` })
    journal.note(bare)
    value.value = next
    const shown = toRaw(value.value)
    const write = async () => {
      try {
        await writeDocument(await services.database(), name, bare)
      } catch (thrown) {
        // of what was changed since, its own writing decides
        if (toRaw(value.value) === shown) {
          value.value = resting
          journal.clear()
        }
        throw thrown
      }
      resting = next
      if (toRaw(value.value) === shown) journal.clear()
      turn.tell({ about: 'document', name })
    }
    writing = writing.then(write, write)
    return writing
  }
  return { value, load, set }
}
