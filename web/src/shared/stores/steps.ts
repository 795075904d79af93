import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'

/** Something that was changed, and how to take it back. */
export interface Step {
  /** in words, behind "Take back:" */
  label: string
  undo: () => Promise<void>
  redo: () => Promise<void>
}

/** Everything changed in this sitting that can be taken back, in its order: decisions, costs, fees, prices and joins alike. */
export const useSteps = defineStore('steps', () => {
  const done = shallowRef<Step[]>([])
  const undone = shallowRef<Step[]>([])
  /** a change on its way out or back is no step of its own */
  const isMoving = ref(false)

  function note(step: Step): void {
    if (isMoving.value) return
    done.value = [...done.value, step].slice(-200)
    undone.value = []
  }
  /** What came to nothing is no step. */
  const retract = (step: Step) => void (done.value = done.value.filter((s) => s !== step))
  let turn: Promise<void> = Promise.resolve()
  /** Presses come one after another, however quickly. */
  function move(from: typeof done, to: typeof done, act: 'undo' | 'redo'): Promise<void> {
    const moved = turn.then(() => moveNow(from, to, act))
    turn = moved.catch(() => undefined) // heard of by whoever pressed
    return moved
  }
  async function moveNow(from: typeof done, to: typeof done, act: 'undo' | 'redo'): Promise<void> {
    const step = from.value.at(-1)
    if (!step) return
    isMoving.value = true
    try {
      await step[act]()
      from.value = from.value.slice(0, -1)
      to.value = [...to.value, step]
    } finally {
      isMoving.value = false
    }
  }
  /** A step that was taken back elsewhere can be made again from here, in its turn. */
  const tookBack = (step: Step) => void (undone.value = [...undone.value, step])
  return {
    note,
    retract,
    tookBack,
    last: computed(() => done.value.at(-1) ?? null),
    next: computed(() => undone.value.at(-1) ?? null),
    undo: () => move(done, undone, 'undo'),
    redo: () => move(undone, done, 'redo'),
  }
})
