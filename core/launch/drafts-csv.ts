import Papa from 'papaparse'
import { e4OfPlain, unguardFormula, writeCsv } from '../notation'
import { plainAmount } from '../money'
import { Problem } from '../problem'
import { checked } from '../schema'
import type { Draft } from './draft'
import { draftSchema } from './draft-schema'

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
  'price by',
  'currency',
  'quantity',
  'handling days',
  'expected profit',
  'profit currency',
  'margin',
  'assumed',
] as const

/** A column of now, or the one by which earlier versions said that fees were assumed. */
export type DraftColumn = (typeof draftColumns)[number] | 'fees'

/** columns that files of earlier versions do not have */
const later: readonly string[] = ['price by', 'assumed']

/** Drafts as CSV: one row each, money as decimal text, tags joined by '|'. Spreadsheet formulas are disarmed. */
export function draftsToCsv(drafts: readonly Draft[]): string {
  const rows = drafts.map((d) => [
    d.id,
    d.item,
    d.market,
    d.title,
    d.description,
    d.tags.join('|'),
    d.category,
    d.gtin,
    d.picture,
    plainAmount(d.priceE4, d.currency),
    d.priceBy,
    d.currency,
    d.quantity,
    d.handlingDays,
    d.profitE4 === null ? '' : Number(plainAmount(d.profitE4, d.profitCurrency)),
    d.profitCurrency,
    d.margin ?? '',
    d.assumed.join('|'),
  ])
  return writeCsv([[...draftColumns], ...rows])
}

/** Reads what `draftsToCsv` wrote. @throws Problem 'drafts-invalid' naming row and column */
export function draftsFromCsv(text: string, file: string): Draft[] {
  const { data } = Papa.parse<string[]>(text.replace(/^\ufeff/, ''), { skipEmptyLines: true })
  const heading = data[0]?.map((h) => h.trim().toLowerCase()) ?? []
  const missing = draftColumns.filter((c) => !later.includes(c) && !heading.includes(c))
  if (missing.length > 0) throw new Problem('drafts-invalid', { file, reason: `no column ${missing.join(', ')}` })
  return data.slice(1).map((cells, i) => {
    const cell = (name: DraftColumn) => unguardFormula(cells[heading.indexOf(name)] ?? '')
    return readDraft(cell, `row ${i + 2}`, file)
  })
}

/** Builds a draft from texts, checking each. Without a word about it, a price counts as set by hand. */
export function readDraft(cell: (name: DraftColumn) => string, where: string, file: string): Draft {
  const wrong = (what: string) => new Problem('drafts-invalid', { file, reason: `${what} in ${where}` })
  const amount = (name: 'price' | 'expected profit') => {
    const e4 = e4OfPlain(cell(name))
    if (e4 === null) throw wrong(`'${cell(name)}' is no ${name === 'price' ? 'price' : 'amount'}`)
    return e4
  }
  const number = (name: 'quantity' | 'handling days' | 'margin') => {
    const n = cell(name).trim() === '' ? NaN : Number(cell(name))
    if (!Number.isFinite(n)) throw wrong(`'${cell(name)}' is no number`)
    return n
  }
  return checked<Draft>(
    draftSchema,
    {
      id: cell('id'),
      item: cell('item'),
      market: cell('market'),
      title: cell('title'),
      description: cell('description'),
      tags: cell('tags')
        .split('|')
        .filter((t) => t.trim() !== ''),
      category: cell('category'),
      gtin: cell('gtin'),
      picture: cell('picture'),
      priceE4: amount('price'),
      priceBy: cell('price by') || 'hand',
      currency: cell('currency'),
      quantity: number('quantity'),
      handlingDays: number('handling days'),
      profitE4: cell('expected profit') === '' ? null : amount('expected profit'),
      profitCurrency: cell('profit currency'),
      margin: cell('margin') === '' ? null : number('margin'),
      assumed: assumedIn(cell('assumed'), cell('fees')),
    },
    wrong,
  )
}

function assumedIn(assumed: string, fees: string): string[] {
  return fees === 'assumed' ? ['fees'] : assumed.split('|').filter((a) => a !== '')
}
