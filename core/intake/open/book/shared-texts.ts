import { Problem } from '../../../problem'
import { longestText, unescaped } from './sheet-reader'
import type { XmlHandler } from './xml-scanner'

/** characters of all shared texts together */
const mostText = 220_000_000

/** The texts of a spreadsheet that cells share, by number. */
export class SharedTexts implements XmlHandler {
  wantsText = false
  readonly texts: string[] = []
  readonly #file: string
  #now = ''
  #phonetic = false
  #all = 0

  constructor(file: string) {
    this.#file = file
  }

  open(name: string): void {
    if (name === 'si') this.#now = ''
    else if (name === 'rPh') this.#phonetic = true
    else if (name === 't' && !this.#phonetic) this.wantsText = true
  }

  text(text: string): void {
    if (this.#now.length < longestText) this.#now = (this.#now + text).slice(0, longestText)
  }

  close(name: string): void {
    if (name === 't') this.wantsText = false
    else if (name === 'rPh') this.#phonetic = false
    else if (name === 'si') {
      this.texts.push(unescaped(this.#now))
      // a text by itself takes some memory too
      this.#all += this.#now.length + 16
      if (this.#all > mostText)
        throw new Problem('file-too-large', {
          file: this.#file,
          megabytes: Math.ceil(this.#all / 1e6),
          kind: 'spreadsheet text',
          limit: mostText / 1e6,
        })
    }
  }
}
