import type { TitleSignature } from './title-signature'

/** A title's words as numbers, the rarest first, and what they weigh. */
interface Words {
  ids: Int32Array
  total: number
  /** how many of the first words must hold a word of any title that is alike enough */
  prefix: number
}

export interface PairSearch {
  /** least likeness, 0–1: shared weight over the weight of all words of both (weighted Jaccard) */
  least: number
  /** is a pair worth comparing? Asked with places in the list; the smaller first */
  worthwhile: (a: number, b: number) => boolean
  onPair: (a: number, b: number) => void
}

/**
 * Finds every pair of titles that are alike enough without comparing all with all. Words are put in one order, rarest first.
 * Two titles can only reach the least likeness if they share a word within the beginnings of both, so only beginnings are
 * indexed (prefix filtering: Chaudhuri, Ganti & Kaushik 2006; Bayardo, Ma & Srikant 2007); what that finds is compared exactly.
 */
export class AlikePairs {
  readonly #weights: Float64Array
  readonly #ids = new Map<string, number>()
  readonly #signatures: readonly TitleSignature[]

  /** Weighs each word by how rare it is over all titles: the log of how many there are for each that has it. */
  constructor(signatures: readonly TitleSignature[]) {
    this.#signatures = signatures
    const counts = new Map<string, number>()
    for (const { words } of signatures) for (const w of words) counts.set(w, (counts.get(w) ?? 0) + 1)
    const byRarity = [...counts].sort((a, b) => a[1] - b[1] || (a[0] < b[0] ? -1 : 1))
    byRarity.forEach(([word], id) => this.#ids.set(word, id))
    this.#weights = Float64Array.from(byRarity, ([, n]) => Math.log(1 + signatures.length / n))
  }

  /** Searches among some of the titles, by their places in the list. @returns as a generator, so that others can work between */
  *search(places: readonly number[], { least, worthwhile, onPair }: PairSearch): Generator<void> {
    const words = places.map((p) => this.#wordsOf(p, least))
    const postings = new Map<number, number[]>()
    const met = new Int32Array(places.length).fill(-1)
    for (const [b, mine] of words.entries()) {
      if (b % 200 === 0) yield
      for (let w = 0; w < mine.prefix; w++) {
        const id = mine.ids[w] as number
        const list = postings.get(id)
        for (const a of list ?? []) {
          if (met[a] === b) continue
          met[a] = b
          const [first, second] = [places[a] as number, places[b] as number]
          if (worthwhile(first, second) && this.#areAlike(words[a] as Words, mine, least)) onPair(first, second)
        }
        if (list) list.push(b)
        else postings.set(id, [b])
      }
    }
  }

  #wordsOf(place: number, least: number): Words {
    const { words } = this.#signatures[place] as TitleSignature
    const ids = Int32Array.from(words, (w) => this.#ids.get(w) as number).sort()
    const total = ids.reduce((sum, id) => sum + (this.#weights[id] as number), 0)
    let [left, prefix] = [total, 0]
    while (prefix < ids.length && left >= least * total - 1e-9) left -= this.#weights[ids[prefix++] as number] as number
    return { ids, total, prefix }
  }

  #areAlike(a: Words, b: Words, least: number): boolean {
    if (Math.min(a.total, b.total) < least * Math.max(a.total, b.total) - 1e-9) return false
    let [i, j, shared] = [0, 0, 0]
    while (i < a.ids.length && j < b.ids.length) {
      const [x, y] = [a.ids[i] as number, b.ids[j] as number]
      if (x === y) shared += this.#weights[x] as number
      if (x <= y) i++
      if (y <= x) j++
    }
    return shared / (a.total + b.total - shared) >= least
  }
}
