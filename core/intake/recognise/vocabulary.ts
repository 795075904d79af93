import { languages, type Language, type RecordKind } from '../../records'
import { readHeading, type Heading } from './heading'

interface Phrase {
  /** 'kind.field' */
  field: string
  language: Language
  words: string[]
  /** later phrases of a field mean it a little less */
  order: number
}

/** How well a heading names a field, 0 to 1, by 'kind.field'. */
export type HeadingFits = Map<string, number>

/** Words that join others and say little themselves, in all languages. */
const joining = new Set(
  'the a of in on per for to and or de la le les du des d l der die das den dem il lo i gli el los las o os as do da dos das van het een w z na po pro par por pour con mit avec en et und y e ed lub ou oder last past letzte letzten derniers dernieres ultimos ultimas ultimi ultime laatste ostatnie del della dell al'.split(
    ' ',
  ),
)
/** Words for "how many": they tell a count from what is counted. */
const counting = new Set(
  'nr no n num nb nombre number anzahl anz numero liczba aantal count cnt ct qty avg pct total'.split(' '),
)

/** All phrases by which fields of all kinds are known, found by their words. Made once for a file. */
export class Vocabulary {
  readonly #phrases: Phrase[] = []
  /** phrases by word */
  readonly #of = new Map<string, number[]>()
  /** words by their first letter */
  readonly #begin = new Map<string, string[]>()
  readonly #weights = new Map<string, number>()
  /** phrases by all their words as one */
  readonly #joined = new Map<string, number[]>()
  readonly #alike = new Map<string, [string, number][]>()

  constructor(kinds: readonly RecordKind[]) {
    // many fields share their words
    const read = new Map<string, Heading>()
    for (const kind of kinds)
      for (const field of kind.fields) {
        const own = [field.label, field.name].join(', ')
        for (const language of languages) {
          const list = [...(field.headings[language] ?? '').split(','), ...(language === 'en' ? own.split(',') : [])]
          list.forEach((text, order) => {
            const heading = read.get(text) ?? readHeading(text)
            read.set(text, heading)
            this.#add(`${kind.name}.${field.name}`, language, heading, order)
          })
        }
      }
    const fieldsOf = new Map<string, Set<string>>()
    for (const { field, words } of this.#phrases)
      for (const w of words) fieldsOf.set(w, (fieldsOf.get(w) ?? new Set()).add(field.split('.')[1] as string))
    for (const [word, fields] of fieldsOf) {
      this.#weights.set(word, weightOf(word, fields.size))
      const begin = word.slice(0, 1)
      push(this.#begin, begin, word)
    }
  }

  #add(field: string, language: Language, { words, joined }: Heading, order: number): void {
    if (words.length === 0) return
    const at = this.#phrases.push({ field, language, words, order }) - 1
    push(this.#joined, joined, at)
    for (const word of new Set(words)) push(this.#of, word, at)
  }

  /**
   * How well a heading names each field.
   *
   * @param spoken how much each language is spoken in the file, 0 to 1
   */
  fits(
    { words, joined }: Heading,
    spoken: Partial<Record<Language, number>> = {},
  ): { fits: HeadingFits; by: Map<Language, number> } {
    const fits: HeadingFits = new Map()
    const by = new Map<Language, number>()
    const alike = words.map((w) => this.#wordsLike(w))
    const seen = new Set<number>()
    const take = (at: number, plain: (phrase: Phrase) => number) => {
      if (seen.has(at)) return
      seen.add(at)
      const phrase = this.#phrases[at] as Phrase
      const score = plain(phrase) * (0.9 + 0.1 * Math.min(1, (spoken[phrase.language] ?? 0) * 2))
      if (score > (fits.get(phrase.field) ?? 0.2)) fits.set(phrase.field, score)
      if (score > (by.get(phrase.language) ?? 0.3)) by.set(phrase.language, score)
    }
    for (const at of this.#joined.get(joined) ?? []) take(at, ({ order }) => 1 - 0.004 * Math.min(order, 25))
    for (const list of alike)
      for (const [word] of list)
        for (const at of this.#of.get(word) ?? []) take(at, (phrase) => this.#score(phrase, words, alike))
    return { fits, by }
  }

  /** Share of the phrase that the heading has, times the share of the heading that the phrase explains. */
  #score({ words, order }: Phrase, heading: readonly string[], alike: readonly [string, number][][]): number {
    let [found, all, explained, whole] = [0, 0, 0, 0]
    const used = new Set<number>()
    for (const word of words) {
      const weight = this.#weights.get(word) as number
      all += weight
      let [best, at] = [0, -1]
      alike.forEach((list, i) => {
        if (used.has(i)) return
        const like = list.find(([w]) => w === word)?.[1] ?? 0
        if (like > best) [best, at] = [like, i]
      })
      if (at < 0) continue
      used.add(at)
      found += weight * best
      explained += this.#weightOfHeading(heading[at] as string) * (best > 0.6 ? 1 : best)
    }
    for (const word of heading) whole += this.#weightOfHeading(word)
    const cover = all === 0 ? 0 : found / all
    if (cover < 0.55) return 0
    return (
      cover ** 1.5 * (0.3 + 0.7 * Math.min(1, explained / Math.max(whole, 1e-9))) * (1 - 0.004 * Math.min(order, 25))
    )
  }

  #weightOfHeading(word: string): number {
    return this.#weights.get(word) ?? (joining.has(word) ? 0.1 : 0.7)
  }

  /** Words of the vocabulary that a word of a heading may stand for, and how surely. */
  #wordsLike(word: string): [string, number][] {
    const known = this.#alike.get(word)
    if (known) return known
    const found = new Map<string, number>()
    const take = (w: string, like: number) => like > (found.get(w) ?? 0) && found.set(w, like)
    if (this.#of.has(word)) take(word, 1)
    for (const other of this.#begin.get(word.slice(0, 1)) ?? []) take(other, likeness(word, other))
    // the end of a compound says what it is: Angebotspreis is a Preis
    for (let at = 2; at <= word.length - 4; at++) {
      const end = word.slice(at)
      if (this.#of.has(end) && !joining.has(end)) take(end, 0.72)
    }
    const list = [...found].filter(([, like]) => like > 0)
    this.#alike.set(word, list)
    return list
  }
}

function push<T>(lists: Map<string, T[]>, key: string, value: T): void {
  const list = lists.get(key)
  if (list) list.push(value)
  else lists.set(key, [value])
}

/** what inflection adds or changes at a word's end, in the languages that are read, without accents */
const endings = new Set(
  '|a|e|i|o|u|y|s|n|r|t|d|es|en|er|em|as|os|is|ns|ed|te|ts|x|aux|al|ow|ami|ach|om|ie|ej|ego|ych|ow|ia|ii|ci|oes|ao|aes|one|oni|ione|ioni|ze|ne|na|ny|ni|nej|us|se'.split(
    '|',
  ),
)

/** Forms of one word, an abbreviation, or the beginning of a compound. */
function likeness(word: string, other: string): number {
  if (word === other) return 1
  const [short, long] = word.length < other.length ? [word, other] : [other, word]
  let same = 0
  while (same < short.length && short[same] === long[same]) same++
  const isForm = endings.has(short.slice(same)) && endings.has(long.slice(same))
  if (same >= 4 && isForm) return 0.92
  if (same >= 5 && same >= long.length - 3 && endings.has(short.slice(same))) return 0.78
  if (same === word.length && word.length >= 3 && other.length > word.length) return word.length >= 4 ? 0.7 : 0.62
  if (same === other.length && other.length >= 5) return 0.42
  return isSkeleton(word, other) ? 0.56 : 0
}

/** Letters left out of the middle: 'prz' for 'prezzo', 'vrd' for 'voorraad', 'qty' for 'quantity'. */
function isSkeleton(word: string, other: string): boolean {
  if (word.length < 3 || word.length > 5 || other.length < word.length + 2) return false
  if (/[aeiou]/.test(word.slice(1))) return false
  let at = 0
  for (const letter of other) if (letter === word[at]) at++
  return at === word.length
}

function weightOf(word: string, fields: number): number {
  const rare = Math.max(0.3, 1 / (1 + 0.12 * (fields - 1)))
  return joining.has(word) ? 0.1 : counting.has(word) ? 0.3 : rare
}
