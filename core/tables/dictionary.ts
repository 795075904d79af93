import type { WordList } from './word-list'

/** Words by number, each once, in the order in which they were met. */
export class Dictionary {
  readonly words: string[] = []
  readonly #codes = new Map<string, number>()

  /** @param list words that have their numbers already: each must be there once */
  constructor(list: WordList = []) {
    for (let i = 0; i < list.length; i++) this.code(list.at(i) ?? '')
  }

  /** The number of a word, a new one where it was not met before. */
  code(word: string): number {
    let code = this.#codes.get(word)
    if (code === undefined) this.#codes.set(word, (code = this.words.push(word) - 1))
    return code
  }

  /** The numbers of another list's words here, which grows by those that are new. */
  recode(list: WordList): Int32Array {
    return Int32Array.from({ length: list.length }, (_, i) => this.code(list.at(i) ?? ''))
  }
}
