import type { Catalog, WorkOptions } from '../catalog'
import {
  addTo,
  AlikeForms,
  areSame,
  FormDifference,
  FormNumbering,
  leastShared,
  likenessOf,
  inForce,
  saidOtherwise,
  wordWeights,
  type TitleForms,
} from '../goods'
import { stopIfCancelled } from '../problem'
import { textColumn, textIn } from '../tables'
import type { OwnGoods } from './own-goods'
import { figuresClash, FittingFigures, statesAsMuch, titleFigures, type TitleFigures } from './title-figures'

/**
 * How surely something that is sold is what I sell too: my own listing, the same barcode, a title that says the same, the same goods in
 * another pack, or likely by its words. Surest first.
 */
export const ownWays = ['listing', 'barcode', 'words', 'pack', 'likely'] as const
export type OwnWay = (typeof ownWays)[number]
/** those of them that are the same goods; the others are told, and counted neither as mine nor as a gap */
export const isSameGoods = (way: OwnWay) => way === 'listing' || way === 'barcode' || way === 'words'

/** An item that is, or may be, something of mine. */
export interface OwnMatch {
  /** place in the list of own goods */
  own: number
  way: OwnWay
  /** share of the weight of all words that both titles have; null where a number says it */
  words: number | null
}

/** From which likeness of words on something is likely the same; measured in docs/estimates.md. */
export const likelyFrom = 0.64

/** Finds a listing by its key, as `ItemMaker.index()` does. */
export interface KeyFinder {
  find: (key: string) => number | null
}

/** Finds which items of a catalog are among the seller's own goods. */
export class OwnMatcher {
  readonly #own: readonly OwnGoods[]
  readonly #catalog: Catalog
  readonly #forms: TitleForms
  /** own goods → the ways in which its title may be said */
  readonly #formsOfOwn: readonly number[][]

  readonly #difference: FormDifference
  readonly #apart = new Map<number, TitleFigures>()

  constructor(own: readonly OwnGoods[], catalog: Catalog) {
    this.#own = own
    this.#catalog = catalog
    const forms = new FormNumbering(catalog.forms)
    const same = inForce(catalog.lessons).filter((l) => l.says === 'same')
    this.#formsOfOwn = own.map((o) => {
      const form = forms.form(o.title)
      if (form < 0) return []
      return [form, ...saidOtherwise(forms.wordsOf(form), same).map((ids) => forms.formLike(form, ids))]
    })
    this.#forms = forms.finish(catalog.forms.formOf)
    this.#difference = new FormDifference(this.#forms)
  }

  /**
   * Of each item the surest of my goods that it is or may be.
   *
   * @param rows listings that are looked at; all of them without
   * @param index finds listings by key; only needed where a catalogue names listings
   */
  matches(rows: ArrayLike<number> | null = null, index: KeyFinder | null = null): Map<number, OwnMatch> {
    const steps = this.#match(rows, index)
    for (;;) {
      const { done, value } = steps.next()
      if (done) return value
    }
  }

  /**
   * The same of all listings, in turn with other work: thousands of goods beside a million listings take minutes.
   *
   * @throws Problem 'cancelled'
   */
  async matchesInTurn(
    index: KeyFinder | null,
    { signal, onProgress, pause }: WorkOptions,
  ): Promise<Map<number, OwnMatch>> {
    const steps = this.#match(null, index)
    for (;;) {
      const { done, value } = steps.next()
      if (done) return value
      onProgress?.(value)
      await pause?.()
      stopIfCancelled(signal)
    }
  }

  /** In steps. @returns share of the work that is done, 0–1, and in the end what was found */
  *#match(rows: ArrayLike<number> | null, index: KeyFinder | null): Generator<number, Map<number, OwnMatch>> {
    const found = new Map<number, OwnMatch>()
    const { itemOf } = this.#catalog
    const take = (row: number, match: OwnMatch) => {
      const item = itemOf[row] as number
      const before = found.get(item)
      if (!before || isSurer(match, before)) found.set(item, match)
    }
    const all = rows ?? { length: itemOf.length }
    const rowAt = rows ? (i: number) => rows[i] as number : (i: number) => i
    this.#byListing(index, take)
    this.#byNumber(all.length, rowAt, take)
    yield 0
    yield* this.#byWords(all.length, rowAt, take)
    return found
  }

  #byListing(index: KeyFinder | null, take: (row: number, match: OwnMatch) => void): void {
    this.#own.forEach(({ listing }, own) => {
      const row = listing === null ? null : (index?.find(listing) ?? null)
      if (row !== null) take(row, { own, way: 'listing', words: null })
    })
  }

  #byNumber(count: number, rowAt: (i: number) => number, take: (row: number, match: OwnMatch) => void): void {
    const { codes, words } = textColumn(this.#catalog.listings, 'gtin')
    const mine = new Map(this.#own.flatMap(({ gtin }, own) => (gtin === null ? [] : [[gtin, own] as const])))
    if (mine.size === 0) return
    const ownOf = Int32Array.from({ length: words.length }, (_, code) => mine.get(words.at(code) ?? '') ?? -1)
    for (let i = 0; i < count; i++) {
      const row = rowAt(i)
      const own = ownOf[codes[row] as number] ?? -1
      if (own >= 0) take(row, { own, way: 'barcode', words: null })
    }
  }

  *#byWords(
    count: number,
    rowAt: (i: number) => number,
    take: (row: number, match: OwnMatch) => void,
  ): Generator<number, void> {
    const { formOf } = this.#catalog.forms
    const rowsOfForm = new Map<number, number[]>()
    for (let i = 0; i < count; i++) {
      const row = rowAt(i)
      const form = formOf[row] as number
      if (form < 0) continue
      addTo(rowsOfForm, form, row)
    }
    const ownsOfForm = new Map<number, number[]>()
    this.#formsOfOwn.forEach((forms, own) => {
      for (const form of new Set(forms)) ownsOfForm.set(form, [...(ownsOfForm.get(form) ?? []), own])
    })
    const onPair = (theirs: number, mine: number) => {
      const difference = this.#difference.of(theirs, mine)
      const words = likenessOf(difference)
      if (difference.clashes.length > 0 || words < likelyFrom) return
      const isSame = areSame(difference)
      for (const row of rowsOfForm.get(theirs) ?? [])
        for (const own of ownsOfForm.get(mine) ?? []) {
          const match = this.#judged(row, own, { theirs, mine, words, isSame })
          if (match) take(row, match)
        }
    }
    for (const form of ownsOfForm.keys()) if (rowsOfForm.has(form)) onPair(form, form)
    yield* this.#searchAlike([...ownsOfForm.keys()], [...rowsOfForm.keys()], onPair)
  }

  /**
   * Pairs of forms whose words are alike and whose figures do not clash: one that leaves a colour out may be the same goods all the same.
   * Only forms of figures that go together are compared.
   */
  *#searchAlike(
    mine: readonly number[],
    theirs: readonly number[],
    onPair: (theirs: number, mine: number) => void,
  ): Generator<number, void> {
    const codeOf = (form: number) => this.#forms.figuresOf[form] as number
    const theirsBy = [...groupedBy(theirs, codeOf)]
    const fitting = new FittingFigures(theirsBy.map(([code]) => this.#figures(code)))
    // within groups that go together figures do not tell forms apart
    const anyFigures = { ...this.#forms, figuresOf: new Int32Array(this.#forms.figuresOf.length) }
    const search = new AlikeForms(anyFigures, wordWeights(this.#forms))
    const options = { least: leastShared, worthwhile: (a: number, b: number) => a !== b, onPair }
    let searched = 0
    for (const forms of groupedBy(mine, (form) => fitting.seen(this.#figures(codeOf(form)))).values()) {
      const wanted = this.#figures(codeOf(forms[0] as number))
      const others = fitting.find(wanted).flatMap((at) => theirsBy[at]?.[1] ?? [])
      for (const _ of search.searchFor(forms, others, options)) yield searched / mine.length
      searched += forms.length
    }
  }

  /** What two titles of some likeness make of a listing and one of my goods; null where a size, a colour or a barcode says that it is another. */
  #judged(
    row: number,
    own: number,
    { theirs, mine, words, isSame }: { theirs: number; mine: number; words: number; isSame: boolean },
  ): OwnMatch | null {
    const [x, y] = [this.#forms.figuresOf[theirs] as number, this.#forms.figuresOf[mine] as number]
    const [a, b] = [this.#figures(x), this.#figures(y)]
    if (figuresClash(a, b)) return null
    const isSamePack = a.pack === b.pack
    const { gtin } = this.#own[own] as OwnGoods
    const theirGtin = textIn(this.#catalog.listings, 'gtin', row)
    if (gtin !== null && theirGtin !== null && gtin !== theirGtin && isSamePack) return null
    if (!isSame || !statesAsMuch(a, b)) return { own, way: 'likely', words }
    return { own, way: isSamePack ? 'words' : 'pack', words }
  }

  /** What some figures say, by their number; taken apart once. */
  #figures(code: number): TitleFigures {
    const known = this.#apart.get(code) ?? titleFigures(this.#forms.figures[code] ?? '')
    this.#apart.set(code, known)
    return known
  }
}

function groupedBy<K>(forms: readonly number[], keyOf: (form: number) => K): Map<K, number[]> {
  const groups = new Map<K, number[]>()
  for (const form of forms) addTo(groups, keyOf(form), form)
  return groups
}

function isSurer(a: OwnMatch, b: OwnMatch): boolean {
  const [first, second] = [ownWays.indexOf(a.way), ownWays.indexOf(b.way)]
  return first === second ? (a.words ?? 1) > (b.words ?? 1) : first < second
}
