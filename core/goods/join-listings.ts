import { AlikeForms } from './alike-forms'
import { Groups } from './groups'
import type { TitleForms } from './title-forms'
import { wordWeights } from './title-forms'
import { sameFrom } from './title-index'

/** What listings are joined by, as columns: one entry a listing, -1 where nothing is known. */
export interface Joinable {
  forms: TitleForms
  /** numbers of barcodes, and of brands: two different ones of either are never joined by words */
  gtins: Int32Array
  brands: Int32Array
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
  const all = Int32Array.from(of.gtins, (_, i) => i)
  const firstOf = joinExactly(groups, of, all)
  const search = new AlikeForms(of.forms, wordWeights(of.forms))
  let done = 0
  for (const bunch of byFigures(of.forms, firstOf)) {
    let place = 0
    for (const _ of search.search(bunch, joining(groups, firstOf)))
      await onProgress((done + 200 * place++) / of.forms.figuresOf.length)
    done += bunch.length
  }
  return groups.numbered()
}

/**
 * Joins further listings to groups that stand: what was together stays together, and a new listing goes to the first group that it
 * belongs to, or joins two that it shows to be the same goods.
 *
 * @param groupOf group of each listing; -1 for those that are to be joined
 */
export async function joinMore(
  of: Joinable,
  groupOf: Int32Array,
  onProgress: Progress = async () => {},
): Promise<Int32Array> {
  const groups = Groups.from(groupOf, of.gtins, of.brands)
  const isFresh = (listing: number) => groupOf[listing] === -1
  const all = Int32Array.from(groupOf, (_, i) => i)
  const firstOf = joinExactly(groups, of, [...all.filter((i) => !isFresh(i)), ...all.filter(isFresh)], isFresh)
  const fresh: number[] = []
  firstOf.forEach((listing, form) => listing >= 0 && isFresh(listing) && fresh.push(form))
  const isNew = new Set(fresh)
  const stands = (form: number) => (firstOf[form] as number) >= 0 && !isNew.has(form)
  const forms = Int32Array.from(firstOf, (_, form) => form)
  const search = new AlikeForms(of.forms, wordWeights(of.forms))
  let turn = 0
  const turns = 1 + forms.length / 5000
  for (const _ of search.searchFor(fresh, forms.filter(stands), joining(groups, firstOf)))
    await onProgress(turn++ / turns)
  for (const bunch of byFigures(of.forms, firstOf, (form) => isNew.has(form)))
    for (const _ of search.search(bunch, joining(groups, firstOf))) await onProgress(1)
  return groups.numbered()
}

/** Groups of some listings by themselves, as if there were no others: what is left of a group when some are taken out of it. */
export function regroup(of: Joinable, listings: readonly number[]): number[][] {
  const groups = new Groups(of.gtins, of.brands)
  const firstOf = new Map<number, number>()
  const byGtin = new Map<number, number>()
  for (const i of listings) joinOne(groups, of, i, byGtin, firstOf)
  const figures = new Map<number, number[]>()
  for (const form of firstOf.keys()) {
    const key = of.forms.figuresOf[form] as number
    figures.set(key, [...(figures.get(key) ?? []), form])
  }
  const search = new AlikeForms(of.forms, wordWeights(of.forms))
  for (const bunch of figures.values())
    for (const _ of search.search(bunch, joining(groups, { at: (form) => firstOf.get(form) }))) continue
  const parts = new Map<number, number[]>()
  for (const i of listings) parts.set(groups.root(i), [...(parts.get(groups.root(i)) ?? []), i])
  return [...parts.values()]
}

/** What was numbered already, by its number. */
interface Firsts {
  get: (number: number) => number | undefined
  set: (number: number, listing: number) => unknown
}

function firstsIn(places: Int32Array): Firsts {
  return {
    get: (n) => ((places[n] as number) < 0 ? undefined : places[n]),
    set: (n, listing) => (places[n] = listing),
  }
}

/**
 * Joins by barcode and by titles that say the same.
 *
 * @param order listings in the order they are joined in @param joins which of them are joined; the others only stand there
 * @returns for each form the first listing of it, -1 where none is
 */
function joinExactly(
  groups: Groups,
  of: Joinable,
  order: Iterable<number>,
  joins: (listing: number) => boolean = () => true,
) {
  const firstOf = new Int32Array(of.forms.figuresOf.length).fill(-1)
  let gtins = 0
  for (const gtin of of.gtins) gtins = Math.max(gtins, gtin + 1)
  const [byForm, byGtin] = [firstsIn(firstOf), firstsIn(new Int32Array(gtins).fill(-1))]
  for (const i of order) joinOne(groups, of, i, byGtin, byForm, joins(i))
  return firstOf
}

function joinOne(groups: Groups, of: Joinable, i: number, byGtin: Firsts, byForm: Firsts, joins = true): void {
  const [gtin, form] = [of.gtins[i] as number, of.forms.formOf[i] as number]
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

/** Two groups that have barcodes each are either together by them already, or kept apart by them. */
const joining = (groups: Groups, firstOf: { at: (form: number) => number | undefined }) => ({
  least: sameFrom,
  apart: (form: number) => groups.hasLabel(firstOf.at(form) as number),
  worthwhile: (a: number, b: number) => groups.mayJoin(firstOf.at(a) as number, firstOf.at(b) as number),
  onPair: (a: number, b: number) => groups.join(firstOf.at(a) as number, firstOf.at(b) as number),
})

/** Only forms that state the same sizes, colours and pack are compared: each such bunch is searched by itself. */
function byFigures(
  { figuresOf, figures }: TitleForms,
  firstOf: Int32Array,
  wanted: (form: number) => boolean = () => true,
) {
  const bunches: number[][] = Array.from({ length: figures.length }, () => [])
  figuresOf.forEach((f, form) => {
    if ((firstOf[form] as number) >= 0 && wanted(form)) bunches[f]?.push(form)
  })
  return bunches.filter((b) => b.length > 0)
}
