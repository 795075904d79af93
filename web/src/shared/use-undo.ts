import { computed } from 'vue'
import { useSheaf } from './stores/sheaf'
import { useSteps } from './stores/steps'

/** Undo and redo of whatever was changed last; behind this sitting's steps come the decisions of earlier ones, which rest in the sheaf. */
export function useUndo() {
  const steps = useSteps()
  const sheaf = useSheaf()
  return {
    canUndo: computed(() => steps.last !== null || sheaf.canUndo),
    canRedo: computed(() => steps.next !== null || sheaf.canRedo),
    label: computed(() => {
      if (steps.last) return steps.last.label
      return sheaf.lastStep ? `${sheaf.lastStep.action} ${sheaf.lastStep.snapshot.title}` : ''
    }),
    async undo(): Promise<void> {
      if (steps.last || !sheaf.canUndo) return steps.undo()
      const taken = sheaf.step()
      await sheaf.undo()
      steps.tookBack(taken)
    },
    redo: () => (steps.next ? steps.redo() : sheaf.redo()),
  }
}
