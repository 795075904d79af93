import { decodeHTML } from 'entities'
import { categoryPath, isoDay, normaliseGtin } from '../../identity'
import { isCurrencyCode, recogniseCurrency } from '../../money'
import type { CellStyle } from './cell-style'
import {
  bareNumber,
  boxOf,
  boxText,
  daysIn,
  gramsOf,
  e4OfPlain,
  parseDay,
  plainNumber,
  tiersFromCell,
  tiersToText,
  unguardFormula,
  type Cell,
} from '../../notation'
import type { FieldType } from '../../records'
import { fold } from '../recognise/heading'
import { isOneOf } from '../recognise/value-words'

/** A value as read, or why it could not be. `null` with no reason is an honest 'not known'. */
export type ReadValue = { value: string | number | null; reason?: undefined } | { value: null; reason: string }

const unknownWords = new Set(['', 'n/a', 'na', '-', '–', '—', 'none', 'null', 'unknown', 'nan', '?', 'k.a.', 'n.a.'])
const longestUnknown = 7
const maxText = 2000

/** Reads one cell as a field's type. Nothing is rounded or guessed: what does not fit has a reason a user can act on. */
export function readValue(cell: Cell, type: FieldType, style: CellStyle): ReadValue {
  if (cell === null || typeof cell === 'boolean') {
    return { value: typeof cell === 'boolean' && type === 'text' ? String(cell) : null }
  }
  const text = typeof cell === 'number' ? String(cell) : clean(cell)
  if (text.length <= longestUnknown && unknownWords.has(text.toLowerCase())) return { value: null }
  switch (type) {
    case 'text':
      return { value: style.yes ? answerOf(text, style.yes) : text }
    case 'id':
      return { value: text.slice(0, 80) }
    case 'list':
      return { value: split(text, /[,|;]/).join('|') }
    case 'path':
      return { value: categoryPath(text) }
    case 'gtin': {
      const gtin = normaliseGtin(text)
      return gtin ? { value: gtin } : fail(`'${text}' is no valid barcode`)
    }
    case 'currency':
      return readCurrency(text)
    case 'day':
      return readDay(text, style)
    case 'lead':
      return readLead(text)
    case 'weight':
      return readWeight(text, style)
    case 'size':
      return readSize(text, style)
    case 'tiers':
      return readTierCell(text)
    default:
      return readNumber(cell, text, type, style)
  }
}

/** 'yes' under the heading 'Restricted' is no leave to list. */
function answerOf(text: string, yes: NonNullable<CellStyle['yes']>): string {
  const word = fold(text)
  if (!isOneOf('yesNo', word)) return text
  return noes.has(word) ? `not ${yes}` : yes
}

const noes = new Set('no n false nein non nee nie nao falso'.split(' '))

function readTierCell(text: string): ReadValue {
  const tiers = tiersFromCell(text)
  return tiers ? { value: tiersToText(tiers) } : fail(`'${text}' is no list of price steps`)
}

function readNumber(cell: Cell, text: string, type: FieldType, style: CellStyle): ReadValue {
  const plain = typeof cell === 'number' ? plainOfNumber(cell) : plainNumber(text, style.number)
  if (plain === null) return fail(`'${text}' is no number`)
  if (type === 'money') {
    const e4 = e4OfPlain(plain)
    return e4 === null ? fail(`'${text}' is too large an amount`) : { value: e4 }
  }
  const value = Number(plain)
  if (type === 'ratio')
    return { value: text.trimEnd().endsWith('%') || style.ratio === 'percent' ? shiftedBack(plain) : value }
  if (type === 'rating') return value >= 0 && value <= 5 ? { value } : fail(`'${text}' is not from 0 to 5 stars`)
  if (value < 0) return fail(`'${text}' is below zero`)
  return Number.isInteger(value) ? { value } : fail(`'${text}' is no whole number`)
}

/** A hundredth, without the dust of binary division: 4.2 % is 0.042. */
function shiftedBack(plain: string): number {
  return Number(`${plain}e-2`)
}

/** Days are written, or counted: by a spreadsheet from the end of 1899, by machines in seconds since 1970. */
function readDay(text: string, { order, days, latestDay = null, number }: CellStyle): ReadValue {
  let day = parseDay(text, order)
  if (day === null && days !== undefined) {
    const plain = plainNumber(text, number)
    if (plain !== null) day = dayOfFigure[days](Number(plain))
  }
  if (day === null || Math.abs(day) > 1e6) return fail(`'${text.slice(0, 60)}' is no date`)
  if (latestDay !== null && day > latestDay) return fail(`${isoDay(day)} is still to come`)
  return { value: day }
}

const dayOfFigure = {
  serial: (v: number) => Math.floor(v) - 25_569,
  seconds: (v: number) => Math.floor(v / 86_400),
  milliseconds: (v: number) => Math.floor(v / 86_400_000),
} as const

/** A spreadsheet's or JSON's number without binary dust: 2.2800000000000002 is 2.28. */
function plainOfNumber(value: number): string | null {
  if (!Number.isFinite(value)) return null
  const text = String(Number(value.toPrecision(15)))
  return /e/.test(text) ? value.toFixed(10) : text
}

function readCurrency(text: string): ReadValue {
  const code = text.toUpperCase()
  if (isCurrencyCode(code)) return { value: code }
  const found = recogniseCurrency(text)
  return found ? { value: found.currency } : fail(`'${text}' is no currency`)
}

function readLead(text: string): ReadValue {
  const days = daysIn(text)
  return days ? { value: days.most } : fail(`'${text}' names no days`)
}

function readWeight(text: string, { number, unit }: CellStyle): ReadValue {
  const grams = gramsOf(text, number, unit ?? null)
  return grams === null ? fail(`'${text}' is no weight with a unit`) : { value: grams }
}

function readSize(text: string, { number, unit }: CellStyle): ReadValue {
  const box = boxOf(text, number, unit ?? null)
  return box ? { value: boxText(box) } : fail(`'${text}' is not three lengths with a unit`)
}

/** Printable ASCII but '&', single spaces inside: nothing to do. */
const isTidy = /^[!-%'-~]+(?: [!-%'-~]+)*$/

/** Text as a person reads it: entities resolved once, control characters and doubled spaces gone, and the apostrophe that disarms a formula. It stays text, whatever it says. */
function clean(text: string): string {
  if (text.length <= maxText && isTidy.test(text)) return unguardFormula(text)
  const plain = text.includes('&') ? decodeHTML(text) : text
  const tidied = plain
    .replace(/[\p{Cc}\u200b\ufeff]+/gu, ' ')
    .replace(/\s+/g, ' ')
    .trim()
  return unguardFormula(tidied).slice(0, maxText)
}

function split(text: string, at: RegExp): string[] {
  return text
    .split(at)
    .map((part) => part.trim())
    .filter((part) => part !== '')
}

function fail(reason: string): ReadValue {
  return { value: null, reason }
}

/** The currency a money cell itself names, if any. */
export function currencyInCell(cell: Cell): string | null {
  if (typeof cell !== 'string' || /^[\d.,\s-]*$/.test(cell) || bareNumber(cell) === null) return null
  const found = recogniseCurrency(cell)
  return found?.sure ? found.currency : null
}
