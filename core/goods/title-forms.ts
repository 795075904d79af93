import { Dictionary, GrowingInts, hashEnd, hashWord } from '../tables'
import { SaidWords } from './said-words'
import { figuresKey, titleParts } from './title-signature'

/** What the titles of many listings say, as columns: titles that say the same are one form, whatever their words' order. */
export interface TitleForms {
  /** listing → its form; -1 where it has no title */
  formOf: Int32Array
  /** form → what must agree of it (sizes, colours, pack), a number into `figures` */
  figuresOf: Int32Array
  /** form → its words: numbers into `words`, ascending, from `starts[form]` up to `starts[form + 1]` */
  starts: Int32Array
  wordIds: Int32Array
  words: string[]
  /** word → how many forms have it */
  counts: Int32Array
  figures: string[]
  /** form → the words before 'for', where its title says what it is for */
  heads: ReadonlyMap<number, readonly number[]>
}

/** fewer words than this say too little to be compared: only equal titles are of one form */
const leastWords = 2

/**
 * Takes titles apart, one listing after the other, and numbers their forms. Forms are found again by open addressing over hashes of
 * their numbers, so that no text is made of each: a million titles are seven hundred thousand forms.
 */
export class FormNumbering {
  readonly #figuresOf: GrowingInts
  readonly #starts: GrowingInts
  readonly #wordIds: GrowingInts
  readonly #counts: GrowingInts
  readonly #words: Dictionary
  readonly #figures: Dictionary
  readonly #heads: Map<number, readonly number[]>
  readonly #said = new SaidWords()
  #slots: Int32Array

  /** @param from forms that there are already: what is added goes on from them */
  constructor(from: TitleForms | null = null) {
    this.#figuresOf = new GrowingInts(from?.figuresOf)
    this.#starts = new GrowingInts(from?.starts ?? new Int32Array(1))
    this.#wordIds = new GrowingInts(from?.wordIds)
    this.#counts = new GrowingInts(from?.counts)
    this.#words = new Dictionary(from?.words)
    this.#figures = new Dictionary(from?.figures)
    this.#heads = new Map(from?.heads)
    this.#slots = new Int32Array(0)
    this.#makeSlots()
  }

  /** Words of a form, ascending. */
  wordsOf(form: number): number[] {
    return Array.from({ length: this.#starts.at(form + 1) - this.#starts.at(form) }, (_, i) =>
      this.#wordIds.at(this.#starts.at(form) + i),
    )
  }

  /** All forms there are. @param formOf listing → its form, as `form` said */
  finish(formOf: Int32Array): TitleForms {
    return {
      formOf,
      figuresOf: this.#figuresOf.finish(),
      starts: this.#starts.finish(),
      wordIds: this.#wordIds.finish(),
      words: this.#words.words,
      counts: this.#counts.finish(),
      figures: this.#figures.words,
      heads: this.#heads,
    }
  }

  /** The form of a title, a new one where no title before said the same; -1 where it is empty. */
  form(title: string): number {
    const said = titleParts(title, this.#said.clear())
    if (said.words.length < leastWords) return this.#formOfWhole(title)
    const codesOf = (words: readonly string[]) => words.map((w) => this.#words.code(w))
    const form = this.#numbered(this.#figures.code(figuresKey(said)), ascending(codesOf(said.words)))
    if (said.heads && !this.#heads.has(form)) this.#heads.set(form, codesOf(said.heads))
    return form
  }

  /** A title of few words says the same as one that is equal to it, and is like no other. */
  #formOfWhole(title: string): number {
    const whole = title.normalize('NFKC').toLowerCase().replace(/\s+/g, ' ').trim()
    return whole === '' ? -1 : this.#numbered(this.#figures.code('='), [this.#words.code(`=${whole}`)])
  }

  /** The form that has the figures of another, and other words. @param ids ascending */
  formLike(form: number, ids: readonly number[]): number {
    return this.#numbered(this.#figuresOf.at(form), ids)
  }

  #numbered(figures: number, ids: readonly number[]): number {
    const slot = this.#slotOf(figures, ids)
    const known = this.#slots[slot] as number
    return known >= 0 ? known : this.#newForm(figures, ids, slot)
  }

  #newForm(figures: number, ids: readonly number[], slot: number): number {
    const form = this.#figuresOf.length
    this.#slots[slot] = form
    this.#figuresOf.push(figures)
    for (const id of ids) {
      this.#wordIds.push(id)
      while (this.#counts.length <= id) this.#counts.push(0)
      this.#counts.addInPlace(id, 1)
    }
    this.#starts.push(this.#wordIds.length)
    if (form * 2 > this.#slots.length) this.#makeSlots()
    return form
  }

  #makeSlots(): void {
    const forms = this.#figuresOf.length
    this.#slots = new Int32Array(2 ** Math.ceil(Math.log2(forms * 4 + 1024))).fill(-1)
    for (let form = 0; form < forms; form++) this.#slots[this.#freeSlot(this.#hashOf(form))] = form
  }

  #freeSlot(hash: number): number {
    const mask = this.#slots.length - 1
    let slot = hash & mask
    while ((this.#slots[slot] as number) >= 0) slot = (slot + 1) & mask
    return slot
  }

  #slotOf(figures: number, ids: readonly number[]): number {
    const mask = this.#slots.length - 1
    let hash = hashWord(0, figures)
    for (const id of ids) hash = hashWord(hash, id)
    let slot = hashEnd(hash, 0, ids.length) & mask
    for (;;) {
      const form = this.#slots[slot] as number
      if (form < 0 || this.#is(form, figures, ids)) return slot
      slot = (slot + 1) & mask
    }
  }

  #hashOf(form: number): number {
    const [from, to] = [this.#starts.at(form), this.#starts.at(form + 1)]
    let hash = hashWord(0, this.#figuresOf.at(form))
    for (let i = from; i < to; i++) hash = hashWord(hash, this.#wordIds.at(i))
    return hashEnd(hash, 0, to - from)
  }

  #is(form: number, figures: number, ids: readonly number[]): boolean {
    const from = this.#starts.at(form)
    if (this.#figuresOf.at(form) !== figures || this.#starts.at(form + 1) - from !== ids.length) return false
    for (let i = 0; i < ids.length; i++) if (this.#wordIds.at(from + i) !== ids[i]) return false
    return true
  }
}

/** Sorts a few numbers in place: by insertion, which is quickest for so few. */
function ascending(ids: number[]): number[] {
  for (let i = 1; i < ids.length; i++) {
    const id = ids[i] as number
    let at = i
    for (; at > 0 && (ids[at - 1] as number) > id; at--) ids[at] = ids[at - 1] as number
    ids[at] = id
  }
  return ids
}

/** The words of a form: numbers into `words`, ascending. */
export const wordsOfForm = ({ wordIds, starts }: TitleForms, form: number): Int32Array =>
  wordIds.subarray(starts[form], starts[form + 1])

/** Forms of a list of titles. */
export function titleForms(titles: Iterable<string>): TitleForms {
  const forms = new FormNumbering()
  return forms.finish(Int32Array.from(titles, (title) => forms.form(title)))
}

/** `wordWeights` by the word itself; one that no title has weighs as much as one that a single title has. */
export class WeightsOfWords {
  readonly #weights: Float64Array
  readonly #numberOf: Map<string, number>
  readonly #ofUnknown: number

  constructor(forms: TitleForms) {
    this.#weights = wordWeights(forms)
    this.#numberOf = new Map(forms.words.map((word, id) => [word, id]))
    this.#ofUnknown = Math.log(1 + forms.figuresOf.length)
  }

  weight(word: string): number {
    const id = this.#numberOf.get(word)
    return id === undefined ? this.#ofUnknown : (this.#weights[id] as number)
  }
}

/** Weight of each word: the log of how many forms there are for each that has it. */
export function wordWeights({ figuresOf, counts }: TitleForms): Float64Array {
  return Float64Array.from(counts, (n) => Math.log(1 + figuresOf.length / Math.max(1, n)))
}
