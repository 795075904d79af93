import { ref, type Ref } from 'vue'
import type { Services } from '@/app/services'
import { readDocument, writeDocument, type DocumentName } from '@/storage/documents'
import { useTurn } from './turn'

export interface KeptDocument<T> {
  value: Ref<T>
  load: () => Promise<void>
  /** Replaces the document and keeps it at once; resolves when it is safe. @throws Problem 'tab-follows', 'storage-full' */
  set: (next: T) => Promise<void>
}

/** A small document of the workspace: in memory as a ref, at rest after every change, and the same in every tab. Writes keep their order. */
export function keptDocument<T>(
  services: Services,
  name: DocumentName,
  initial: () => T,
  check: (stored: unknown) => T = (s) => s as T,
): KeptDocument<T> {
  const value = ref(initial()) as Ref<T>
  const turn = useTurn()
  let writing: Promise<void> = Promise.resolve()
  async function load() {
    const stored = await readDocument(await services.database(), name)
    value.value = stored === null ? initial() : check(stored)
  }
  turn.onNews((news) => {
    if (news.about === 'document' && news.name === name) void load()
  })
  return {
    value,
    load,
    async set(next) {
      turn.assertWriter()
      value.value = next
      const write = async () => {
        await writeDocument(await services.database(), name, next)
        turn.tell({ about: 'document', name })
      }
      writing = writing.then(write, write)
      return writing
    },
  }
}
