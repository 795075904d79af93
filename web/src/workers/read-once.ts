/** Something that is read when it is first asked for, and then kept until it is out of date. A read that failed is no answer. */
export function readOnce<T>(read: () => Promise<T>): { get: () => Promise<T>; forget: () => void } {
  let reading: Promise<T> | null = null
  function get(): Promise<T> {
    if (reading) return reading
    const mine = (reading = read())
    mine.catch(() => {
      if (reading === mine) reading = null
    })
    return mine
  }
  return { get, forget: () => void (reading = null) }
}
