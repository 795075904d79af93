import type { TitleForms } from './title-forms'

/**
 * A number for the words and figures of a form: the sum of one for each, which no order changes and which a word that goes or comes changes by
 * its own. Forms of two sums are two; those of one are nearly always one, and are to be looked at.
 */
export class WordSums {
  readonly #forms: TitleForms
  readonly #ofWord: Float64Array

  constructor(forms: TitleForms) {
    this.#forms = forms
    this.#ofWord = Float64Array.from({ length: forms.words.length }, (_, id) => scattered(id))
  }

  ofWord(id: number): number {
    return this.#ofWord[id] as number
  }

  of(form: number): number {
    const { figuresOf, wordIds, starts } = this.#forms
    let sum = scattered(-1 - (figuresOf[form] as number))
    for (let i = starts[form] as number; i < (starts[form + 1] as number); i++) sum += this.ofWord(wordIds[i] as number)
    return sum
  }
}

/** 46 bits of a number that say nothing of its neighbours: sums of a hundred of them are whole. */
function scattered(id: number): number {
  // nought would stay nought
  const a = Math.imul((id ^ (id >>> 16)) + 0x3c6ef372, 0x7feb352d)
  const b = Math.imul(a ^ (a >>> 15), 0x846ca68b)
  const c = Math.imul(b ^ (b >>> 16), 0x9e3779b1)
  return ((b ^ (b >>> 16)) >>> 0) * 0x4000 + (c >>> 18)
}
