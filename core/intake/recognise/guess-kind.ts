import { monthStart, parseDay, tierStart, type DateOrder, type NumberStyle } from '../../notation'
import type { Field, RecordKind } from '../../records'
import { learnedUse, type Learned } from './learned'
import { bestAssignment } from './best-assignment'
import type { ColumnGuess, ColumnUse, KindGuess, SeenColumn } from './guess'
import type { ColumnStyle } from './column-style'
import { rowNames } from './row-names'
import { suretyOf } from './surety'
import { valueFit } from './value-fit'

/** How much a hint says for a field or, taken off, against it. */
const [much, some, little] = [2.5, 1.2, 0.5]

/** What a missing required field costs, and what a column that is known elsewhere but not under this kind. */
const [missingCost, strangerCost, unusedCost] = [2 * much, some, little]

/** Where nothing tells kinds apart, a file is of the commoner one. */
const usual: Partial<Record<RecordKind['name'], number>> = {
  listings: some,
  sales: little,
  offers: little,
  orders: little,
}

/** What the columns of a file are if it is of this kind, and how well that explains the file. */
export function guessKind(kind: RecordKind, columns: readonly SeenColumn[], styles: Styles): KindGuess {
  const special = specialColumns(kind, columns, styles)
  const fields = kind.fields.filter((f) => !special.fields.includes(f.name))
  const said = columns.map((c) => learnedUse(styles.learned ?? null, kind.name, c.text, c.holds))
  const named = columns.map((column) => bestNamed(kind, column))
  const gains = fields.map((field) =>
    columns.map((column, at) =>
      special.uses.has(at)
        ? -Infinity
        : saidGain(said[at] ?? null, field, gainOf(kind, field, column, named[at] as number)),
    ),
  )
  const taken = bestAssignment(gains)
  const uses: ColumnUse[] = columns.map((_, at) => special.uses.get(at) ?? { as: 'unused' })
  fields.forEach((field, f) => {
    const at = taken[f] as number
    if (at >= 0) uses[at] = { as: 'field', field: field.name }
  })
  const total = totalOf(gains, taken)
  // What the seller said of columns decides them, but not what kind the file is of.
  const owed = taken.filter((at, f) => at >= 0 && isSaid(said[at] ?? null, fields[f] as Field)).length * saidBonus
  const found = new Set([...fields.flatMap((f, i) => ((taken[i] as number) >= 0 ? [f.name] : [])), ...special.fields])
  const missing = kind.fields.filter((f) => f.required && !found.has(f.name)).map((f) => f.name)
  if (kind.name === 'offers' && !found.has('price') && !found.has('tiers')) missing.push('price')
  const strangers = columns.filter((c, at) => uses[at]?.as === 'unused' && Math.max(0, ...c.fits.values()) > 0.75)
  const unused = columns.filter((c, at) => uses[at]?.as === 'unused' && c.profile.filled > 0)
  const score =
    total -
    owed +
    special.gain +
    (usual[kind.name] ?? 0) +
    rowNames(kind, columns, uses) -
    missing.length * missingCost -
    strangers.length * strangerCost -
    unused.length * unusedCost
  const guesses = uses.map((use, at): ColumnGuess => {
    if (said[at] && JSON.stringify(said[at]) === JSON.stringify(use)) return { use, surety: 'said' }
    if (use.as !== 'field') return { use, surety: use.as === 'unused' ? 'none' : 'sure' }
    const f = fields.findIndex((field) => field.name === use.field)
    const without = gains.map((row, r) => (r === f ? row.map((g, c) => (c === at ? -Infinity : g)) : row))
    const column = columns[at] as SeenColumn
    const evidence = {
      regret: total - totalOf(without, bestAssignment(without)),
      heading: column.fits.get(`${kind.name}.${use.field}`) ?? 0,
      values: valueFit(column.profile, fields[f] as Field),
    }
    return { use, surety: suretyOf(evidence), evidence }
  })
  return {
    kind: kind.name,
    columns: guesses,
    score: total + special.gain > 0 ? score : -Infinity,
    missing: [...new Set(missing)],
    leftOut: leftOut(kind, found, columns, uses),
  }
}

const saidBonus = 50

function isSaid(said: ColumnUse | null, field: Field): boolean {
  return said?.as === 'field' && said.field === field.name
}

/** A column that the seller once took for a field is that, and for no other. */
function saidGain(said: ColumnUse | null, field: Field, gain: number): number {
  if (said === null) return gain
  return isSaid(said, field) ? Math.max(gain, 0) + saidBonus : -Infinity
}

/** Figures the kind lives on that no column was taken for, each with the unused column that looks most like it. */
function leftOut(
  kind: RecordKind,
  found: ReadonlySet<string>,
  columns: readonly SeenColumn[],
  uses: readonly ColumnUse[],
): KindGuess['leftOut'] {
  const hasTiers = uses.some((u) => u.as === 'tier')
  return Object.keys(kind.lives).flatMap((name) => {
    const field = kind.fields.find((f) => f.name === name)
    if (!field || found.has(name) || (hasTiers && name === 'price')) return []
    let best = { at: -1, gain: 0 }
    columns.forEach((column, at) => {
      if (uses[at]?.as !== 'unused') return
      const values = valueFit(column.profile, field)
      const otherwise = [...column.fits].map(([f, fit]) => (f.endsWith(`.${name}`) ? 0 : fit))
      const named = column.fits.get(`${kind.name}.${name}`) ?? 0
      const gain = values + much * (named - Math.max(0, ...otherwise))
      if (values > 0 && gain > best.gain) best = { at, gain }
    })
    return [{ field: name, column: best.at < 0 ? null : best.at }]
  })
}

function totalOf(gains: readonly (readonly number[])[], taken: readonly number[]): number {
  return taken.reduce((sum, at, f) => sum + (at < 0 ? 0 : (gains[f]?.[at] as number)), 0)
}

/** How much speaks for a column being a field: what its heading says, what its cells say, and how it sums with others. */
function gainOf(kind: RecordKind, field: Field, column: SeenColumn, best: number): number {
  const values = valueFit(column.profile, field)
  if (values === -Infinity) return -Infinity
  const named = column.fits.get(`${kind.name}.${field.name}`) ?? 0
  const { heading } = column
  const hints = windowHint(kind, field, heading.window) + unitHint(field, column) + sumHint(kind, field, column)
  if (hints === -Infinity) return -Infinity
  if (named >= Math.max(0.33, 0.5 * best)) return named * 6 + Math.min(values, 3) * 0.8 + hints
  const unheard = values * 0.7 + hints + (unnamed.get(field.name) ?? rare) + unheardHint(field, column)
  if (heading.useless) return unheard
  // A heading that says something else is believed, but for what cells cannot be but; one whose words nobody knows leaves it to them.
  if (saysElse(column)) return values >= (named > 0 ? 2.8 : 4) ? values * 0.4 : -Infinity
  return field.required || values >= 1.9 ? unheard - little : -Infinity
}

/** How well the heading names what it names best of the kind: 'Price' is no revenue, though 'total price' is. */
function bestNamed(kind: RecordKind, { fits }: SeenColumn): number {
  return Math.max(...kind.fields.map((f) => fits.get(`${kind.name}.${f.name}`) ?? 0))
}

/** Codes are all of one length, or each is another, or they are counted up; counts are none of it. */
function isCode({ code, length, sameLength, distinct, numeric, rising }: SeenColumn['profile']): boolean {
  if (code <= 0.8 || length < 2.5) return false
  return sameLength > 0.85 || (distinct > 0.97 && (numeric < 0.5 || rising > 0.9))
}

/** What cells alone must show where no heading says what they are. */
function unheardHint(field: Field, { profile: p }: SeenColumn): number {
  switch (field.type) {
    case 'id':
      return isCode(p) ? (p.sameLength > 0.85 ? little : 0) : -much
    case 'money':
      return p.cents > 0.5 || p.currencySign > 0.5 ? little : -much
    case 'rating':
      return p.median >= 3 && p.high >= 4 ? 0 : -much
    case 'weight':
    case 'size':
      return -2 * much
    case 'count':
      return p.sameLength > 0.9 && p.length >= 4 ? -some : 0
    default:
      return 0
  }
}

/** Do the words of its heading name something, whatever the kind? */
function saysElse({ fits }: SeenColumn): boolean {
  for (const fit of fits.values()) if (fit > 0.5) return true
  return false
}

/** Without headings: the commonest columns of each sort come first, the rarest last. */
const commonest = [
  'id title order clip ad price sku',
  'rating day term firstSeen status words lastSeen',
  'what store gtin since currency leadDays note searches creator advertiser checked country condition landing picture url views likes',
  'units category cost listedOn',
]
const unnamed = new Map(commonest.flatMap((names, rank) => names.split(' ').map((name) => [name, 0.8 - 0.25 * rank])))
const rare = -0.6

function windowHint(kind: RecordKind, field: Field, window: number | null): number {
  if (field.window !== undefined) return window === null ? -some : window === field.window ? much : -Infinity
  // what a store sold without a word of a window is what it sold in all
  if (window === null) return kind.name === 'stores' && field.name === 'units' ? -some : 0
  if ((field.name === 'units' || field.name === 'revenue' || field.name === 'searches') && kind.hasWindow)
    return window === 30 ? some : little
  if (['unitsTotal', 'reviews', 'stock', 'feedback'].includes(field.name)) return -much
  return field.type === 'count' || field.type === 'money' ? -little : 0
}

function unitHint(field: Field, { heading, profile }: SeenColumn): number {
  let hint = 0
  if (heading.percent || profile.percentSign > 0.5)
    hint += field.type === 'ratio' ? some : field.type === 'money' || field.type === 'count' ? -much : 0
  if (heading.currency !== null)
    hint += field.type === 'money' ? some : field.type === 'count' || field.type === 'ratio' ? -much : 0
  return hint
}

function sumHint({ name }: RecordKind, field: Field, { sum }: SeenColumn): number {
  if (sum === null) return 0
  return (name === 'offers' ? supplierSums[sum]?.[field.name] : undefined) ?? sumHints[sum][field.name] ?? 0
}

const sumHints: Record<NonNullable<SeenColumn['sum']>, Record<string, number>> = {
  product: { revenue: much, price: -much, units: -much },
  price: { price: some, revenue: -much },
  units: { units: some, revenue: -much },
  cost: { cost: some, delivery: -some, revenue: -much },
  dearer: { price: little, cost: -some },
}

/** Of a supplier's two amounts the lower is what the goods cost, and the other what shops are advised to ask. */
const supplierSums: Partial<typeof sumHints> = { cost: { price: some }, dearer: { price: -some } }

/** Price steps in a supplier's list and days across a wide sales file are known by their headings. */
function specialColumns(kind: RecordKind, columns: readonly SeenColumn[], styles: Styles) {
  const uses = new Map<number, ColumnUse>()
  columns.forEach(({ text, profile }, at) => {
    const from = kind.name === 'offers' ? tierStart(text) : null
    // what a whole month sold is no figure of a day
    const day = kind.name === 'sales' && monthStart(text) === null ? parseDay(text, styles.order) : null
    if (from !== null && profile.numeric > 0.8) uses.set(at, { as: 'tier', from })
    else if (day !== null && (profile.filled === 0 || profile.numeric > 0.8)) uses.set(at, { as: 'day', day })
  })
  const many = uses.size >= 2
  const isTier = [...uses.values()].some((u) => u.as === 'tier')
  return {
    uses,
    gain: many ? 8 + Math.min(uses.size, 20) * 0.5 : uses.size,
    fields:
      uses.size === 0
        ? []
        : isTier
          ? many
            ? ['price', 'tiers', 'tierFrom']
            : ['tiers', 'tierFrom']
          : ['day', 'units'],
  }
}

export interface Styles {
  number: NumberStyle
  order: DateOrder
  /** what the seller has corrected before */
  learned?: Learned | null
  /** by place, where a column is written in a way of its own */
  styles?: readonly ColumnStyle[]
}
