import type { KeptDocument } from './document'
import { useSteps } from './steps'

/** Changes of a document that can be taken back one by one. @returns sets it, by what was changed, behind "Take back:" */
export function asSteps<T>(document: KeptDocument<T>) {
  const steps = useSteps()
  return async (label: string, next: T): Promise<void> => {
    const before = document.value.value
    await document.set(next)
    steps.note({ label, undo: () => document.set(before), redo: () => document.set(next) })
  }
}
