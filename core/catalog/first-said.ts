/** What the first of some says that says anything; those after it are not asked. */
export function firstSaid<T, V>(some: Iterable<T>, said: (one: T) => V | null): V | null {
  for (const one of some) {
    const value = said(one)
    if (value !== null) return value
  }
  return null
}
