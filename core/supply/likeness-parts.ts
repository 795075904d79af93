import { asWritten, priceLikeness, titleSignature, type TitleSignature } from '../goods'
import type { OfferMatch } from './offer-finder'

/** One thing by which two goods are told alike or apart. */
export interface LikenessPart {
  part: 'barcode' | 'words' | 'figures' | 'pack' | 'brand' | 'price'
  /** whether it speaks for the same goods; null where one side says nothing of it, or it tells nothing */
  speaksFor: boolean | null
  /** what both say, and what only either says; texts of the titles themselves */
  both: string[]
  mine: string[]
  theirs: string[]
}

/** What is wanted: an item as it is sold. */
export interface Wanted {
  title: string
  gtin: string | null
  brand: string | null
  pack: number
  /** lowest price of a piece, E4 of the home currency; null where it is not known */
  pieceE4: number | null
}

/** A candidate as the seller has it: its pack, and a piece of it in the home currency. */
export interface OfferedAs {
  pack: number
  pieceE4: number | null
}

/** The likeness of an offer to an item, taken apart. */
export function likenessParts(wanted: Wanted, { offer, likeness }: OfferMatch, as: OfferedAs): LikenessPart[] {
  const [mine, theirs] = [titleSignature(wanted.title), titleSignature(offer.title)]
  return [
    compared('barcode', wanted.gtin, offer.gtin),
    wordsPart([wanted.title, offer.title], [mine, theirs], likeness?.isTaught === true),
    figuresPart(mine, theirs, likeness?.clashes ?? []),
    packPart(wanted.pack, as.pack),
    compared('brand', wanted.brand, offer.brand),
    pricePart(wanted.pieceE4, as.pieceE4),
  ]
}

const nothing = { both: [], mine: [], theirs: [] }

function compared(part: LikenessPart['part'], mine: string | null, theirs: string | null): LikenessPart {
  if (mine === null || theirs === null)
    return { part, speaksFor: null, both: [], mine: listed(mine), theirs: listed(theirs) }
  const isSame = mine.trim().toLowerCase() === theirs.trim().toLowerCase()
  return isSame
    ? { part, speaksFor: true, ...nothing, both: [mine] }
    : { part, speaksFor: false, ...nothing, mine: [mine], theirs: [theirs] }
}

const listed = (text: string | null) => (text === null ? [] : [text])

function wordsPart(
  [title, other]: [string, string],
  [a, b]: [TitleSignature, TitleSignature],
  isTaught: boolean,
): LikenessPart {
  const only = (mine: TitleSignature, theirs: TitleSignature) => mine.words.filter((w) => !theirs.words.includes(w))
  const both = a.words.filter((w) => b.words.includes(w))
  const [mine, theirs] = [only(a, b), only(b, a)]
  return {
    part: 'words',
    speaksFor:
      isTaught || (both.length > 0 && (mine.length === 0 || theirs.length === 0)) || (both.length > 0 ? null : false),
    both: asWritten(both, [title, other]),
    mine: asWritten(mine, [title]),
    theirs: asWritten(theirs, [other]),
  }
}

/** Sizes, colours, and what comes with it. */
function figuresPart(a: TitleSignature, b: TitleSignature, clashes: readonly string[]): LikenessPart {
  const of = ({ sizes, colours, marks }: TitleSignature) => [...sizes, ...colours, ...marks]
  const [mine, theirs] = [of(a), of(b)]
  const both = mine.filter((f) => theirs.includes(f))
  const [onlyMine, onlyTheirs] = [mine.filter((f) => !both.includes(f)), theirs.filter((f) => !both.includes(f))]
  const isClash = clashes.length > 0 || (onlyMine.length > 0 && onlyTheirs.length > 0)
  return {
    part: 'figures',
    speaksFor: isClash ? false : both.length > 0 ? true : null,
    both: both.map(shown),
    mine: onlyMine.map(shown),
    theirs: onlyTheirs.map(shown),
  }
}

/** '7#' is a figure without unit, '-lid' something without one. */
const shown = (figure: string) => figure.replace('#', '').replace(/^-/, 'no ')

/** Another pack of the same goods speaks against nothing. */
function packPart(mine: number, theirs: number): LikenessPart {
  const isSame = mine === theirs
  const text = (n: number) => [String(n)]
  return isSame
    ? { part: 'pack', speaksFor: true, ...nothing, both: text(mine) }
    : { part: 'pack', speaksFor: null, both: [], mine: text(mine), theirs: text(theirs) }
}

function pricePart(mine: number | null, theirs: number | null): LikenessPart {
  const found = priceLikeness(mine, theirs, true)
  return { part: 'price', speaksFor: found && found.isPlausible, ...nothing }
}
