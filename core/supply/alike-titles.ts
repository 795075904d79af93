import {
  nothingTaught,
  sameMarks,
  TitleIndex,
  titleSignature,
  type Alike,
  type TaughtWords,
  type TitleSignature,
  type WordWeights,
} from '../goods'

export interface TitleKnowledge {
  /** what listings teach of words */
  taught?: TaughtWords
  /** how rare words are among listings, of which there are many more than offers; null: among the offers */
  weights?: WordWeights | null
}

/** Finds the titles of offers that are alike, by what is taught of words and by their weight. */
export class AlikeTitles {
  readonly #signatures: readonly TitleSignature[]
  readonly #index: TitleIndex
  readonly #taught: TaughtWords
  #byWords: Map<string, number[]> | null = null

  constructor(titles: readonly string[], { taught = nothingTaught, weights = null }: TitleKnowledge = {}) {
    this.#taught = taught
    this.#signatures = titles.map(titleSignature)
    this.#index = new TitleIndex(this.#signatures, weights)
  }

  /** @param sameOnly without those that are merely alike */
  find(wanted: TitleSignature, most: number, sameOnly: boolean): Alike[] {
    const asTaught = this.#asTaught(wanted)
    const known = new Set(asTaught.map((a) => a.at))
    const others = this.#index
      .find(wanted, most)
      .filter(({ at }) => !known.has(at))
      .map((found) => this.#told(wanted, found))
    const isSame = ({ likeness }: Alike) => likeness.verdict === 'same'
    const alike = sameOnly ? [] : others.filter((a) => !isSame(a))
    return [...asTaught, ...others.filter(isSame), ...alike].slice(0, most)
  }

  /** Titles that have words of a search, most alike first. */
  search(words: string, most: number): Alike[] {
    return this.#index.find(titleSignature(words), most, 0.05)
  }

  /** Those that say the same in words which mean the same: short titles share too little else to be found by likeness. */
  #asTaught(wanted: TitleSignature): Alike[] {
    const ways = this.#taught.otherwise(wanted)
    if (ways.length === 0) return []
    this.#byWords ??= placesByWords(this.#signatures)
    const places = new Set(ways.flatMap((words) => this.#byWords?.get(words.join(' ')) ?? []))
    return [...places]
      .map((at) => this.#told(wanted, { at, likeness: this.#index.compare(wanted, at) }))
      .filter(({ likeness }) => likeness.verdict === 'same')
  }

  /** What is taught of words counts before their weight. */
  #told(wanted: TitleSignature, found: Alike): Alike {
    const { at, likeness } = found
    const other = this.#signatures[at] as TitleSignature
    const isAsTaught = {
      same: !this.#taught.areApart(wanted, other),
      similar: !(sameMarks(wanted, other) && this.#taught.areSame(wanted, other)),
      variant: true,
    }[likeness.verdict]
    if (isAsTaught) return found
    return likeness.verdict === 'same'
      ? { at, likeness: { ...likeness, verdict: 'similar' } }
      : { at, likeness: { ...likeness, verdict: 'same', isTaught: true } }
  }
}

function placesByWords(signatures: readonly TitleSignature[]): Map<string, number[]> {
  const places = new Map<string, number[]>()
  signatures.forEach(({ words }, at) => {
    const key = [...words].sort().join(' ')
    const list = places.get(key)
    if (list) list.push(at)
    else places.set(key, [at])
  })
  return places
}
