import { areSame, differenceOf, lacksHead, leastCompared, likenessOf, type Difference } from './difference'
import { asLengths, lengthsApart } from './sizes'
import type { TitleSignature } from './title-signature'

export interface Alike {
  /** place in the list the index was made from */
  at: number
  likeness: Likeness
}

/** How alike two titles are, and why. */
export interface Likeness {
  /** 0–1: share of the weight of all words that both have; rare words weigh more */
  words: number
  /** what both state and state differently: sizes, colours */
  clashes: string[]
  /** pieces in the pack of the one looked for and of the one found */
  packs: [number, number]
  /** 'same' in all but pack count, 'variant' where something clashes, 'similar' else */
  verdict: 'same' | 'variant' | 'similar'
  /** the words that differ are taught to mean the same */
  isTaught?: true
}

/** How much words say: rare ones more. */
export interface WordWeights {
  weight(word: string): number
}

/** Finds titles that are alike among many: an inverted index, words weighted by how rare they are. */
export class TitleIndex {
  readonly #signatures: readonly TitleSignature[]
  readonly #weights: WordWeights | null
  readonly #totals: Float64Array
  readonly #places = new Map<string, number[]>()

  /** @param weights another sense of what is rare, such as that of an index over more titles */
  constructor(signatures: readonly TitleSignature[], weights: WordWeights | null = null) {
    this.#signatures = signatures
    this.#weights = weights
    signatures.forEach((s, at) => {
      for (const word of s.words) {
        const list = this.#places.get(word)
        if (list) list.push(at)
        else this.#places.set(word, [at])
      }
    })
    this.#totals = Float64Array.from(signatures, (s) => this.#total(s))
  }

  /** Weight of a word: log of how many titles there are for each that has it. */
  weight(word: string): number {
    if (this.#weights) return this.#weights.weight(word)
    return Math.log(1 + this.#signatures.length / (this.#places.get(word)?.length ?? 0.5))
  }

  /** The best candidates, best first; at most `most`, none under `least`. Those without a clash go before those with one. */
  find(wanted: TitleSignature, most = 10, least = leastCompared): Alike[] {
    const own = this.#total(wanted)
    const found: { at: number; words: number }[] = []
    for (const [at, shared] of this.#sharing(wanted, own, least)) {
      const words = shared / (own + (this.#totals[at] as number) - shared)
      if (words >= least) found.push({ at, words })
    }
    found.sort((a, b) => b.words - a.words || a.at - b.at)
    const lists: Alike[][] = [[], [], []]
    for (const { at } of found) {
      const likeness = this.compare(wanted, at)
      const list = lists[rank[likeness.verdict]] as Alike[]
      if (list.length < most) list.push({ at, likeness })
      if (lists[0]?.length === most) break
    }
    return lists.flat().slice(0, most)
  }

  /** How alike a title is to the one at a place. */
  compare(wanted: TitleSignature, at: number): Likeness {
    const other = this.#signatures[at] as TitleSignature
    const difference = withColours(
      differenceOf(wanted.words, other.words, (word) => this.weight(word)),
      wanted,
      other,
    )
    const clashes = clashesOf(wanted, other)
    const isSame = areSame(difference) && sameMarks(wanted, other) && !isForOther(wanted, other)
    const verdict = clashes.length > 0 ? 'variant' : isSame ? 'same' : 'similar'
    return { words: likenessOf(difference), clashes, packs: [wanted.pack, other.pack], verdict }
  }

  /**
   * Weight of the words shared with each title that can reach `least`. Rarest words come first; once what is left of the
   * title weighs less than that share, a title that shares none of the words so far cannot reach it any more, so only those
   * already found are added to (prefix filtering: Chaudhuri, Ganti & Kaushik 2006; Bayardo, Ma & Srikant 2007).
   */
  #sharing(wanted: TitleSignature, own: number, least: number): Map<number, number> {
    const shared = new Map<number, number>()
    const byRarity = wanted.words
      .map((word) => ({ word, weight: this.weight(word) }))
      .sort((a, b) => b.weight - a.weight)
    let left = own
    for (const { word, weight } of byRarity) {
      const places = this.#places.get(word) ?? []
      if (left >= least * own - 1e-9) for (const at of places) shared.set(at, (shared.get(at) ?? 0) + weight)
      else this.#addTo(shared, word, places, weight)
      left -= weight
    }
    return shared
  }

  /** Adds a word's weight to those found already, whichever is the shorter way. */
  #addTo(shared: Map<number, number>, word: string, places: readonly number[], weight: number): void {
    if (shared.size * 8 < places.length) {
      for (const [at, before] of shared)
        if ((this.#signatures[at] as TitleSignature).words.includes(word)) shared.set(at, before + weight)
      return
    }
    for (const at of places) {
      const before = shared.get(at)
      if (before !== undefined) shared.set(at, before + weight)
    }
  }

  #total(s: TitleSignature): number {
    let sum = 0
    for (const word of s.words) sum += this.weight(word)
    return sum
  }
}

/** A colour that only one title says stands against what only the other says: a shade that is no word of ours may be among it. */
function withColours(difference: Difference, a: TitleSignature, b: TitleSignature): Difference {
  const [x, y] = difference.alone
  const only = (mine: TitleSignature, theirs: TitleSignature) => (theirs.colours.length === 0 ? mine.colours.length : 0)
  return { ...difference, alone: [x + colourWeighs * only(a, b), y + colourWeighs * only(b, a)] }
}
/** more than words that say nothing, so that both sides say something then */
const colourWeighs = 1.2

const isForOther = (a: TitleSignature, b: TitleSignature) =>
  lacksHead(a.heads ?? [], b.words) || lacksHead(b.heads ?? [], a.words)

function clashesOf(a: TitleSignature, b: TitleSignature): string[] {
  const sizes = a.sizes.length > 0 && b.sizes.length > 0 && !areSizesSame(a, b) ? sizesApart(a.sizes, b.sizes) : []
  const colours = a.colours.length > 0 && b.colours.length > 0 ? clash(a.colours, b.colours, () => 'colour') : []
  return [...sizes, ...colours]
}

const areSizesSame = (a: TitleSignature, b: TitleSignature) =>
  [...lengthsApart(a.sizes)].sort().join() === [...lengthsApart(b.sizes)].sort().join()

/** Where only one title gives a unit to its sides, the other means centimetres. */
function sizesApart(a: string[], b: string[]): string[] {
  const isOneBare = a.some(isLength) !== b.some(isLength)
  return isOneBare ? clash(a.map(asLengths), b.map(asLengths), unitOf) : clash(a, b, unitOf)
}
const isLength = (size: string) => size.endsWith('mm')

function unitOf(size: string): string {
  return size.replace(/[\d.x]+/, '')
}

/** Both state something of one sort, and each something that the other does not: two that clash are not made good by one that agrees. */
function clash(a: string[], b: string[], sort: (text: string) => string): string[] {
  const out: string[] = []
  for (const s of new Set(a.map(sort))) {
    const mine = a.filter((x) => sort(x) === s)
    const theirs = b.filter((x) => sort(x) === s)
    const isOwn = (some: string[], others: string[]) => some.some((x) => !others.includes(x))
    if (isOwn(mine, theirs) && isOwn(theirs, mine)) out.push(`${mine.join(', ')} / ${theirs.join(', ')}`)
  }
  return out
}

/** Whether what comes with a good, and what it is for, agree. */
export const sameMarks = (a: TitleSignature, b: TitleSignature): boolean =>
  a.marks.length === b.marks.length && a.marks.every((mark) => b.marks.includes(mark))

/** in which order they are shown */
const rank = { same: 0, similar: 1, variant: 2 }
