/** Hands on the first call and then one in so many milliseconds: each telling makes the page draw. */
export function seldom<A extends unknown[]>(ms: number, tell: (...args: A) => void): (...args: A) => void {
  let told = -Infinity
  return (...args) => {
    const now = performance.now()
    if (now - told < ms) return
    told = now
    tell(...args)
  }
}
