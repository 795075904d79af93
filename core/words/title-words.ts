import { stemmer } from 'stemmer'
import { remembered } from '../goods'

const word = /\d+(?:[.,]\d+)?(?: ?(?:mm|cm|m|ml|l|g|kg|in|ft)(?![\p{L}\p{N}]))?|[\p{L}][\p{L}\p{N}'’-]*/gu
const small = new Set('a an and the of for with in on to by x'.split(' '))

/** Words of praise and of selling itself: true of anything, so no theme. */
export const praise: ReadonlySet<string> = new Set(
  'new lovely best top great free delivery postage premium quality ideal perfect gift handy beautiful unique hot sale offer fast'.split(
    ' ',
  ),
)

/** Words that say how many there are: true of anything as well. */
export const packWords: ReadonlySet<string> = new Set(
  'pack packs pk set sets lot lots pcs pc piece pieces pair pairs dozen twin count bundle multipack stück paquet pièces juego piezas pezzi stuks sztuk peças'.split(
    ' ',
  ),
)

/** words in the longest run that is looked at */
export const longestRun = 4

/** A word of a title, or a run of neighbours. */
export interface TitleRun {
  /** its words by their stems, in order, one space between: forms of one word are one run */
  stems: string
  /** as the title has it, case folded */
  written: string
  /** how many words it has */
  length: number
}

/** The words of a text in order: case folded, figures whole with their unit. */
export function wordsOf(text: string): string[] {
  return (text.toLowerCase().match(word) ?? []).map((w) => (/^\d/.test(w) ? w.replace(' ', '') : w))
}

/**
 * The stem of a word. Source: Porter, M. F. (1980), An algorithm for suffix stripping, Program 14, by the package `stemmer`.
 *
 * @example stemOf('feeders') // 'feeder'
 */
export function stemOf(w: string): string {
  return stemmer(w)
}

/** The same, remembering words it met: titles say the same few thousand over and over. For whoever goes through many. */
export const rememberedStems = () => remembered(stemOf)

/**
 * The words of a phrase by their stems, each once, joining words left out: in which form and order buyers and sellers write them does
 * not count.
 *
 * @example stemsOf('Feeders for windows') // ['feeder', 'window']
 */
export function stemsOf(phrase: string, stem = stemOf): string[] {
  return [...new Set(wordsOf(phrase).flatMap((w) => (isSmall(w) ? [] : stem(w))))]
}

/** Whether a word only joins others: it says nothing by itself. */
export const isSmall = (w: string) => small.has(w)

/**
 * The words of a title and all runs of up to `longest` neighbours, each once. None begins or ends with a joining word.
 *
 * @example titleRuns('Feeders for windows').map((r) => r.stems) // ['feeder', 'feeder for window', 'window']
 */
export function titleRuns(title: string, longest = longestRun, stem = stemOf): TitleRun[] {
  const words = wordsOf(title)
  const stemmed = words.map((w) => stem(w))
  const runs = new Map<string, TitleRun>()
  words.forEach((first, from) => {
    if (isSmall(first)) return
    let [stems, written] = ['', '']
    for (let length = 1; length <= longest && from + length <= words.length; length++) {
      const last = words[from + length - 1] as string
      stems += length === 1 ? stemmed[from] : ` ${stemmed[from + length - 1]}`
      written += length === 1 ? last : ` ${last}`
      if (!isSmall(last) && !runs.has(stems)) runs.set(stems, { stems, written, length })
    }
  })
  return [...runs.values()]
}

/** How often each form of a run was written; the commonest one stands for all. */
export class WrittenForms {
  /** most runs are written one way: a map of ways is made where there are several */
  readonly #forms = new Map<string, { written: string; uses: number; others: Map<string, number> | null }>()

  add({ stems, written }: TitleRun): void {
    const form = this.#forms.get(stems)
    if (!form) this.#forms.set(stems, { written, uses: 1, others: null })
    else if (form.written === written) form.uses++
    else {
      form.others ??= new Map()
      form.others.set(written, (form.others.get(written) ?? 0) + 1)
    }
  }

  /** The form that was written most often, the first of equals; the stems themselves where none was. */
  of(stems: string): string {
    const form = this.#forms.get(stems)
    if (!form) return stems
    let [best, most] = [form.written, form.uses]
    for (const [written, uses] of form.others ?? []) if (uses > most) [best, most] = [written, uses]
    return best
  }
}

/** Of a list in its order those that lie neither within one before them nor around it: a stronger run stands for the weaker. */
export function withoutNested<T>(list: readonly T[], stemsIn: (of: T) => string): T[] {
  const kept: T[] = []
  const isWithin = (a: string, b: string) => ` ${a} `.includes(` ${b} `)
  for (const one of list) {
    const run = stemsIn(one)
    if (!kept.some((k) => isWithin(stemsIn(k), run) || isWithin(run, stemsIn(k)))) kept.push(one)
  }
  return kept
}
