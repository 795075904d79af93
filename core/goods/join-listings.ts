import { AlikeForms } from './alike-forms'
import { Groups } from './groups'
import type { TitleForms } from './title-forms'
import { wordWeights } from './title-forms'
import { leastCompared } from './difference'
import { FormDifference } from './form-difference'
import { taughtPairs, taughtPairsOf } from './taught-pairs'
import type { WordLesson } from './word-lesson'

/** What listings are joined by, as columns: one entry a listing, -1 where nothing is known. */
export interface Joinable {
  forms: TitleForms
  /** numbers of barcodes, and of brands: two different ones of either are never joined by words */
  gtins: Int32Array
  brands: Int32Array
  /** what listings teach of words, as far as it is in force */
  lessons?: readonly WordLesson[]
}

type Progress = (done: number) => Promise<void>

/**
 * Puts listings of the same goods together: by barcode, by titles that say the same, and by titles that are alike beyond
 * doubt. Two different barcodes are never joined, nor two brands (unless a barcode says so), nor packs of different size.
 *
 * @param onProgress hears the share done; it may take its time, which lets others work
 * @returns for each listing the number of its group, 0 upwards in order of first appearance
 */
export async function joinListings(of: Joinable, onProgress: Progress = async () => {}): Promise<Int32Array> {
  const groups = new Groups(of.gtins, of.brands)
  const firstOf = new ExactJoin(groups, of).joinAll().firstOf
  const search = new AlikeForms(of.forms, wordWeights(of.forms))
  const join = joining(groups, firstOf, of)
  joinTaught(taughtPairs(of.forms, of.lessons ?? []), join)
  let done = 0
  for (const bunch of byFigures(of.forms, (form) => (firstOf[form] as number) >= 0)) {
    let place = 0
    for (const _ of search.search(bunch, join)) await onProgress((done + 200 * place++) / of.forms.figuresOf.length)
    done += bunch.length
  }
  return groups.numbered()
}

/**
 * Joins further listings to groups that stand: what was together stays together, and a new listing goes to the first group that it
 * belongs to, or joins two that it shows to be the same goods.
 *
 * @param groupOf group of each listing; -1 for those that are to be joined
 * @param newLessons those in force that were not when the groups were made: they join groups that stand
 */
export async function joinMore(
  of: Joinable,
  groupOf: Int32Array,
  onProgress: Progress = async () => {},
  newLessons: readonly WordLesson[] = [],
): Promise<Int32Array> {
  const groups = Groups.from(groupOf, of.gtins, of.brands)
  const { firstOf } = new ExactJoin(groups, of).joinMore((listing) => groupOf[listing] === -1)
  const [fresh, standing]: [number[], number[]] = [[], []]
  firstOf.forEach((listing, form) => {
    if (listing >= 0) (groupOf[listing] === -1 ? fresh : standing).push(form)
  })
  const search = new AlikeForms(of.forms, wordWeights(of.forms))
  const join = joining(groups, firstOf, of)
  const isFresh = new Set(fresh)
  joinTaught(taughtPairsOf(of.forms, of.lessons ?? [], isFresh), join)
  joinTaught(taughtPairs(of.forms, newLessons), join)
  let turn = 0
  const turns = 1 + standing.length / 5000
  for (const _ of search.searchFor(fresh, standing, join)) await onProgress(turn++ / turns)
  for (const bunch of byFigures(of.forms, (form) => isFresh.has(form)))
    for (const _ of search.search(bunch, join)) await onProgress(1)
  return groups.numbered()
}

/** Groups of some listings by themselves, as if there were no others: what is left of a group when some are taken out of it. */
export function regroup({ forms, gtins, brands, ...taught }: Joinable, listings: readonly number[]): number[][] {
  const of = (column: Int32Array) => Int32Array.from(listings, (l) => column[l] as number)
  const groups = new Groups(of(gtins), of(brands))
  const formOf = of(forms.formOf)
  const [byGtin, byForm] = [new Map<number, number>(), new Map<number, number>()]
  listings.forEach((l, i) =>
    joinOne(groups, { gtin: gtins[l] as number, form: formOf[i] as number }, i, byGtin, byForm),
  )
  const bunches = new Map<number, number[]>()
  const firstOf = new Int32Array(forms.figuresOf.length).fill(-1)
  for (const [form, first] of byForm) {
    firstOf[form] = first
    addTo(bunches, forms.figuresOf[form] as number, form)
  }
  const search = new AlikeForms(forms, wordWeights(forms))
  const join = joining(groups, firstOf, { forms, gtins, brands, ...taught })
  joinTaught(taughtPairs(forms, taught.lessons ?? [], [...byForm.keys()]), join)
  for (const bunch of bunches.values()) for (const _ of search.search(bunch, join)) continue
  const parts = new Map<number, number[]>()
  listings.forEach((l, i) => addTo(parts, groups.root(i), l))
  return [...parts.values()]
}

/** One more in the list of a key, which is begun where there is none. */
export function addTo<K, V>(lists: Map<K, V[]>, key: K, value: V): void {
  const list = lists.get(key)
  if (list) list.push(value)
  else lists.set(key, [value])
}

/** What was met first of a number. */
interface Firsts {
  get: (number: number) => number | undefined
  set: (number: number, listing: number) => unknown
}

/** Joins by barcode and by titles that say the same. */
class ExactJoin {
  /** form → the first listing of it, -1 where none is */
  readonly firstOf: Int32Array
  readonly #groups: Groups
  readonly #of: Joinable
  readonly #byForm: Firsts
  readonly #byGtin: Firsts

  constructor(groups: Groups, of: Joinable) {
    let gtins = 0
    for (const gtin of of.gtins) gtins = Math.max(gtins, gtin + 1)
    this.firstOf = new Int32Array(of.forms.figuresOf.length).fill(-1)
    this.#groups = groups
    this.#of = of
    this.#byForm = firstsIn(this.firstOf)
    this.#byGtin = firstsIn(new Int32Array(gtins).fill(-1))
  }

  joinAll(): this {
    this.#of.gtins.forEach((_, i) => this.#join(i))
    return this
  }

  /** Those that stand are only there; those that are fresh are joined to them. */
  joinMore(isFresh: (listing: number) => boolean): this {
    this.#of.gtins.forEach((_, i) => isFresh(i) || this.#join(i, false))
    this.#of.gtins.forEach((_, i) => isFresh(i) && this.#join(i))
    return this
  }

  #join(i: number, joins = true): void {
    const names = { gtin: this.#of.gtins[i] as number, form: this.#of.forms.formOf[i] as number }
    joinOne(this.#groups, names, i, this.#byGtin, this.#byForm, joins)
  }
}

function firstsIn(places: Int32Array): Firsts {
  return {
    get: (n) => ((places[n] as number) < 0 ? undefined : places[n]),
    set: (n, listing) => (places[n] = listing),
  }
}

function joinOne(
  groups: Groups,
  { gtin, form }: { gtin: number; form: number },
  i: number,
  byGtin: Firsts,
  byForm: Firsts,
  joins = true,
): void {
  if (gtin >= 0) {
    const first = byGtin.get(gtin)
    if (first === undefined) byGtin.set(gtin, i)
    else if (joins) groups.joinAnyway(i, first)
  }
  if (form < 0) return
  const first = byForm.get(form)
  if (first === undefined) byForm.set(form, i)
  else if (joins) groups.join(i, first)
}

/**
 * Two groups that have barcodes each are either together by them already, or kept apart by them. A title that says little is a part
 * of many that say more, and does not bring those together: of each group the title that says most speaks for it.
 */
function joining(groups: Groups, firstOf: Int32Array, { forms, lessons }: Joinable) {
  const difference = new FormDifference(forms, lessons)
  const first = (form: number) => firstOf[form] as number
  const fullest = new Map<number, number>()
  const speaker = (form: number) => fullest.get(groups.root(first(form))) ?? form
  return {
    least: leastCompared,
    isThere: (form: number) => first(form) >= 0,
    apart: (form: number) => groups.hasLabel(first(form)),
    worthwhile: (a: number, b: number) => groups.mayJoin(first(a), first(b)),
    onPair: (a: number, b: number) => {
      if (!difference.areSame(a, b)) return
      const [x, y] = [speaker(a), speaker(b)]
      if ((x !== a || y !== b) && !difference.areSame(x, y)) return
      groups.join(first(a), first(b))
      fullest.set(groups.root(first(a)), difference.fuller(x, y))
    },
  }
}

/** Joins forms that differ in taught words alone. */
function joinTaught(
  pairs: Iterable<[number, number]>,
  { isThere, worthwhile, onPair }: ReturnType<typeof joining>,
): void {
  for (const [a, b] of pairs) if (isThere(a) && isThere(b) && worthwhile(a, b)) onPair(a, b)
}

/** Only forms that state the same sizes, colours and pack are compared: each such bunch is searched by itself. */
function byFigures({ figuresOf, figures }: TitleForms, wanted: (form: number) => boolean): number[][] {
  const bunches: number[][] = Array.from({ length: figures.length }, () => [])
  figuresOf.forEach((of, form) => wanted(form) && bunches[of]?.push(form))
  return bunches.filter((b) => b.length > 0)
}
