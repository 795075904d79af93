import { isColour, kindOf } from '../goods'

/** What begins the rest of a title: what the thing has, is made of, or is for. */
const rest =
  /(?<!\p{L})(?:with|of|for|in|mit|aus|für|avec|en|de|du|pour|con|di|per|para|com|met|van|voor|z|ze|dla|do)(?!\p{L}).*/iu

/** What a thing of any sort may be, in the eight languages, beside colours and materials. */
const manner = new Set(
  'blank plain printable custom personalised personalized unisex premium heavy light slim clear round square stainless organic bio natural natur framed hardcover softcover short long sleeve men mens women womens kids adult oversized classic herren damen kinder homme femme enfant hombre mujer uomo donna heren dames meski damski homem mulher adjustable die cut matt glossy weiss weiß blanc blanche blanca blanco bianco bianca wit witte bialy biały biala branco branca'.split(
    ' ',
  ),
)

/** whom or what it is for belongs to its name */
const named = new Set('baby bebe bébé dog cat car bike'.split(' '))
/** what stands after a figure; what has a figure in it is no word of a name anyhow */
const units = new Set('ml cl l oz cm mm m in inch inches g kg pages x'.split(' '))

/** no name has more words */
const mostWords = 2

/**
 * What a blank is called, of its title: its last words that are neither size nor colour, material or manner, without what it has or is for. A guess, by
 * which printed goods like it are looked for and drafts are titled; how often it is right stands in docs/checks.md.
 *
 * @returns in small letters; the whole title where nothing else is left
 */
export function blankName(title: string): string {
  const [first = ''] = title.split(/[,;(/|–]|\s-\s/)
  const words = first
    .toLowerCase()
    .replace(rest, '')
    .split(/\s+/)
    .filter((w) => /^[\p{L}'-]+$/u.test(w) && !units.has(w) && !manner.has(w) && !isManner(w))
  const name = words.slice(-mostWords).join(' ')
  return name === '' ? title.trim().toLowerCase() : singular(name)
}

const plain = (word: string) => word.normalize('NFD').replace(/\p{M}/gu, '')
const isManner = (word: string) => !named.has(word) && (isColour(plain(word)) || kindOf(plain(word)) !== null)

/** English alone writes its plural so that a search for parts of words would miss the one. */
const singular = (name: string) => (/[^s]s$/.test(name) ? name.slice(0, -1) : name)
