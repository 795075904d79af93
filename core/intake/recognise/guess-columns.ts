import { isBlank } from '../../notation'
import type { OpenedFile } from '../open/opened-file'
import { recordKinds, type Language } from '../../records'
import { holdingOf } from './holding'
import { profileOf } from './column-profile'
import { guessKind, type Styles } from './guess-kind'
import type { KindGuess, SeenColumn } from './guess'
import { readHeading, type Heading } from './heading'
import { costsBelow, sumsBetween } from './sums-between'
import { placeWords } from './value-words'
import { Vocabulary } from './vocabulary'

/** Two kinds that explain a file nearly as well: the distance of their scores below which the kind is asked about. */
export const kindDoubt = 0.5

/** What a kind must explain of a file to be proposed without asking. */
export const leastScore = 2.5

/** Where another kind explains the file nearly as well, a column that it takes for something else is not sure. */
function doubtByKind(kinds: KindGuess[]): KindGuess[] {
  const [best, ...others] = kinds
  if (!best) return kinds
  const near = others.filter((k) => best.score - k.score < 6 * kindDoubt)
  const columns = best.columns.map((c, at) => {
    const isShared = near.every((k) => JSON.stringify(k.columns[at]?.use) === JSON.stringify(c.use))
    return c.surety === 'sure' && !isShared ? { ...c, surety: 'likely' as const } : c
  })
  return [{ ...best, columns }, ...others]
}

const rowsSeen = 240

/** Knows the words of all fields; made once, used for every file. */
export class Recogniser {
  readonly #vocabulary = new Vocabulary(recordKinds)
  readonly #places = placeWords()

  /** What each column is under each kind of record, best kind first. */
  guess(file: OpenedFile, styles: Styles): KindGuess[] {
    const columns = this.#see(file, styles)
    const kinds = recordKinds.map((kind) => guessKind(kind, columns, styles)).sort((a, b) => b.score - a.score)
    return doubtByKind(kinds)
  }

  #see(file: OpenedFile, styles: Styles): SeenColumn[] {
    const rows = file.sample.slice(0, rowsSeen)
    const headings = file.headings.map(readHeading)
    const spoken = languagesOf(headings, this.#vocabulary)
    const columns = file.headings.map((text, i): SeenColumn => {
      const heading = headings[i] as Heading
      const cells = rows.map((r) => r.cells[i] ?? null)
      const profile = profileOf(cells, { ...styles, ...styles.styles?.[i], places: this.#places })
      return {
        text,
        heading,
        fits: heading.useless ? new Map<string, number>() : this.#vocabulary.fits(heading, spoken).fits,
        profile,
        cells: cells.map((c) => (isBlank(c) ? null : c)),
        sum: null,
        holds: holdingOf(cells),
      }
    })
    for (const { price, units, product } of sumsBetween(columns.map((c) => c.profile))) {
      mark(columns[price], 'price')
      mark(columns[units], 'units')
      mark(columns[product], 'product')
    }
    const below = costsBelow(columns.map((c) => c.profile))
    if (below) {
      mark(columns[below.cost], 'cost')
      mark(columns[below.price], 'dearer')
    }
    return columns
  }
}

function mark(column: SeenColumn | undefined, as: SeenColumn['sum']): void {
  if (column) column.sum ??= as
}

/** How much of the headings each language explains, the share of all. */
function languagesOf(headings: readonly Heading[], vocabulary: Vocabulary): Partial<Record<Language, number>> {
  const spoken: Partial<Record<Language, number>> = {}
  for (const heading of headings)
    for (const [language, score] of vocabulary.fits(heading).by)
      if (score > 0.6) spoken[language] = (spoken[language] ?? 0) + score / headings.length
  const most = Math.max(1e-9, ...Object.values(spoken))
  return Object.fromEntries(Object.entries(spoken).map(([l, s]) => [l, s / most > 0.7 ? 1 : 0.4 * (s / most)]))
}
