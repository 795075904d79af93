import type { TitleForms } from './title-forms'

export interface PairSearch {
  /** least likeness, 0–1: shared weight over the weight of all words of both (weighted Jaccard) */
  least: number
  /** is a pair worth comparing? */
  worthwhile: (a: number, b: number) => boolean
  /** forms of which two are never worth comparing (default: none) */
  apart?: (form: number) => boolean
  onPair: (a: number, b: number) => void
}

/** A form's words from the rarest on, and what they weigh together. */
interface Ranked {
  ids: readonly number[]
  total: number
}

/**
 * Finds every pair of forms that are alike enough without comparing all with all. Words are put in one order, rarest first. Two forms
 * can only reach the least likeness if they share a word within the beginnings of both, so only beginnings are looked through (prefix
 * filtering: Chaudhuri, Ganti & Kaushik 2006; Bayardo, Ma & Srikant 2007). Taken from the lightest on, what is indexed needs a shorter
 * beginning still, and what is too light to be alike ends a list (Xiao, Wang, Lin & Yu 2008).
 */
export class AlikeForms {
  readonly #forms: TitleForms
  readonly #weights: Float64Array
  readonly #heads: Int32Array
  readonly #otherHeads: Int32Array

  constructor(forms: TitleForms, weights: Float64Array) {
    this.#forms = forms
    this.#weights = weights
    this.#heads = new Int32Array(forms.words.length).fill(-1)
    this.#otherHeads = this.#heads.slice()
  }

  /** Searches among some of the forms. @returns as a generator, so that others can work between */
  *search(among: readonly number[], options: PairSearch): Generator<void> {
    const { least, worthwhile, onPair, apart = () => false } = options
    const ranked = among.map((form) => this.#ranked(form))
    const totals = Float64Array.from(ranked, (r) => r.total)
    const order = Int32Array.from(among, (_, i) => i).sort(
      (a, b) => (totals[a] as number) - (totals[b] as number) || a - b,
    )
    const [plain, coded] = [new Lists(this.#heads), new Lists(this.#otherHeads)]
    const met = new Int32Array(among.length).fill(-1)
    for (let at = 0; at < order.length; at++) {
      if (at % 200 === 0) yield
      const b = order[at] as number
      const mine = ranked[b] as Ranked
      const isApart = apart(among[b] as number)
      const lightest = least * mine.total - 1e-9
      for (let w = this.#beginning(mine, least) - 1; w >= 0; w--) {
        for (const list of isApart ? [plain] : [plain, coded]) {
          for (let e = list.heads[mine.ids[w] as number] as number; e >= 0; e = list.before[e] as number) {
            const a = list.entries[e] as number
            if ((totals[a] as number) < lightest) break
            if (met[a] === b) continue
            met[a] = b
            const [first, second] = [among[a] as number, among[b] as number]
            if (worthwhile(first, second) && this.#areAlike(ranked[a] as Ranked, mine, least)) onPair(first, second)
          }
        }
      }
      const list = isApart ? coded : plain
      for (let w = this.#beginning(mine, (2 * least) / (1 + least)) - 1; w >= 0; w--) list.add(mine.ids[w] as number, b)
    }
    for (const { ids } of ranked) for (const id of ids) this.#heads[id] = this.#otherHeads[id] = -1
  }

  /** Finds what is alike to some new forms among all others, in one pass over those. */
  *searchFor(
    fresh: readonly number[],
    others: Iterable<number>,
    { least, worthwhile, onPair }: PairSearch,
  ): Generator<void> {
    const ranked = fresh.map((form) => this.#ranked(form))
    const lists = new Map<number, number[]>()
    ranked.forEach((mine, i) => {
      for (let w = this.#beginning(mine, least) - 1; w >= 0; w--) {
        const id = mine.ids[w] as number
        const list = lists.get(id)
        if (list) list.push(i)
        else {
          lists.set(id, [i])
          this.#heads[id] = 1 // marks the words that are looked for
        }
      }
    })
    const figures = new Set(fresh.map((form) => this.#forms.figuresOf[form]))
    let seen = 0
    for (const other of others) {
      if (seen++ % 5000 === 0) yield
      if (!figures.has(this.#forms.figuresOf[other])) continue
      const candidates = this.#sharing(other, lists)
      if (candidates.size === 0) continue
      const theirs = this.#ranked(other)
      for (const i of candidates) {
        const form = fresh[i] as number
        if (this.#forms.figuresOf[form] !== this.#forms.figuresOf[other]) continue
        if (worthwhile(other, form) && this.#areAlike(theirs, ranked[i] as Ranked, least)) onPair(other, form)
      }
    }
    for (const id of lists.keys()) this.#heads[id] = -1
  }

  #sharing(form: number, lists: ReadonlyMap<number, number[]>): Set<number> {
    const found = new Set<number>()
    const { starts, wordIds } = this.#forms
    for (let i = starts[form] as number; i < (starts[form + 1] as number); i++) {
      const id = wordIds[i] as number
      if ((this.#heads[id] as number) >= 0) for (const at of lists.get(id) ?? []) found.add(at)
    }
    return found
  }

  #ranked(form: number): Ranked {
    const { starts, wordIds } = this.#forms
    const ids: number[] = []
    const end = starts[form + 1] as number
    for (let i = starts[form] as number; i < end; i++) {
      const id = wordIds[i] as number
      // by insertion, which is quickest for so few
      let at = ids.length
      for (; at > 0 && this.#isRarer(id, ids[at - 1] as number); at--) ids[at] = ids[at - 1] as number
      ids[at] = id
    }
    let total = 0
    for (const id of ids) total += this.#weights[id] as number
    return { ids, total }
  }

  /** The order of words: the rarer first, of equals the lower number. */
  #isRarer(a: number, b: number): boolean {
    const { counts } = this.#forms
    const less = (counts[a] as number) - (counts[b] as number)
    return less < 0 || (less === 0 && a < b)
  }

  /** How many of the first words must hold one that any form shares with which it has this share of its own weight in common. */
  #beginning({ ids, total }: Ranked, share: number): number {
    let [left, words] = [total, 0]
    while (words < ids.length && left >= share * total - 1e-9) left -= this.#weights[ids[words++] as number] as number
    return words
  }

  #areAlike(a: Ranked, b: Ranked, least: number): boolean {
    if (Math.min(a.total, b.total) < least * Math.max(a.total, b.total) - 1e-9) return false
    const weights = this.#weights
    // what must be shared, and what may be missed of a before it cannot be reached
    let missable = a.total - (least / (1 + least)) * (a.total + b.total) + 1e-9
    let [i, j, shared] = [0, 0, 0]
    while (i < a.ids.length && j < b.ids.length && missable >= 0) {
      const [x, y] = [a.ids[i] as number, b.ids[j] as number]
      if (x === y) {
        shared += weights[x] as number
        i++
        j++
      } else if (this.#isRarer(x, y)) {
        missable -= weights[x] as number
        i++
      } else j++
    }
    return shared / (a.total + b.total - shared) >= least
  }
}

/** A list for each word, the newest entry first. */
class Lists {
  /** word → its newest entry, -1 where it has none: the same room for every search */
  readonly heads: Int32Array
  readonly entries: number[] = []
  /** entry → the one before it in its list */
  readonly before: number[] = []

  constructor(heads: Int32Array) {
    this.heads = heads
  }

  add(word: number, place: number): void {
    this.before.push(this.heads[word] as number)
    this.heads[word] = this.entries.push(place) - 1
  }
}
