import { emptied } from './emptied'
import { TitleSizes } from './sizes'
import { isShadeOf } from './spelling'
import { markOf } from './telling-words'
import { TokenReader, type Token } from './title-tokens'

/** What a title says, in its order: what stands behind a comma or 'with' comes with the good, and is not what it is. */
export class SaidWords {
  readonly words: string[] = []
  readonly sizes = new TitleSizes()
  readonly colours: string[] = []
  readonly marks: string[] = []
  /** what stood before the first 'for' */
  heads: readonly string[] = []
  readonly #tokens = new TokenReader((token) => this.#add(token))
  #role: '' | '+' | '-' = ''
  #shade: string | null = null
  /** the colour named right before */
  #colour: string | null = null

  /** For another title. */
  clear(): this {
    emptied(this.words)
    emptied(this.colours)
    emptied(this.marks)
    this.sizes.clear()
    this.heads = []
    this.#role = ''
    this.#shade = this.#colour = null
    return this
  }

  /** @param text case and accents off @param isPlain it is plain ASCII */
  read(text: string, isPlain: boolean): void {
    this.#tokens.read(text, isPlain, this.sizes.read(text, isPlain).places)
  }

  #add(token: Token): void {
    if (token.role !== 'word') this.#colour = null
    if (token.role === 'word') this.#addWord(token)
    else if (token.role === 'size') once(this.marks, `size ${token.text}`)
    else if (token.role === 'without') this.#role = '-'
    else {
      if (token.role === 'for') this.#beginPurpose()
      this.#role = '+'
    }
  }

  /** What was named before 'for' is the good, whatever it belongs to. */
  #beginPurpose(): void {
    this.words.forEach((word, at) => {
      if (markOf(word)?.isAttached) this.words[at] = `!${word}`
    })
    if (this.heads.length === 0) this.heads = [...this.words]
  }

  #addColour(word: string): void {
    const colour = this.#shade === null ? word : `${this.#shade} ${word}`
    const before = this.#colour
    this.#shade = this.#colour = null
    if (before !== null && isShadeOf(before, colour)) return
    this.#colour = colour
    if (before !== null && isShadeOf(colour, before)) this.colours.splice(this.colours.indexOf(before), 1)
    once(this.colours, colour)
  }

  #addWord({ word, isColour, shade, mark }: Token): void {
    if (word === null) {
      this.#colour = null
      return
    }
    if (isColour) return this.#addColour(word)
    this.#shade = shade
    this.#colour = null
    const isWithout = this.#role === '-'
    if (mark || isWithout) once(this.marks, `${isWithout ? '-' : ''}${mark?.mark ?? word}`)
    if (isWithout) this.#role = '+'
    else once(this.words, mark?.isAttached && this.#role === '+' ? `+${word}` : word)
  }
}

function once(list: string[], text: string): void {
  if (!list.includes(text)) list.push(text)
}
