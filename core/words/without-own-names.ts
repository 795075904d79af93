import { wordsOf } from './title-words'

export interface NamedTitle {
  title: string
  /** who sells it; null where that is not known */
  store: string | null
}

/** other stores that use a word too, from which on it is a word of the goods and no name */
const commonFrom = 2

/**
 * Titles without the words by which their own store is called: a shop that puts its name before every title is no theme. A word that
 * other stores use as well, such as 'trowel' of 'Tern & Trowel', stays.
 *
 * @example withoutOwnNames([{ title: 'Tern Tern mug', store: 'Tern Tern' }]) // ['mug']
 */
export function withoutOwnNames(titles: readonly NamedTitle[]): string[] {
  const named = new Map<string | null, ReadonlySet<string>>()
  const users = new Map<string, Set<string>>()
  for (const { title, store } of titles) {
    if (!named.has(store)) named.set(store, new Set(wordsOf(store ?? '')))
    if (store === null) continue
    const own = named.get(store)
    for (const word of wordsOf(title)) {
      if (own?.has(word)) continue
      const known = users.get(word)
      if (!known) users.set(word, new Set([store]))
      else if (known.size < commonFrom) known.add(store)
    }
  }
  const isName = (word: string) => (users.get(word)?.size ?? 0) < commonFrom
  return titles.map(({ title, store }) => {
    const own = named.get(store)
    if (!own || own.size === 0) return title
    return title
      .replace(/[\p{L}\p{N}][\p{L}\p{N}'’-]*/gu, (written) =>
        own.has(written.toLowerCase()) && isName(written.toLowerCase()) ? ' ' : written,
      )
      .replace(/\s+/g, ' ')
      .trim()
  })
}
