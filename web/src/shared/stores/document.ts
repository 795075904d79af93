import { ref, type Ref } from 'vue'
import type { Services } from '@/app/services'
import { readDocument, writeDocument, type DocumentName } from '@/storage/documents'

export interface KeptDocument<T> {
  value: Ref<T>
  load: () => Promise<void>
  /** Replaces the document and keeps it at once; resolves when it is safe. */
  set: (next: T) => Promise<void>
}

/** A small document of the workspace: in memory as a ref, at rest after every change. Writes keep their order. */
export function keptDocument<T>(
  services: Services,
  name: DocumentName,
  initial: () => T,
  check: (stored: unknown) => T = (s) => s as T,
): KeptDocument<T> {
  const value = ref(initial()) as Ref<T>
  let writing: Promise<void> = Promise.resolve()
  return {
    value,
    async load() {
      const stored = await readDocument(await services.database(), name)
      value.value = stored === null ? initial() : check(stored)
    },
    set(next) {
      value.value = next
      const write = async () => writeDocument(await services.database(), name, next)
      writing = writing.then(write, write)
      return writing
    },
  }
}
