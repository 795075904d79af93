import { defineStore } from 'pinia'
import { shallowRef } from 'vue'

/** A question that is asked before something is done that is not easily taken back. */
export interface Question {
  title: string
  content: string
  /** what is done; left out where there is nothing to do but go back */
  yes?: string
  no: string
}

/** Asks, and waits for the answer. */
export const useAsk = defineStore('ask', () => {
  const question = shallowRef<Question | null>(null)
  let answered: (yes: boolean) => void = () => undefined
  /** @returns whether it is to be done; closing the question is no */
  function ask(next: Question): Promise<boolean> {
    answer(false)
    question.value = next
    return new Promise((resolve) => (answered = resolve))
  }
  function answer(yes: boolean): void {
    question.value = null
    answered(yes)
  }
  return { question, ask, answer }
})
