import { rememberedStems } from '../words'
import { ByteWords, plainKinds } from './byte-words'

/** A word of a phrase, and how phrases go on behind it. */
interface Node {
  next: Map<number, Node> | null
  /** entries whose phrase ends here */
  ends: number[]
}

const decoder = new TextDecoder()
const wordPattern = /[\p{L}\p{N}]+/gu
const notPlain = 128

/** words that are remembered; texts say the same few thousand over and over */
const mostWords = 500_000

/**
 * Finds phrases in texts by whole words one behind another, never inside words: a tree of the words that phrases begin with, in which every
 * place of a text is tried once, whatever the number of phrases (a trie: Fredkin 1960).
 */
export class PhraseIndex {
  readonly #root: Node = { next: null, ends: [] }
  /** word of a phrase, as it is compared → its number */
  readonly #ids = new Map<string, number>()
  /** word of a text → the number of what it is compared as, 0 where no phrase has it */
  readonly #known = new Map<string, number>()
  readonly #form: (word: string) => string
  /** the words of the text that is read, by their numbers: one list for all texts */
  readonly #read: number[] = []
  readonly #words = new ByteWords((word) => this.#idOf(word))

  /** @param byStem forms of one word are one: 'feeders', 'feeder' */
  constructor(phrases: Iterable<readonly [entry: number, phrase: string]>, byStem: boolean) {
    const stem = rememberedStems()
    this.#form = byStem ? stem : (word) => word
    for (const [entry, phrase] of phrases) this.#add(entry, phrase)
  }

  get isEmpty(): boolean {
    return this.#root.next === null
  }

  #add(entry: number, phrase: string): void {
    const words = phrase.toLowerCase().match(wordPattern)
    if (!words) return
    let node = this.#root
    for (const word of words) {
      const form = this.#form(word)
      const id = this.#ids.get(form) ?? this.#ids.size + 1
      this.#ids.set(form, id)
      node.next ??= new Map()
      const next = node.next.get(id) ?? { next: null, ends: [] }
      node.next.set(id, next)
      node = next
    }
    node.ends.push(entry)
  }

  /** Calls with every entry whose phrase a text has; one that it has twice, twice. */
  forEachIn(text: string, found: (entry: number) => void): void {
    if (this.#root.next === null) return
    const ids = this.#read
    ids.length = 0
    for (const word of text.toLowerCase().match(wordPattern) ?? []) ids.push(this.#idOf(word))
    this.#walk(ids, found)
  }

  /** The same of a text as it rests, UTF-8 from one byte up to another. */
  forEachInBytes(bytes: Uint8Array, from: number, to: number, found: (entry: number) => void): void {
    if (this.#root.next === null) return
    const ids = this.#read
    ids.length = 0
    if (this.#readPlain(bytes, from, to)) this.#walk(ids, found)
    else this.forEachIn(decoder.decode(bytes.subarray(from, to)), found)
  }

  /** Reads the words of a text of plain letters. @returns whether it is one */
  #readPlain(bytes: Uint8Array, from: number, to: number): boolean {
    let start = -1
    for (let at = from; at < to; at++) {
      const byte = bytes[at] as number
      if (byte >= notPlain) return false
      if (plainKinds[byte] !== 0) {
        if (start < 0) start = at
      } else if (start >= 0) {
        this.#read.push(this.#words.numberIn(bytes, start, at))
        start = -1
      }
    }
    if (start >= 0) this.#read.push(this.#words.numberIn(bytes, start, to))
    return true
  }

  #walk(ids: readonly number[], found: (entry: number) => void): void {
    for (let from = 0; from < ids.length; from++) {
      if (ids[from] === 0) continue
      let node: Node | undefined = this.#root.next?.get(ids[from] as number)
      for (let at = from + 1; node; at++) {
        for (const entry of node.ends) found(entry)
        node = at < ids.length && node.next ? node.next.get(ids[at] as number) : undefined
      }
    }
  }

  #idOf(word: string): number {
    const known = this.#known.get(word)
    if (known !== undefined) return known
    if (this.#known.size > mostWords) this.#known.clear()
    const id = this.#ids.get(this.#form(word)) ?? 0
    this.#known.set(word, id)
    return id
  }
}
