import { nextTick } from 'vue'

/** Asks again and again while the question changes; while an answer is awaited only the newest waits, those between are never worked out. */
export function newestAnswer(answer: () => Promise<void>) {
  let asked = 0
  let answering: Promise<void> | null = null
  async function answerAll(): Promise<void> {
    for (let done = 0; done !== asked;) {
      done = asked
      await answer()
    }
  }
  function ask(): Promise<void> {
    asked++
    // after what the screen itself asks: that is quick, and this may take a moment
    return (answering ??= nextTick()
      .then(answerAll)
      .finally(() => (answering = null)))
  }
  return {
    ask,
    /** Resolves when the newest question is answered. */
    settled: () => answering ?? Promise.resolve(),
  }
}
