import { isValidGtin, normaliseGtin } from '../identity'
import { isCurrencyCode, recogniseCurrency } from '../money'
import { parseDay, type DateOrder } from './day-style'
import { plainNumber, type NumberStyle } from './number-style'
import { isBlank, type Cell, type OpenedFile } from './opened-file'
import { recordKinds, type Field, type FieldType, type KindName, type RecordKind } from './record-kinds'
import { tiersFromCell, tierStart } from './tiers'

/** What a column is taken for: a field of the kind, a price step, one day of a wide sales file, or nothing. */
export type ColumnUse =
  { as: 'field'; field: string } | { as: 'tier'; from: number } | { as: 'day'; day: number } | { as: 'unused' }

export interface ColumnGuess {
  use: ColumnUse
  /** 0–1; below 0.5 nothing is taken for granted */
  certainty: number
}

export interface KindGuess {
  kind: KindName
  columns: ColumnGuess[]
  /** how well the file fits the kind; only the order matters */
  score: number
  /** required fields for which no column was found */
  missing: string[]
}

export interface Styles {
  number: NumberStyle
  order: DateOrder
}

/** What each column is under each kind of record, best kind first. */
export function guessColumns(file: OpenedFile, styles: Styles): KindGuess[] {
  const columns = file.headings.map((heading, i) => ({
    heading,
    words: headingWords(heading),
    cells: file.sample
      .slice(0, 300)
      .map((r) => r.cells[i] ?? null)
      .filter((c) => !isBlank(c)),
  }))
  return recordKinds
    .map((kind) => guessForKind(kind, columns, styles))
    .sort((a, b) => (b.score === a.score ? 0 : b.score - a.score))
}

interface Column {
  heading: string
  words: string
  cells: Cell[]
}

function guessForKind(kind: RecordKind, columns: Column[], styles: Styles): KindGuess {
  const guesses: ColumnGuess[] = columns.map(() => ({ use: { as: 'unused' }, certainty: 0 }))
  let score = special(kind.name, columns, styles, guesses)
  const pairs = columns
    .flatMap((column, i) => kind.fields.map((field) => ({ i, field, fit: fit(column, field, styles) })))
    .filter((p) => p.fit >= 0.35)
    .sort((a, b) => b.fit - a.fit)
  const taken = new Set<string>()
  for (const { i, field, fit: certainty } of pairs) {
    if (guesses[i]?.use.as !== 'unused' || taken.has(field.name)) continue
    guesses[i] = { use: { as: 'field', field: field.name }, certainty }
    taken.add(field.name)
    score += certainty * (field.weight ?? 1)
  }
  if (guesses.some((g) => g.use.as === 'day')) ['day', 'units'].forEach((name) => taken.add(name))
  if (guesses.some((g) => g.use.as === 'tier')) ['price', 'tiers'].forEach((name) => taken.add(name))
  const missing = kind.fields.filter((f) => f.required && !taken.has(f.name)).map((f) => f.name)
  if (kind.name === 'offers' && !taken.has('price')) missing.push('price')
  // where nothing at all speaks for a kind, how little it needs does not speak for it either
  return { kind: kind.name, columns: guesses, score: score > 0 ? score - missing.length * 6 : -Infinity, missing }
}

/** Price steps in a supplier's list and days across a wide sales file are known by their headings. */
function special(kind: KindName, columns: Column[], styles: Styles, guesses: ColumnGuess[]): number {
  let found = 0
  columns.forEach(({ heading, cells }, i) => {
    const from = kind === 'offers' ? tierStart(heading) : null
    const day = kind === 'sales' ? parseDay(heading, styles.order) : null
    if (from !== null && share(cells, (c) => numeric(c, styles) !== null) > 0.8) {
      guesses[i] = { use: { as: 'tier', from }, certainty: 0.95 }
      found++
    } else if (day !== null) {
      guesses[i] = { use: { as: 'day', day }, certainty: 0.95 }
      found++
    }
  })
  return found >= 2 ? 10 : found
}

/** How well a heading and its cells fit a field, 0–1: mostly the words, vetoed by cells that cannot be such values. */
function fit({ words, cells }: Column, field: Field, styles: Styles): number {
  const name = nameFit(words, [...field.says, headingWords(field.label), headingWords(field.name)])
  if (name === 0) return 0
  const content = cells.length === 0 ? 0.5 : share(cells, (cell) => canBe(cell, field.type, styles))
  return content < 0.5 ? 0 : name * (0.6 + 0.4 * content)
}

function nameFit(words: string, says: readonly string[]): number {
  let best = 0
  says.forEach((phrase, place) => {
    const order = 1 - place * 0.012
    if (words === phrase) best = Math.max(best, order)
    else if (` ${words} `.includes(` ${phrase} `)) {
      best = Math.max(best, order * (0.5 + (0.4 * phrase.length) / words.length))
    }
  })
  return best
}

function canBe(cell: Cell, type: FieldType, styles: Styles): boolean {
  const text = String(cell).trim()
  switch (type) {
    case 'gtin':
      return normaliseGtin(text) !== null || isValidGtin(text)
    case 'currency':
      return isCurrencyCode(text.toUpperCase())
    case 'day':
      return typeof cell === 'string' && parseDay(text, styles.order) !== null
    case 'lead':
      return /\d/.test(text)
    case 'rating': {
      const value = numeric(cell, styles)
      return value !== null && value >= 0 && value <= 5
    }
    case 'count': {
      const value = numeric(cell, styles)
      return value !== null && value >= 0 && Number.isInteger(value)
    }
    case 'money':
    case 'ratio':
      return numeric(cell, styles) !== null
    case 'tiers':
      return tiersFromCell(text) !== null
    case 'id':
      return text.length <= 60
    default:
      return typeof cell === 'string' && (numeric(cell, styles) === null || recogniseCurrency(text) === null)
  }
}

function numeric(cell: Cell, styles: Styles): number | null {
  if (typeof cell === 'number') return cell
  if (typeof cell !== 'string') return null
  const plain = plainNumber(cell, styles.number)
  return plain === null ? null : Number(plain)
}

function share(cells: Cell[], test: (cell: Cell) => boolean): number {
  let n = 0
  for (const cell of cells) if (test(cell)) n++
  return cells.length === 0 ? 0 : n / cells.length
}

/** A heading as plain lower-case words: 'Price (EUR)' → 'price', 'sold.month' → 'sold month', 'pricePerUnit' → 'price per unit'. */
export function headingWords(heading: string): string {
  return heading
    .normalize('NFKC')
    .replace(/(\p{Ll})(\p{Lu})/gu, '$1 $2')
    .replace(/(?<![\p{L}])[A-Z]{3}(?![\p{L}])/gu, (code) => (isCurrencyCode(code) ? ' ' : code))
    .toLowerCase()
    .replace(/\p{Sc}/gu, ' ')
    .replace(/[^\p{L}\p{N}]+/gu, ' ')
    .trim()
}
