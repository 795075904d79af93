import {
  isBlank,
  numberVotes,
  orderOfVotes,
  orderVotes,
  plainNumber,
  styleOfVotes,
  unitIn,
  type DateOrder,
  type OrderVotes,
  type NumberStyle,
  type NumberVotes,
  type Cell,
} from '../../notation'
import { fold, readHeading } from './heading'
import { isOneOf } from './value-words'

/** How the cells of one column are written, where it differs from the file or the file cannot say. One style a column, never by cell. */
export interface ColumnStyle {
  number?: NumberStyle
  order?: DateOrder
  /** of shares: is 25 written 25 or 0.25? */
  ratio?: 'percent' | 'share'
  /** of days that are figures: a spreadsheet's count of days, or time since 1970 */
  days?: 'serial' | 'seconds' | 'milliseconds'
  /** what a plain yes says, where the heading asks whether a thing is restricted, or allowed */
  yes?: 'restricted' | 'allowed'
  /** unit of weights or lengths, where the heading names one */
  unit?: string
}

export interface StyleGuess {
  style: ColumnStyle
  /** a figure of which the column does not say whether it is percent */
  ratioDoubt: string | null
}

/** What the cells of a column say of its style, before it is known how the file is written. */
export interface StyleVotes {
  number: NumberVotes
  order: OrderVotes
}

export function styleVotes(cells: readonly Cell[]): StyleVotes {
  const texts = shortTexts(cells)
  return { number: numberVotes(texts), order: orderVotes(texts) }
}

/** The style of a column, from its heading and all cells of the sample together. */
export function columnStyle(
  headingText: string,
  cells: readonly Cell[],
  votes: StyleVotes,
  file: { number: NumberStyle; order: DateOrder },
): StyleGuess {
  const texts = shortTexts(cells)
  const style: ColumnStyle = {}
  const number = styleOfVotes([votes.number])
  if (number.votes > 0 && number.style.decimal !== file.number.decimal) style.number = number.style
  const order = orderOfVotes([votes.order])
  if (order.votes > 0 && order.order !== file.order) style.order = order.order
  const figures = figuresOf(cells, style.number ?? file.number)
  const days = daysOf(figures)
  if (days) style.days = days
  const { ratio, sure } = ratioOf(headingText, texts, figures)
  if (ratio) style.ratio = ratio
  const yes = askedBy(headingText, texts)
  if (yes) style.yes = yes
  const unit = unitIn(headingText.slice(0, 200))
  if (unit) style.unit = unit
  const doubtful = sure ? undefined : figures.find((v) => Math.abs(v) > 1)
  return { style, ratioDoubt: doubtful === undefined ? null : String(doubtful) }
}

/** A column of plain answers, by what its heading asks. */
function askedBy(headingText: string, texts: readonly string[]): ColumnStyle['yes'] | null {
  if (texts.length === 0 || !texts.every((t) => isOneOf('yesNo', fold(t.trim())))) return null
  const heading = fold(headingText.slice(0, 200))
  if (/(?:not|un)[ -]?(?:restrict|gated)/.test(heading)) return 'allowed'
  if (
    /restrict|restrei|restring|gated|gating|forbid|banned|block|gesperrt|sperre|verbot|interdit|prohib|vietat|limitat|beperk|zakazan|ograniczon|proibid|restrit/.test(
      heading,
    )
  )
    return 'restricted'
  return /allow|may|can|eligib|erlaubt|zulassig|darf|autoris|permi|consentit|toegestaan|mag|dozwolon/.test(heading)
    ? 'allowed'
    : null
}

function shortTexts(cells: readonly Cell[]): string[] {
  return cells.filter((c): c is string => typeof c === 'string' && c.length <= 40 && !isBlank(c))
}

function figuresOf(cells: readonly Cell[], style: NumberStyle): number[] {
  return cells.flatMap((cell) => {
    if (typeof cell === 'number') return Number.isFinite(cell) ? [cell] : []
    if (typeof cell !== 'string' || cell.length > 40) return []
    const plain = plainNumber(cell, style)
    return plain === null ? [] : [Number(plain)]
  })
}

const share = (figures: readonly number[], test: (v: number) => boolean) =>
  figures.length === 0 ? 0 : figures.filter(test).length / figures.length

/** Most figures must be such days, so that a lone typing error decides nothing. */
function daysOf(figures: readonly number[]): ColumnStyle['days'] | null {
  if (share(figures, (v) => v >= 20_000 && v <= 80_000) > 0.9) return 'serial'
  if (
    share(figures, (v) => v >= 3e8 && v <= 4e9) > 0.9 &&
    share(figures, (v) => v > 19_000_101 && v < 21_001_232) < 0.5
  )
    return 'seconds'
  return share(figures, (v) => v >= 3e11 && v <= 4e12) > 0.9 ? 'milliseconds' : null
}

/**
 * Percent or share. A heading that says which is believed, then signs of percent in the cells. Else shares are at most 1 and have
 * digits behind the mark; whole figures above 2 are percent; what lies between is doubtful.
 */
function ratioOf(
  headingText: string,
  texts: readonly string[],
  figures: readonly number[],
): { ratio: ColumnStyle['ratio'] | null; sure: boolean } {
  if (figures.length === 0) return { ratio: null, sure: true }
  const heading = readHeading(headingText)
  if (heading.percent) return { ratio: 'percent', sure: true }
  if (/\((?:share|ratio|of 1|0[-–]1)\)/i.test(headingText.slice(0, 200))) return { ratio: 'share', sure: true }
  if (texts.some((t) => t.trimEnd().endsWith('%'))) return { ratio: 'percent', sure: true }
  const greatest = figures.reduce((most, v) => Math.max(most, Math.abs(v)), 0)
  const whole = share(figures, Number.isInteger)
  if (greatest <= 1) return { ratio: 'share', sure: whole < 1 || greatest === 0 }
  if (greatest > 20 || (whole === 1 && greatest >= 5)) return { ratio: 'percent', sure: true }
  return { ratio: whole > 0.8 ? 'percent' : 'share', sure: false }
}
