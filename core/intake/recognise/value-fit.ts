import type { Field } from '../../records'
import type { ColumnProfile } from './column-profile'

/**
 * What the cells of a column say for or against a field, as log odds of a sort: 0 says nothing, above 2 they could hardly be
 * anything else, -Infinity they cannot be it. Bounds are our own, by what such columns hold in practice.
 */
export function valueFit(p: ColumnProfile, field: Field): number {
  if (p.filled === 0) return -0.2
  const byType = types[field.type](p, field)
  if (byType === -Infinity) return byType
  return Math.max(-6, Math.min(5, byType + (texts[field.name]?.(p) ?? 0)))
}

const never = -Infinity
type Judge = (p: ColumnProfile, field: Field) => number

const types: Record<Field['type'], Judge> = {
  money(p) {
    if (p.numeric < 0.6 || p.high > 1e7 || p.percentSign > 0.3) return never
    if (p.gtin > 0.7 || isDays(p)) return -3
    return 0.3 + 1.2 * p.cents + 1.2 * p.currencySign - (p.negative > 0.3 ? 2 : 0) - (p.whole > 0.97 ? 0.6 : 0)
  },
  count(p, field) {
    if (p.numeric < 0.6 || p.whole < 0.9 || p.negative > 0.1 || p.percentSign > 0.1) return never
    if (p.gtin > 0.7 || p.currencySign > 0.3) return -4
    if (isDays(p) && p.serialDay > 0.95 && p.high < 1e8) return field.name === 'rank' ? 0 : -0.5
    const bound = most[field.name]
    return 0.5 - (p.cents > 0.5 ? 1.5 : 0) - (bound !== undefined && p.median > bound ? 2 : 0)
  },
  ratio(p) {
    if (p.numeric < 0.6) return never
    if (p.currencySign > 0.3 || p.gtin > 0.7) return -4
    if (p.percentSign > 0.5) return 3
    if (Math.max(Math.abs(p.min), Math.abs(p.high)) > 2000) return -3
    return p.min >= -1 && p.high <= 1.0001 && p.whole < 0.9 ? 1 : 0
  },
  rating(p) {
    if (p.numeric < 0.6 || p.min < 0 || p.high > 5.0001) return never
    return (p.high > 1 ? 1.2 : -0.5) + (p.whole < 0.9 && p.high <= 5 && p.min >= 1 ? 0.8 : 0) - p.currencySign * 3
  },
  day(p) {
    if (p.day >= 0.6) return 3.2
    return p.numeric > 0.9 && p.serialDay > 0.95 ? 0.6 : never
  },
  gtin: (p) => (p.gtin > 0.6 ? 4.5 : p.gtin > 0.2 ? 1 : never),
  currency: (p) => (p.currencyCode > 0.8 ? 4.5 : p.length <= 3 && p.currencySign > 0.5 ? 2 : never),
  lead(p) {
    if (p.numeric > 0.9) return p.whole > 0.9 && p.high <= 120 && p.min >= 0 ? 0.4 : -4
    return p.lead > 0.6 && p.day < 0.3 ? 2.4 : never
  },
  weight: (p) => (p.numeric > 0.6 ? (p.min >= 0 ? 0.2 : never) : p.words < 3 ? 0.3 : never),
  size: (p) => (p.numeric > 0.8 || p.words > 9 ? never : 0.2),
  list: (p) => (isWordless(p) ? never : p.words > 8 ? -1 : p.length > 8 ? 0.3 : 0),
  path: (p) => (isWordless(p) || p.address > 0.2 ? never : p.path > 0.5 ? 2.2 : p.distinct > 0.9 && p.filled > 20 ? -1 : 0.2),
  tiers: (p) => (p.tiers > 0.6 ? 5 : never),
  id(p) {
    if (p.day > 0.8 || p.address > 0.3 || p.percentSign > 0.3 || p.currencySign > 0.5) return never
    if (p.length > 40 || p.words > 2.2) return -3.5
    if (p.numeric > 0.9 && p.whole < 0.95) return -3.5
    if (p.gtin > 0.8 && p.filled > 4) return -1.5
    return p.code > 0.8 ? 1.3 : p.code > 0.4 ? 0.4 : -0.6
  },
  text(p, field) {
    if (field.values === 'languages') return p.language > 0.7 ? 2.5 : -1.5
    if (field.values) return p.listed[field.values as 'yesNo'] ?? 0 ? 4.4 * (p.listed[field.values as 'yesNo'] ?? 0) - 1 : -1.6 - (p.distinct > 0.6 && p.filled > 8 ? 2 : 0)
    if (p.numeric > 0.8 || p.day > 0.8) return -5
    if (p.currencyCode > 0.9 || p.gtin > 0.6) return -4
    return 0
  },
} // prettier-ignore

/** fields whose figures stay small */
const most: Record<string, number> = { durationDays: 400, endHour: 23, minOrder: 20_000, tierFrom: 100_000 }

/** Texts are told apart by their length, their words and how often they come again. */
const texts: Record<string, (p: ColumnProfile) => number> = {
  title: (p) =>
    (p.address > 0.2 || p.handle > 0.3 ? -5 : p.words >= 2.2 && p.words < 25 ? 1.2 : p.words < 1.3 ? -1.2 : 0) -
    listedIn(p) -
    1.5 * p.sentence -
    (p.lower > 0.95 && p.words < 6 ? 0.9 : 0),
  words: (p) => (p.address > 0.2 ? -5 : p.words >= 4 ? 2 : p.words < 2 ? -2.5 : 0) + 1.2 * p.sentence,
  note: (p) => (p.address > 0.2 ? -5 : p.words >= 2.5 ? 0.8 : 0) + 0.8 * p.sentence,
  category: (p) => -2 * p.sentence,
  term: (p) =>
    (p.address > 0.2 || p.path > 0.5
      ? -4
      : p.words > 9
        ? -2
        : p.lower > 0.9 && p.words > 1.3
          ? 1.2
          : p.lower < 0.3
            ? -1
            : 0) - p.code,
  what: (p) => (p.address > 0.2 ? -4 : 0) - listedIn(p),
  store: named,
  supplier: named,
  advertiser: named,
  creator: (p) => (p.handle > 0.5 ? 3.5 : named(p)),
  brand: (p) => named(p) + (p.words < 2.2 ? 0.3 : -0.5),
  market: (p) => named(p) - (p.distinct > 0.5 && p.filled > 8 ? 2 : 0),
  channel: (p) => named(p) - (p.distinct > 0.6 && p.filled > 8 ? 2 : 0),
  country: (p) => (p.country > 0.7 ? 3.2 : -4),
  shipsFrom: (p) => (p.country > 0.7 ? 3.2 : p.words > 3 ? -4 : -1),
  region: (p) => (p.country > 0.7 ? 1 : named(p)),
  picture: (p) => (p.pictureAddress > 0.5 ? 4.4 : p.address > 0.5 ? 0.5 : -3),
  url: (p) => (p.pictureAddress > 0.5 ? -3 : p.address > 0.5 ? 3 : -5),
  landing: (p) => (p.pictureAddress > 0.5 ? -3 : p.address > 0.5 ? 2.8 : -5),
  promotion: (p) => (p.distinct > 0.6 && p.filled > 8 ? -2 : 0),
}

/** A name of somebody or something: few words, and no code. */
function named(p: ColumnProfile): number {
  if (p.address > 0.2 || p.percentSign > 0.2) return -5
  const crowded = p.words > 5 ? -2.5 : p.words > 3.2 ? -0.6 : 0.3
  return (
    crowded -
    2 * p.sentence -
    (p.lead > 0.6 ? 3 : 0) -
    (p.code > 0.7 ? 0.8 : 0) -
    listedIn(p) -
    (p.country > 0.8 ? 2 : 0) -
    (p.path > 0.6 ? 1.5 : 0)
  )
}

/** Cells that are words of a known list are no names. */
function listedIn(p: ColumnProfile): number {
  const all = Object.values(p.listed)
  return p.filled > 3 && Math.max(0, ...all) > 0.8 ? 2 : 0
}

function isDays(p: ColumnProfile): boolean {
  return p.day > 0.8 || (p.serialDay > 0.98 && p.high > 1e7)
}

function isWordless(p: ColumnProfile): boolean {
  return p.numeric > 0.6 || p.day > 0.6
}
