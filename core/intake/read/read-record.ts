import { isoDay } from '../../identity'
import type { RowRecord } from '../../tables'
import type { Mapping } from '../mapping'
import { daysIn, isBlank, tiersFromText, tiersToText, type Cell, type Tier } from '../../notation'
import { cellReader } from './cell-reader'
import { styleAt } from './cell-style'
import { readValue } from './read-value'
import { recordKind, type Field } from '../../records'
import { totalIn } from './total-lines'

export interface ReadRow {
  /** null where the row cannot be taken */
  record: RowRecord | null
  /** the days of a wide sales row, each to become a record of its own; null elsewhere */
  days: { day: number; units: number }[] | null
  /** why not, where it cannot */
  rejected: string | null
  /** values that were left unknown, with the reason */
  doubts: { field: string; reason: string }[]
}

/** A function that reads rows under one mapping; made once a file. */
export function recordReader(mapping: Mapping): (cells: readonly Cell[]) => ReadRow {
  const kind = recordKind(mapping.kind)
  const byName = new Map(kind.fields.map((f) => [f.name, f]))
  const columns = mapping.columns.flatMap((use, at) => {
    const field = use.as === 'field' ? byName.get(use.field) : undefined
    return field ? [{ at, field, read: cellReader(field, styleAt(mapping, at)) }] : []
  })
  const tierColumns = mapping.columns.flatMap((use, at) => (use.as === 'tier' ? [{ at, from: use.from }] : []))
  const dayColumns = mapping.columns.flatMap((use, at) => (use.as === 'day' ? [{ at, day: use.day }] : []))
  const mapped = [...columns.map((c) => c.at), ...tierColumns.map((c) => c.at), ...dayColumns.map((c) => c.at)]
  const wanted = wantedFields(kind.fields, dayColumns.length > 0)

  return (cells) => {
    const record: RowRecord = {}
    const doubts: ReadRow['doubts'] = []
    if (mapped.every((at) => isBlank(cells[at]))) return reject('no column that is used holds anything')
    for (const { at, field, read } of columns) {
      const { value, reason, currency } = read(cells[at] ?? null)
      record[field.name] = value
      if (reason !== null) doubts.push({ field: field.name, reason })
      if (currency !== null) record.currency ??= currency
    }
    fillFromFile(record, mapping)
    readSoonest(record, cells, columns)
    readTiers(record, cells, tierColumns, mapping, doubts)
    const lacking = lack(wanted, record, cells, columns, doubts)
    if (lacking) return reject(lacking)
    if (dayColumns.length === 0) return { record, days: null, rejected: null, doubts }
    return wide(record, cells, dayColumns, mapping, doubts)
  }
}

function reject(reason: string): ReadRow {
  return { record: null, days: null, rejected: reason, doubts: [] }
}

function fillFromFile(record: RowRecord, mapping: Mapping): void {
  record.currency ??= mapping.currency
  const { from } = recordKind(mapping.kind)
  record[from] ??= mapping[from]
}

/** A range of days says two things: until when it comes at the latest, and when at the soonest. */
function readSoonest(
  record: RowRecord,
  cells: readonly Cell[],
  columns: readonly { at: number; field: Field }[],
): void {
  if (typeof record.leadDays !== 'number' || typeof record.leadDaysLeast === 'number') return
  const cell = cells[columns.find((c) => c.field.name === 'leadDays')?.at ?? -1]
  const days = typeof cell === 'string' ? daysIn(cell) : null
  if (days && days.least < days.most) record.leadDaysLeast = days.least
}

function readTiers(
  record: RowRecord,
  cells: readonly Cell[],
  columns: { at: number; from: number }[],
  mapping: Mapping,
  doubts: ReadRow['doubts'],
): void {
  if (mapping.kind !== 'offers') return
  if (typeof record.tiers === 'string') {
    record.price ??= tiersFromText(record.tiers)[0]?.priceE4 ?? null
    return
  }
  const tiers: Tier[] = []
  for (const { at, from } of columns) {
    const { value, reason } = readValue(cells[at] ?? null, 'money', styleAt(mapping, at))
    if (reason !== undefined) doubts.push({ field: 'tiers', reason })
    if (typeof value === 'number') tiers.push({ from, priceE4: value })
  }
  const single = record.price
  const from = typeof record.tierFrom === 'number' ? Math.max(1, record.tierFrom) : 1
  if (tiers.length === 0 && typeof single === 'number') tiers.push({ from, priceE4: single })
  record.tiers = tiers.length === 0 ? null : tiersToText(tiers)
  if (typeof record.price !== 'number') record.price = tiers[0]?.priceE4 ?? null
}

/** What a record cannot do without; in a wide sales row days and units are columns of their own. */
function wantedFields(fields: readonly Field[], isWide: boolean): Field[] {
  return fields.filter(
    (f) => (f.required && !(isWide && (f.name === 'day' || f.name === 'units'))) || isOfferPrice(f, fields),
  )
}

/** The first thing a row lacks that its kind cannot do without, in words. */
function lack(
  wanted: readonly Field[],
  record: RowRecord,
  cells: readonly Cell[],
  columns: { at: number; field: Field }[],
  doubts: ReadRow['doubts'],
): string | null {
  const has = (name: string) => record[name] !== null && record[name] !== undefined
  const isWhole = wanted.every((f) => has(f.name))
  const total = totalIn(cells, isWhole)
  if (total !== null) return `a total line ('${total}'), not a record`
  for (const field of wanted) {
    if (has(field.name)) {
      if (field.type === 'money' && (record[field.name] as number) <= 0)
        return `no usable ${field.label.toLowerCase()}: not above zero`
      continue
    }
    const column = columns.find((c) => c.field === field)
    const cell = column ? cells[column.at] : null
    const said = isBlank(cell) ? 'empty' : `'${String(cell).slice(0, 60)}'`
    const also = doubts.filter((d) => d.field !== field.name).map((d) => d.reason)
    return [`no usable ${field.label.toLowerCase()} (${said})`, ...also].join('; ')
  }
  return null
}

function isOfferPrice(field: Field, fields: readonly Field[]): boolean {
  return field.name === 'price' && fields.some((f) => f.name === 'minOrder')
}

/** A row with one column a day becomes one record a day; an empty cell is a day without a figure, and no record. */
function wide(
  record: RowRecord,
  cells: readonly Cell[],
  columns: { at: number; day: number }[],
  mapping: Mapping,
  doubts: ReadRow['doubts'],
): ReadRow {
  const days: { day: number; units: number }[] = []
  for (const { at, day } of columns) {
    if (isBlank(cells[at])) continue
    if (mapping.latestDay !== null && day > mapping.latestDay) {
      doubts.push({ field: 'units', reason: `${isoDay(day)} is still to come` })
      continue
    }
    const { value, reason } = readValue(cells[at] ?? null, 'count', styleAt(mapping, at))
    if (reason !== undefined) doubts.push({ field: 'units', reason })
    if (typeof value === 'number') days.push({ day, units: value })
  }
  return days.length > 0 ? { record, days, rejected: null, doubts } : reject('no day holds a figure')
}
