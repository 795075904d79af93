/** For tests: waits until what is shown has come to rest: for that a question is answered, however many turns it takes. */
export async function until(isSo: () => boolean | Promise<boolean>, what = 'it'): Promise<void> {
  for (let turn = 0; turn < 4000; turn++) {
    if (await isSo()) return
    await new Promise((resolve) => setTimeout(resolve))
  }
  throw new Error(`${what} never came to be`)
}
