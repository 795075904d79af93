import { ref, toRaw, type Ref } from 'vue'
import type { Services } from '@/app/services'
import { Problem } from '@sickle/core/problem'
import { firstFault } from '@sickle/core/schema'
import { toProblem } from '@/shared/problem'
import { plain } from '@/shared/plain'
import { documentForms, type DocumentName } from '@/storage/document-forms'
import { readDocument, setDocumentAside, writeDocument } from '@/storage/documents'
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
  }
  turn.onNews((news) => {
    if (news.about === 'document' && news.name === name) void load()
  })
  return {
    value,
    load,
    async set(next) {
      turn.assertWriter()
      const bare = plain(next)
      const fault = firstFault(schema, bare)
      if (fault) throw new Problem('document-invalid', { name: label, reason: `${fault.where || 'it'} ${fault.what}` })
      value.value = next
      const shown = toRaw(value.value)
      const write = async () => {
        try {
          await writeDocument(await services.database(), name, bare)
        } catch (thrown) {
          // of what was changed since, its own writing decides
          if (toRaw(value.value) === shown) value.value = resting
          throw thrown
        }
        resting = next
        turn.tell({ about: 'document', name })
      }
      writing = writing.then(write, write)
      return writing
    },
  }
}
