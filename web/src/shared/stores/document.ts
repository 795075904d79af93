import { shallowRef, type ShallowRef } from 'vue'
import type { Services } from '@/services/services'
import { Problem } from '@sickle/core/problem'
import { firstFault } from '@sickle/core/schema'
import { toProblem } from '@/shared/problem'
import { plain } from '@/storage/plain'
import { documentForms, type DocumentName, type InParts, type PartChanges } from '@/storage/document-forms'
import { changesOf, readDocument, setDocumentAside, writeDocument } from '@/storage/documents'
import { journalOf } from './journal'
import type { Database } from '@/storage/schema'
import { useSetAside } from './set-aside'
import { useWriteLock } from './write-lock'

export interface KeptDocument<T> {
  /** what is in it is never changed in place */
  value: ShallowRef<T>
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
  const value: ShallowRef<T> = shallowRef(initial())
  const writeLock = useWriteLock()
  const setAside = useSetAside()
  const { schema, label, inParts } = documentForms[name]
  /** as it rests, so that what could not be written is taken back */
  let resting: T = value.value
  /** the same where it is known to rest; null where nothing is */
  let atRest: T | null = null
  let writing: Promise<void> = Promise.resolve()
  const journal = journalOf(services, name)

  async function load() {
    const stored = await readOrSetAside(await services.database(), name, { writeLock, setAside })
    value.value = resting = stored === null ? initial() : (stored as T)
    atRest = stored as T | null
    if (writeLock.role === 'writer') await takeUp()
  }
  /** What a tab was still writing when it was closed is written now. */
  async function takeUp() {
    const unwritten = journal.read(atRest)
    if (unwritten === null || firstFault(schema, unwritten)) return journal.clear()
    await set(unwritten as T)
  }
  writeLock.onGain(() => void load())
  writeLock.onNews((news) => {
    if (news.about === 'document' && news.name === name) void load()
  })
  async function set(next: T): Promise<void> {
    writeLock.assertWriter()
    const changes = changesOf(name, next, atRest)
    const fault = changes ? faultInParts(inParts as InParts, changes) : firstFault(schema, plain(next))
    if (fault) throw new Problem('document-invalid', { name: label, reason: `${fault.where || 'it'} ${fault.what}` })
    journal.note(next, changes)
    value.value = next
    const write = async () => {
      try {
        await writeDocument(await services.database(), name, next, atRest)
      } catch (thrown) {
        // of what was changed since, its own writing decides
        if (value.value === next) {
          value.value = resting
          journal.clear()
        }
        throw thrown
      }
      resting = atRest = next
      if (value.value === next) journal.clear()
      writeLock.tell({ about: 'document', name })
    }
    writing = writing.then(write, write)
    return writing
  }
  return { value, load, set }
}

/** Of a document in parts only what is new is looked at: the rest was when it came. */
function faultInParts({ headSchema, partSchema }: InParts, { head, put }: PartChanges) {
  return (
    firstFault(headSchema, plain(head)) ??
    put.map(([, part]) => firstFault(partSchema, plain(part))).find((f) => f !== null) ??
    null
  )
}

/** Reads a document; one that is not as it was kept is told of, put aside, and as if it were not there. */
async function readOrSetAside(
  db: Database,
  name: DocumentName,
  { writeLock, setAside }: { writeLock: { role: string }; setAside: { tell: (text: string) => void } },
): Promise<unknown> {
  try {
    return await readDocument(db, name)
  } catch (thrown) {
    const problem = toProblem(thrown)
    if (problem.code !== 'document-spoilt') throw problem
    setAside.tell(problem.message)
    if (writeLock.role === 'writer') await setDocumentAside(db, name)
    return null
  }
}
