import { partsOf } from './compounds'
import { phrases, writtenTogether } from './phrases'
import { PlainTokens } from './plain-tokens'
import { remembered } from './remembered'
import { singular } from './singular'
import { asShade, isColour, isSynonym, spelled } from './spelling'
import { forWords, kindOf, letterSizes, markOf, withoutWords, withWords } from './telling-words'

/** What a token of a title is: a word or figure, or what parts a title or says what its next words are to the good. */
type TokenRole = 'word' | 'size' | 'break' | 'with' | 'without' | 'for'

/** What a token says, wherever it stands. */
export interface Token {
  /** as the title has it, case and accents off */
  text: string
  role: TokenRole
  /** the word that it stands for; null where it says nothing of the goods */
  word: string | null
  isColour: boolean
  /** 'light' or 'dark' where it belongs to the colour behind it */
  shade: string | null
  mark: ReturnType<typeof markOf>
  /** the first part of a compound, and what is read of its rest; the whole and null for most */
  part: string
  rest: Token | null
  /** what it makes with the word behind it, in the singular: two words that are one thing; null for most */
  begins: ReadonlyMap<string, readonly Token[]> | null
  singular: string
}

/** Words that say nothing of the goods: what is small in every language, what every seller promises, how many there are. */
const noise = new Set(
  [
    'a an and the of for with in on to by from at your our you my new brand genuine quality premium best great top free delivery shipping postage fast gift ideal perfect uk eu ireland irish sale offer hot rare lovely beautiful unique item product suitable color colour style styled design designed modern stylish elegant durable sturdy practical multipurpose multifunctional versatile comfortable luxury home household use carry carrying approved series edition model type degree size duty super',
    'pack set kit pcs pieces piece lot x pk ct pair dozen twin count stk stuck st tlg stuks szt sztuk uds unid unidad unidades pezzi piezas unites pecas zestaw confezione packung',
    'fach fache facher faches un und mit la le der die das den dem des ein eine einen fur furs von zum zur aus ab im am beim bei auf oder je zu inkl inklusive farbe hochwertig hochwertige neu modisch stilvoll ideal zuhause haushalt geschenk geschenkidee qualitat',
    'les une du de en et ou pour avec par sur dans au aux a l d les nouveau moderne couleur idee cadeau qualite superieure',
    'el los las para con y o al su ideal nuevo nueva moderno moderna color regalo calidad',
    'il lo gli i di del della dei delle da al alla nel nella su ideale nuovo nuova colore qualita idea',
    'het een voor met van os of op bij aan uit te kleur ideaal nieuw nieuwe kwaliteit',
    'na do w z ze dla po oraz i kolor nowy nowa idealny prezent jakosc',
    'um uma e com no na nos nas ao da das do dos em cor novo nova ideal presente qualidade',
    'or incl included inclusive including',
  ]
    .join(' ')
    .split(' '),
)

/** The word that a token stands for; null where it says nothing of the goods. */
function wordOfToken(token: string): string | null {
  const word = spelled(token)
  return noise.has(token) || noise.has(word) || (word.length === 1 && !/\d/.test(word)) ? null : word
}

const roles: [TokenRole, ReadonlySet<string>][] = [
  ['break', new Set(',+&(/')],
  ['without', withoutWords],
  ['for', forWords],
  ['with', withWords],
  ['size', letterSizes],
]

function readToken(text: string, begins: Token['begins'] = null): Token {
  const role = roles.find(([, tokens]) => tokens.has(text))?.[0] ?? 'word'
  const parts = role === 'word' ? partsOfToken(text) : null
  const word = role === 'word' ? wordOfToken(parts?.[0] ?? text) : null
  return {
    text,
    singular: singular(text),
    begins,
    part: parts?.[0] ?? text,
    rest: parts && readToken(parts[1] as string),
    role,
    word,
    // 'light grey' is what 'hellgrau' stands for
    isColour: word !== null && isColour(word.slice(word.indexOf(' ') + 1)),
    shade: asShade(text),
    mark: word === null ? null : markOf(word),
  }
}
function phrasesOf(text: string): Token['begins'] {
  const seconds = phrases.get(text)
  return seconds ? new Map([...seconds].map(([second, words]) => [second, words.map((word) => readToken(word))])) : null
}

/** What is known as one word is no compound. */
function partsOfToken(text: string): readonly string[] | null {
  const words = writtenTogether.get(singular(text))
  if (words !== undefined && words.length > 1) return words
  const word = spelled(text)
  const isKnown = isSynonym(text) || isColour(word) || kindOf(word) !== null || markOf(word) !== null
  return isKnown ? null : partsOf(text)
}
const readFirst = (text: string) => readToken(text, phrasesOf(text))
const tokenOf = remembered(readFirst)
const plain = new PlainTokens(readFirst)

/** Hears of a token, and of the words of the title that it was read from. */
type Met = (token: Token, written: string) => void

/** Tells the tokens of titles in their order, one for two words that are one thing. */
export class TokenReader {
  readonly #met: Met
  /** the one before, where it may be one thing with the next */
  #first: Token | null = null

  constructor(met: Met) {
    this.#met = met
  }

  /** @param title case and accents off @param isPlain it is plain ASCII @param leftOut where parts begin and end that are not read, in their order */
  read(title: string, isPlain: boolean, leftOut: readonly number[] = []): void {
    let from = 0
    for (let i = 0; i < leftOut.length; i += 2) {
      this.#readPart(title, from, leftOut[i] as number, isPlain)
      from = leftOut[i + 1] as number
    }
    this.#readPart(title, from, title.length, isPlain)
    if (this.#first !== null) this.#meetAll(this.#first)
    this.#first = null
  }

  #readPart(title: string, from: number, to: number, isPlain: boolean): void {
    if (isPlain) plain.meet(title, this.#meet, from, to)
    else for (const text of textsOfTokens(title.slice(from, to))) this.#meet(tokenOf(text))
  }

  readonly #meet = (token: Token): void => {
    if (this.#first !== null) this.#meetSecond(token, this.#first)
    else if (token.begins !== null) this.#first = token
    else if (token.rest !== null) this.#meetAll(token)
    else this.#met(token, token.part)
  }

  #meetSecond(token: Token, before: Token): void {
    // 'espuma de memória'
    if (token.word === null && token.role === 'word') return
    const both = before.begins?.get(token.singular)
    this.#first = both === undefined && token.begins !== null ? token : null
    if (both !== undefined) return both.forEach((one) => this.#meetAll(one, `${before.text} ${token.text}`))
    this.#meetAll(before)
    if (this.#first === null) this.#meetAll(token)
  }

  #meetAll(token: Token, written: string | null = null): void {
    this.#met(token, written ?? token.part)
    if (token.rest !== null) this.#meetAll(token.rest, written)
  }
}

const textsOfTokens = (title: string): readonly string[] => title.match(/[\p{L}\p{N}]+|[,+&(]/gu) ?? []
