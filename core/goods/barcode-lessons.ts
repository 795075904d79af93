import { placesByNumber, placesOf } from '../tables'
import { areFew, isWorthTelling, LessonEvidence, textOf } from './lesson-evidence'
import type { TitleForms } from './title-forms'
import type { WordPair } from './word-lesson'
import { SumPlaces } from './sum-places'
import { WordSums } from './word-sums'

/** forms of one barcode, or alike but for one word, that are compared; forms that are looked through for what sets apart */
const [mostForms, mostTitles] = [8, 50_000]

/** what barcodes show, by the forms it was learned from: it is asked for anew whenever the seller says something */
const known = new WeakMap<TitleForms, LessonEvidence>()

/** What barcodes show of words. @param gtins listing → number of its barcode, -1 where it has none */
export function shownByBarcodes(forms: TitleForms, gtins: Int32Array): LessonEvidence {
  const before = known.get(forms)
  if (before) return before
  const shown = new LessonEvidence(forms)
  fromOtherBarcodes(shown, gtins)
  // what speaks against a lesson is only counted of those there are
  fromBarcodes(shown, gtins)
  known.set(forms, shown)
  return shown
}

/** Two titles of one barcode that differ in a few words on both sides say the same; one that only says more sets nothing apart. */
function fromBarcodes(shown: LessonEvidence, gtins: Int32Array): void {
  for (const list of formsByBarcode(shown.forms, gtins)) {
    // many listings of one barcode show it once
    const here = new Map<string, { pair: WordPair; example: [number, number] }>()
    for (const [a, b] of pairsOf(list)) {
      const pair = shown.difference(a, b)
      if (isSameOrApart(pair)) here.set(textOf(pair), { pair, example: [a, b] })
    }
    for (const [text, { pair, example }] of here) {
      if (areFew(pair)) shown.show('same', pair, { barcodes: 1 }, example, text)
      shown.contradict('apart', pair, 1, text)
    }
  }
}

/** The forms of each barcode that has several, in the order in which listings have them. */
function* formsByBarcode({ formOf }: TitleForms, gtins: Int32Array): Generator<number[]> {
  const { starts, places } = placesByNumber(gtins)
  for (let gtin = 0; gtin < starts.length - 1; gtin++) {
    const forms: number[] = []
    for (let i = starts[gtin] as number; i < (starts[gtin + 1] as number) && forms.length < mostForms; i++) {
      const form = formOf[places[i] as number] as number
      if (form >= 0 && !forms.includes(form)) forms.push(form)
    }
    if (forms.length > 1) yield forms
  }
}

/** Whether any lesson may be of it: titles differ in a few words on both sides, or in a single one. */
const isSameOrApart = (pair: WordPair) => areFew(pair) || (pair.these.length === 1 && pair.those.length === 0)

/**
 * Two titles that agree in their figures and in all words but one, and are of two barcodes: the word sets apart. Only titles that are of one
 * barcode alone tell that, as a title that many makers use is of many goods anyway.
 */
function fromOtherBarcodes(shown: LessonEvidence, gtins: Int32Array): void {
  const { figuresOf } = shown.forms
  const gtinOf = soleBarcodes(shown.forms, gtins)
  const coded = placesOf(gtinOf.length).filter((form) => (gtinOf[form] as number) >= 0)
  const step = Math.ceil(coded.length / mostTitles)
  const some = coded.filter((_, i) => i % step === 0)
  const alike = new Alike(some.reduce((all, form) => all + 1 + shown.wordsOf(form).length, 0))
  const sums = new WordSums(shown.forms)
  for (const form of some) {
    const sum = sums.of(form)
    alike.add(sum, form)
    for (const word of shown.wordsOf(form)) alike.add(sum - sums.ofWord(word), form)
  }
  for (const list of alike.lists())
    for (const [a, b] of pairsOf(list)) {
      if (gtinOf[a] === gtinOf[b] || figuresOf[a] !== figuresOf[b]) continue
      const pair = shown.difference(a, b)
      if (isWorthTelling(pair, shown.forms.words)) shown.show('apart', pair, { barcodes: 1 }, [a, b])
    }
}

/** Every two of a few. */
function* pairsOf(list: readonly number[]): Generator<[number, number]> {
  for (let i = 0; i < list.length; i++)
    for (let j = i + 1; j < list.length; j++) yield [list[i] as number, list[j] as number]
}

/** Forms whose words and figures are the same but for one word. */
class Alike {
  readonly #forms: Int32Array
  readonly #places: SumPlaces
  #count = 0
  /** place of the first of those of which there are several → all of them */
  readonly #several = new Map<number, number[]>()

  /** @param most that are added */
  constructor(most: number) {
    this.#forms = new Int32Array(most)
    this.#places = new SumPlaces(most)
  }

  add(sum: number, form: number): void {
    const place = this.#count++
    this.#forms[place] = form
    const first = this.#places.put(sum, place)
    if (first === place) return
    const list = this.#several.get(first)
    if (!list) this.#several.set(first, [this.#forms[first] as number, form])
    else if (list.length < mostForms) list.push(form)
  }

  lists(): Iterable<number[]> {
    return this.#several.values()
  }
}

/** Form → the only barcode that its listings have; -1 without one, -2 where they have several. */
function soleBarcodes({ formOf, figuresOf }: TitleForms, gtins: Int32Array): Int32Array {
  const gtinOf = new Int32Array(figuresOf.length).fill(-1)
  gtins.forEach((gtin, row) => {
    const form = formOf[row] as number
    if (gtin < 0 || form < 0) return
    const known = gtinOf[form] as number
    gtinOf[form] = known === -1 || known === gtin ? gtin : -2
  })
  return gtinOf
}
