/** Words of what an ad says: numbers and signs apart, in small letters without marks. */
const wordsOf = (text: string): string[] =>
  text
    .normalize('NFD')
    .replace(/\p{M}/gu, '')
    .toLowerCase()
    .replace(/(\p{L})-(?=\p{L})/gu, '$1')
    .match(/\p{L}+/gu) ?? []

/** calls to buy, which come and go while the ad stays */
const calls = new Set(
  'order now today shop buy here is why see more learn sale off free delivery shipping jetzt kaufen bestellen commande commander acheter compra comprar ordina koop bestel kup zamow encomende'.split(
    ' ',
  ),
)

/** What an ad says, taken apart so that it can be compared with thousands. */
export interface AdWords {
  /** in their order, without repeats */
  words: readonly string[]
  set: ReadonlySet<string>
}

export function adWords(text: string): AdWords {
  const words = [...new Set(wordsOf(text))]
  return { words, set: new Set(words) }
}

/** share of their words that two texts have to share */
const leastShared = 0.75

/**
 * Whether two texts are the same ad: other figures, signs, calls to buy and one word in eight may differ, but no other thing may be named. How often it is
 * right stands in docs/checks.md.
 */
export function isSameAd(a: AdWords, b: AdWords): boolean {
  if (a.words.length === 0 || b.words.length === 0) return false
  const [only, others] = [a.words.filter((w) => !b.set.has(w)), b.words.filter((w) => !a.set.has(w))]
  const [mine, theirs] = [only, others].map((list) => list.filter((w) => !calls.has(w) && w.length > 2)) as [
    string[],
    string[],
  ]
  const shared = a.words.length - only.length
  const all = shared + mine.length + theirs.length
  if (shared / all < leastShared) return false
  // one word put in another's place names another thing, unless it is a long text of which little differs
  return Math.min(mine.length, theirs.length) === 0 || all >= 8
}
