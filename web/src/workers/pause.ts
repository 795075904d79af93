/** Lets other messages in between. A message to oneself, as a timer takes some milliseconds a turn, and more the more often it is set. */
export function pause(): Promise<void> {
  return new Promise((resolve) => {
    const { port1, port2 } = new MessageChannel()
    port1.onmessage = () => {
      port1.close()
      resolve()
    }
    port2.postMessage(null)
  })
}
