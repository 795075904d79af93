import Papa from 'papaparse'
import { e4OfPlain, unguardFormula, writeCsv } from '../intake'
import { isCurrencyCode, plainAmount } from '../money'
import { Problem } from '../problem'
import type { Draft } from './draft'

export const draftColumns = [
  'id',
  'item',
  'market',
  'title',
  'description',
  'tags',
  'category',
  'gtin',
  'picture',
  'price',
  'currency',
  'quantity',
  'handling days',
  'expected profit',
  'profit currency',
  'margin',
] as const

/** Drafts as CSV: one row each, money as decimal text, tags joined by '|'. Spreadsheet formulas are disarmed. */
export function draftsToCsv(drafts: readonly Draft[]): string {
  const rows = drafts.map((d) => [
    d.id, d.item, d.market, d.title, d.description, d.tags.join('|'), d.category, d.gtin, d.picture,
    plainAmount(d.priceE4, d.currency), d.currency, d.quantity, d.handlingDays,
    d.profitE4 === null ? '' : Number(plainAmount(d.profitE4, d.profitCurrency)), d.profitCurrency, d.margin ?? '',
  ]) // prettier-ignore
  return writeCsv([[...draftColumns], ...rows])
}

/** Reads what `draftsToCsv` wrote. @throws Problem 'drafts-invalid' naming row and column */
export function draftsFromCsv(text: string, file: string): Draft[] {
  const { data } = Papa.parse<string[]>(text.replace(/^\ufeff/, ''), { skipEmptyLines: true })
  const heading = data[0]?.map((h) => h.trim().toLowerCase()) ?? []
  const missing = draftColumns.filter((c) => !heading.includes(c))
  if (missing.length > 0) throw new Problem('drafts-invalid', { file, reason: `no column ${missing.join(', ')}` })
  return data.slice(1).map((cells, i) => {
    const cell = (name: (typeof draftColumns)[number]) => unguardFormula(cells[heading.indexOf(name)] ?? '')
    return readDraft(cell, `row ${i + 2}`, file)
  })
}

/** Builds a draft from texts, checking each. */
export function readDraft(cell: (name: (typeof draftColumns)[number]) => string, where: string, file: string): Draft {
  const wrong = (what: string) => new Problem('drafts-invalid', { file, reason: `${what} in ${where}` })
  const currency = cell('currency')
  if (!isCurrencyCode(currency)) throw wrong(`'${currency}' is no currency`)
  const priceE4 = e4OfPlain(cell('price'))
  if (priceE4 === null || priceE4 <= 0) throw wrong(`'${cell('price')}' is no price`)
  const profit = cell('expected profit')
  const profitE4 = profit === '' ? null : e4OfPlain(profit)
  if (profit !== '' && profitE4 === null) throw wrong(`'${profit}' is no amount`)
  const whole = (name: 'quantity' | 'handling days') => {
    const n = Number(cell(name))
    if (!Number.isInteger(n) || n < 0) throw wrong(`'${cell(name)}' is no whole number`)
    return n
  }
  const margin = cell('margin') === '' ? null : Number(cell('margin'))
  if (margin !== null && !Number.isFinite(margin)) throw wrong(`'${cell('margin')}' is no number`)
  if (cell('id') === '') throw wrong('no id')
  return {
    id: cell('id'),
    item: cell('item'),
    market: cell('market'),
    title: cell('title'),
    description: cell('description'),
    tags: cell('tags')
      .split('|')
      .filter((t) => t !== ''),
    category: cell('category'),
    gtin: cell('gtin'),
    picture: cell('picture'),
    priceE4,
    currency,
    quantity: whole('quantity'),
    handlingDays: whole('handling days'),
    profitE4,
    profitCurrency: cell('profit currency'),
    margin,
  }
}
