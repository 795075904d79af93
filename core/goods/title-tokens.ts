import { PlainTokens } from './plain-tokens'
import { remembered } from './remembered'
import { asShade, isColour, spelled } from './spelling'
import { forWords, letterSizes, markOf, withoutWords, withWords } from './telling-words'

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
}

const noise = new Set(
  'a an and the of for with in on to by from your our new brand genuine quality premium best great top free delivery shipping postage fast gift ideal perfect uk eu ireland irish sale offer hot rare lovely beautiful unique item product pack set pcs pieces piece lot x pk ct pair dozen twin count un und mit de la le der die das den dem ein eine fur von zum zur aus ab im les une des du en et ou pour avec par el los las para con y o il lo gli i di del della da het een voor met van os um uma e com do na ze z dla or incl inkl included inclusive suitable color colour farbe style type model modell degree size'.split(
    ' ',
  ),
)

/** The word that a token stands for; null where it says nothing of the goods. */
export function wordOfToken(token: string): string | null {
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

function readToken(text: string): Token {
  const role = roles.find(([, tokens]) => tokens.has(text))?.[0] ?? 'word'
  const word = role === 'word' ? wordOfToken(text) : null
  return {
    text,
    role,
    word,
    // 'light grey' is what 'hellgrau' stands for
    isColour: word !== null && isColour(word.slice(word.indexOf(' ') + 1)),
    shade: asShade(text),
    mark: word === null ? null : markOf(word),
  }
}
const tokenOf = remembered(readToken)
const plain = new PlainTokens(readToken)

/** Tokens of a title in their order. @param title case and accents off @param isPlain it is plain ASCII */
export function meetTokens(title: string, isPlain: boolean, met: (token: Token) => void): void {
  if (isPlain) plain.meet(title, met)
  else for (const text of textsOfTokens(title)) met(tokenOf(text))
}

/** The same as texts. */
export const textsOfTokens = (title: string): readonly string[] => title.match(/[\p{L}\p{N}]+|[,+&(]/gu) ?? []
