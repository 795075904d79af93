/** What a letter is in a plain title: nothing, part of a token, or a token by itself. */
const [inToken, sign] = [1, 2]
const kinds = new Uint8Array(128)
for (const letter of 'abcdefghijklmnopqrstuvwxyz0123456789') kinds[letter.charCodeAt(0)] = inToken
for (const letter of ',+&(') kinds[letter.charCodeAt(0)] = sign

/** tokens that are known at once; beyond them all are read anew, as those of files without end are not kept */
const places = 2 ** 16
const most = places / 2

/**
 * Tokens of titles in small ASCII letters: words and figures, and the signs that part a title. A million titles have ten million tokens of a
 * few thousand kinds: each is found by its letters where it stands, and no text is made of those that are known.
 *
 * @param read what a token stands for; made once for each
 */
export class PlainTokens<T extends { text: string }> {
  readonly #read: (text: string) => T
  readonly #known: (T | undefined)[] = Array.from({ length: places })
  #count = 0

  constructor(read: (text: string) => T) {
    this.#read = read
  }

  /** Tokens of a part of a title in their order. */
  meet(title: string, met: (token: T) => void, start = 0, end = title.length): void {
    let [from, hash] = [start, 0]
    for (let at = start; at < end; at++) {
      const letter = title.charCodeAt(at)
      const kind = kinds[letter]
      if (kind === inToken) {
        hash = (Math.imul(hash, 31) + letter) | 0
        continue
      }
      if (at > from) met(this.#at(title, from, at, hash))
      if (kind === sign) met(this.#at(title, at, at + 1, letter))
      ;[from, hash] = [at + 1, 0]
    }
    if (end > from) met(this.#at(title, from, end, hash))
  }

  /** By open addressing. */
  #at(title: string, from: number, to: number, hash: number): T {
    let place = (hash ^ (hash >>> 15)) & (places - 1)
    for (;;) {
      const known = this.#known[place]
      if (known === undefined) return this.#keep(place, title.slice(from, to))
      if (known.text.length === to - from && isAt(title, from, known.text)) return known
      place = (place + 1) & (places - 1)
    }
  }

  #keep(place: number, text: string): T {
    if (this.#count++ >= most) {
      this.#known.fill(undefined)
      this.#count = 1
    }
    return (this.#known[place] = this.#read(text))
  }
}

/** Whether a text stands there; for a few letters a call of the platform's own takes longer. */
function isAt(title: string, from: number, text: string): boolean {
  for (let i = 0; i < text.length; i++) if (title.charCodeAt(from + i) !== text.charCodeAt(i)) return false
  return true
}
