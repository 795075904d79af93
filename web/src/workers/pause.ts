/**
 * Lets other messages in between, such as that it is to stop, but only every so many milliseconds. By a message to oneself, as a timer
 * takes some milliseconds a turn, and more the more often it is set.
 */
export function pauseEvery(ms: number): () => Promise<void> {
  const bell = new MessageChannel()
  let last = performance.now()
  return async () => {
    if (performance.now() - last < ms) return
    await new Promise<void>((resolve) => {
      bell.port1.onmessage = () => resolve()
      bell.port2.postMessage(null)
    })
    last = performance.now()
  }
}
