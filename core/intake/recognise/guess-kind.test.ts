import type { Field, RecordKind } from '../../records'
import type { ColumnProfile } from './column-profile'
import { guessKind, type Styles } from './guess-kind'
import type { SeenColumn } from './guess'
import { readHeading, type Heading } from './heading'
import { blank } from './test-profile'
import { valueFit } from './value-fit'

const styles: Styles = { number: { decimal: '.', group: ',' }, order: 'dmy' }
const fieldOf = (name: string, type: Field['type'], some: Partial<Field> = {}): Field => ({
  name,
  type,
  label: name,
  headings: {},
  help: '',
  ...some,
})
const kindOf = (fields: Field[], some: Partial<RecordKind> = {}): RecordKind =>
  ({ name: 'feedback', fields, keys: [], lives: {}, hasWindow: false, ...some }) as unknown as RecordKind

interface Some {
  profile?: Partial<ColumnProfile>
  fits?: Record<string, number>
  heading?: Partial<Heading>
  sum?: SeenColumn['sum']
  text?: string
}
const columnOf = ({ profile = {}, fits = {}, heading = {}, sum = null, text = '' }: Some = {}): SeenColumn => ({
  text,
  heading: { ...readHeading('x'), useless: false, ...heading },
  fits: new Map(Object.entries(fits)),
  profile: { ...blank, ...profile },
  cells: [],
  sum,
  holds: 'nothing',
})
/** the three sizes of a hint */
const [much, some, little] = [2.5, 1.2, 0.5]
const count = { numeric: 1, whole: 1 }
const amount = { numeric: 1 }

/** What one column is worth as the only field of a kind, beyond the six of a heading that names it and what its cells say. */
function hint(field: Field, said: Some, kind: Partial<RecordKind> = {}): number {
  const k = kindOf([field], kind)
  const profile = said.profile ?? (field.type === 'count' ? count : field.type === 'text' ? {} : amount)
  const column = columnOf({ ...said, profile, fits: { [`${k.name}.${field.name}`]: 1 } })
  const { score } = guessKind(k, [column], styles)
  return score - 6 - 0.8 * Math.min(3, valueFit(column.profile, field)) - (k.name === 'listings' ? some : 0)
}

describe('what a heading says beside its words', () => {
  const units = fieldOf('units', 'count')
  test.each<[string, Field, Some, Partial<RecordKind>, number]>([
    ['no window', units, {}, {}, 0],
    ['a window where the kind has none', units, { heading: { window: 30 } }, {}, -little],
    ['a month', units, { heading: { window: 30 } }, { hasWindow: true }, some],
    ['a week', units, { heading: { window: 7 } }, { hasWindow: true }, little],
    ['a month of revenue', fieldOf('revenue', 'money'), { heading: { window: 30 } }, { hasWindow: true }, some],
    ['a month of searches', fieldOf('searches', 'count'), { heading: { window: 30 } }, { hasWindow: true }, some],
    ['a month of another count', fieldOf('views', 'count'), { heading: { window: 30 } }, { hasWindow: true }, -little],
    ['a month of another amount', fieldOf('cost', 'money'), { heading: { window: 30 } }, {}, -little],
    ['a month of words', fieldOf('note', 'text'), { heading: { window: 30 } }, {}, 0],
    ['a month of what is counted in all', fieldOf('unitsTotal', 'count'), { heading: { window: 30 } }, {}, -much],
    ['a month of reviews', fieldOf('reviews', 'count'), { heading: { window: 30 } }, {}, -much],
    ['a month of stock', fieldOf('stock', 'count'), { heading: { window: 30 } }, {}, -much],
    ['a month of feedback', fieldOf('feedback', 'count'), { heading: { window: 30 } }, {}, -much],
    ['what a store sold, without a window', units, {}, { name: 'stores' }, -some],
    ['other counts of a store', fieldOf('reviews', 'count'), {}, { name: 'stores' }, 0],
    ['a field of 90 days without a window', fieldOf('u90', 'count', { window: 90 }), {}, {}, -some],
    ['a field of 90 days of 90', fieldOf('u90', 'count', { window: 90 }), { heading: { window: 90 } }, {}, much],
    ['percent of a share', fieldOf('r', 'ratio'), { heading: { percent: true } }, {}, some],
    ['percent of an amount', fieldOf('m', 'money'), { heading: { percent: true } }, {}, -much],
    ['percent of a count', units, { heading: { percent: true } }, {}, -much],
    ['percent of words', fieldOf('note', 'text'), { heading: { percent: true } }, {}, 0],
    ['cells of percent', fieldOf('r', 'ratio'), { profile: { numeric: 1, percentSign: 0.51 } }, {}, some],
    ['few cells of percent', fieldOf('r', 'ratio'), { profile: { numeric: 1, percentSign: 0.5 } }, {}, 0],
    ['a currency of an amount', fieldOf('m', 'money'), { heading: { currency: 'EUR' } }, {}, some],
    ['a currency of a count', units, { heading: { currency: 'EUR' } }, {}, -much],
    ['a currency of a share', fieldOf('r', 'ratio'), { heading: { currency: 'EUR' } }, {}, -much],
    ['a currency of words', fieldOf('note', 'text'), { heading: { currency: 'EUR' } }, {}, 0],
  ])('%s', (_, field, said, kind, wanted) => expect(hint(field, said, kind)).toBeCloseTo(wanted, 9))
  test('a field of 90 days is none of 30', () => {
    expect(hint(fieldOf('u90', 'count', { window: 90 }), { heading: { window: 30 } })).toBe(-Infinity)
  })
  // the product of two others is the revenue, and the others are price and units; of two amounts the dearer is the price
  test.each<[SeenColumn['sum'], Record<string, number>]>([
    ['product', { revenue: much, price: -much, units: -much, cost: 0 }],
    ['price', { price: some, revenue: -much, units: 0 }],
    ['units', { units: some, revenue: -much, price: 0 }],
    ['cost', { cost: some, delivery: -some, revenue: -much, price: 0 }],
    ['dearer', { price: little, cost: -some, revenue: 0 }],
  ])('a column that is the %s among sums', (sum, wanted) => {
    for (const [name, odds] of Object.entries(wanted))
      expect([name, hint(fieldOf(name, name === 'units' ? 'count' : 'money'), { sum })]).toEqual([
        name,
        expect.closeTo(odds, 9),
      ])
  })
})

describe('a column whose heading nobody knows', () => {
  const gain = (field: Field, some: Some) => guessKind(kindOf([field]), [columnOf(some)], styles).score
  /** what a field is worth without a heading, from the commonest on */
  const ranks = [0.8, 0.55, 0.3, 0.05] as const
  const days = { day: 1 }
  const day = fieldOf('other', 'day')
  test('is named by its heading from a third on', () => {
    expect(gain(day, { profile: days, fits: { 'feedback.other': 0.33 } })).toBeCloseTo(0.33 * 6 + 3 * 0.8, 9)
    // below, by its cells alone: seven tenths of 3.2, less 0.6 as it is not one of the common ones, less a half
    expect(gain(day, { profile: days, fits: { 'feedback.other': 0.32 } })).toBeCloseTo(3.2 * 0.7 - 0.6 - 0.5, 9)
    expect(gain(day, { profile: days, heading: { useless: true } })).toBeCloseTo(3.2 * 0.7 - 0.6, 9)
    // the rarer a field is, the less
    const names = ['order', 'day', 'since', 'listedOn']
    const unheard = names.map((name) => gain(fieldOf(name, 'day'), { profile: days, heading: { useless: true } }))
    expect(unheard).toEqual(ranks.map((rank) => expect.closeTo(3.2 * 0.7 + rank, 9) as number))
  })
  test('is not what it names less than half as well as another field of the kind', () => {
    const two = (fit: number) => {
      const kind = kindOf([fieldOf('other', 'text'), fieldOf('date', 'text')])
      const fits = { 'feedback.other': fit, 'feedback.date': 0.9 }
      const columns = [columnOf({ fits }), columnOf({ fits: { 'feedback.date': 1 } })]
      return guessKind(kind, columns, styles).columns.map(({ use }) => (use.as === 'field' ? use.field : use.as))
    }
    expect(two(0.45)).toEqual(['other', 'date'])
    expect(two(0.44)).toEqual(['unused', 'date'])
  })
  test('that says something else is believed, but for what cells cannot be but', () => {
    const says = (fit: number, own: number) => ({ 'listings.title': fit, 'feedback.other': own })
    expect(gain(day, { profile: days, fits: says(0.51, 0.1) })).toBeCloseTo(3.2 * 0.4, 9)
    expect(gain(day, { profile: days, fits: says(0.51, 0) })).toBe(-Infinity)
    expect(gain(day, { profile: days, fits: says(0.5, 0) })).toBeCloseTo(3.2 * 0.7 - 1.1, 9)
    const tiers = fieldOf('other', 'tiers')
    expect(gain(tiers, { profile: { tiers: 1 }, fits: says(0.51, 0) })).toBeCloseTo(5 * 0.4, 9)
    const barcodes = fieldOf('other', 'currency')
    expect(gain(barcodes, { profile: { currencySign: 0.6, length: 1 }, fits: says(0.51, 0.1) })).toBe(-Infinity)
  })
  test('is a field that must be there sooner than another', () => {
    const profile = { numeric: 1, cents: 0.75 }
    const price = fieldOf('price', 'money')
    // 0.3 + 0.9 of the cells, 0.8 as prices are common, a little for their cents and as much less as no heading says it
    expect(gain({ ...price, required: true }, { profile })).toBeCloseTo(1.2 * 0.7 + ranks[0] + little - little, 9)
    expect(gain(price, { profile })).toBe(-Infinity)
    expect(gain({ ...price, required: true }, { profile: { ...profile, cents: 0.5 } })).toBe(-Infinity)
    expect(gain({ ...price, required: true }, { profile: { numeric: 1, currencySign: 0.51 } })).toBeGreaterThan(0)
  })
  test('is a number that names by its length, or as each is another', () => {
    const id = fieldOf('id', 'id')
    const bare = { profile: { code: 0.81, length: 2.5, sameLength: 0.86 }, heading: { useless: true } }
    const of = (profile: Partial<ColumnProfile>) => gain(id, { ...bare, profile: { ...bare.profile, ...profile } })
    const cells = 1.3 * 0.7 + ranks[0]
    expect(of({})).toBeCloseTo(cells + little, 9)
    expect(of({ sameLength: 0.85 })).toBe(-Infinity)
    expect(of({ sameLength: 0.85, distinct: 0.98 })).toBeCloseTo(cells, 9)
    expect(of({ sameLength: 0.85, distinct: 0.97 })).toBe(-Infinity)
    expect(of({ sameLength: 0.85, distinct: 0.98, numeric: 0.5 })).toBe(-Infinity)
    expect(of({ sameLength: 0.85, distinct: 0.98, numeric: 0.5, rising: 0.91 })).toBeCloseTo(cells, 9)
    expect(of({ sameLength: 0.85, distinct: 0.98, numeric: 0.5, rising: 0.9 })).toBe(-Infinity)
    expect(of({ length: 2.4 })).toBe(-Infinity)
    expect(of({ code: 0.8 })).toBe(-Infinity)
  })
  test('is stars where most are high, and a count where it is no long number', () => {
    const stars = (profile: Partial<ColumnProfile>) =>
      gain(fieldOf('rating', 'rating'), { profile: { numeric: 1, min: 1, ...profile }, heading: { useless: true } })
    expect(stars({ median: 3, high: 4 })).toBeCloseTo(2 * 0.7 + ranks[1], 9)
    expect(stars({ median: 2.9, high: 4 })).toBe(-Infinity)
    expect(stars({ median: 3, high: 3.9 })).toBe(-Infinity)
    const long = (profile: Partial<ColumnProfile>) =>
      gain(fieldOf('order', 'count'), { profile: { ...count, ...profile }, heading: { useless: true } })
    expect(long({ sameLength: 0.91, length: 3.9 })).toBeCloseTo(0.35 + ranks[0], 9)
    expect(long({ sameLength: 0.9, length: 4 })).toBeCloseTo(0.35 + ranks[0], 9)
    expect(long({ sameLength: 0.91, length: 4 })).toBe(-Infinity)
    const weight = { profile: { words: 1 }, heading: { useless: true } }
    expect(gain(fieldOf('order', 'weight'), weight)).toBe(-Infinity)
    expect(gain(fieldOf('order', 'size'), weight)).toBe(-Infinity)
  })
})

describe('a file as a kind', () => {
  const title = fieldOf('title', 'text', { required: true })
  const note = fieldOf('note', 'text')
  const named = (kind: string, name: string, some: Some = {}) => columnOf({ ...some, fits: { [`${kind}.${name}`]: 1 } })
  const fields = [title, note]
  const found = named('feedback', 'note')
  const base = 6
  test('loses five for each field that must be there and is not', () => {
    const guess = guessKind(kindOf(fields), [found], styles)
    expect([guess.score, guess.missing]).toEqual([base - 5, ['title']])
  })
  test('loses a half for a column that is for nothing, and more for one that other kinds know', () => {
    const score = (column: SeenColumn) => guessKind(kindOf([note]), [found, column], styles).score
    expect(score(columnOf({ profile: { filled: 0 } }))).toBe(base)
    expect(score(columnOf({ profile: { filled: 1 } }))).toBe(base - 0.5)
    expect(score(columnOf({ fits: { 'sales.day': 0.75 } }))).toBe(base - 0.5)
    expect(score(columnOf({ fits: { 'sales.day': 0.76 } }))).toBe(base - little - some)
  })
  test('is of the commoner kind where nothing else tells', () => {
    const score = (name: RecordKind['name']) => guessKind(kindOf([note], { name }), [named(name, 'note')], styles).score
    expect((['listings', 'sales', 'orders', 'ads'] as const).map(score)).toEqual([
      base + some,
      base + little,
      base + little,
      base,
    ])
    // offers without a price are none
    const offers = guessKind(kindOf([note], { name: 'offers' }), [named('offers', 'note')], styles)
    expect([offers.score, offers.missing]).toEqual([1.5, ['price']])
    expect(guessKind(kindOf([note]), [columnOf({ profile: count })], styles).score).toBe(-Infinity)
  })
  test('knows price steps and days by their headings', () => {
    const price = fieldOf('price', 'money')
    const steps = (...texts: string[]) =>
      guessKind(
        kindOf([price, fieldOf('tiers', 'tiers')], { name: 'offers' }),
        texts.map((text) => columnOf({ text, profile: amount })),
        styles,
      )
    expect(steps('10+').columns[0]).toEqual({ use: { as: 'tier', from: 10 }, surety: 'sure' })
    expect(steps('10+', '50+').score).toBe(8 + 2 * 0.5 + 0.5)
    expect(steps('1+', '10+', '50+').score).toBe(8 + 3 * 0.5 + 0.5)
    expect(steps('10+', '50+').missing).toEqual([])
    const dated = (some: Partial<ColumnProfile>, many = 2) =>
      guessKind(
        kindOf([fieldOf('day', 'day', { required: true })], { name: 'sales' }),
        Array.from({ length: many }, (_, i) => columnOf({ text: `${2001 + i}-05-01`, profile: some })),
        styles,
      )
    expect(dated(count).columns[1]?.use).toEqual({ as: 'day', day: Date.parse('2002-05-01') / 864e5 })
    expect(dated(count)).toMatchObject({ score: 8 + 2 * 0.5 + 0.5, missing: [] })
    expect(dated(count, 1).score).toBe(1.5)
    expect(dated(count, 25).score).toBe(8 + 20 * 0.5 + 0.5)
    expect(dated({ filled: 0 }).score).toBe(9.5)
    expect(dated({ numeric: 0.8 }).columns[0]?.use).toEqual({ as: 'unused' })
  })
  test('takes what the seller said of a column, which decides the column but not the kind', () => {
    const learned = {
      columns: [
        {
          kind: 'feedback' as const,
          heading: 'zip',
          shown: 'Zip',
          holds: 'nothing' as const,
          use: { as: 'field' as const, field: 'note' },
        },
      ],
      files: {},
    }
    const both = [columnOf({ text: 'Zip', profile: {} }), named('feedback', 'note')]
    const guess = guessKind(kindOf([note]), both, { ...styles, learned })
    expect(guess.columns.map((c) => [c.use.as, c.surety])).toEqual([
      ['field', 'said'],
      ['unused', 'none'],
    ])
    expect(guessKind(kindOf([note]), both, styles).columns.map((c) => c.use.as)).toEqual(['unused', 'field'])
    // though nothing else speaks for it, it is what was said, and worth nothing beyond that
    const figures = [columnOf({ text: 'Zip', profile: count }), named('feedback', 'note')]
    const lone = guessKind(kindOf([note]), figures, { ...styles, learned })
    expect(lone.columns[0]?.surety).toBe('said')
    expect(lone.score).toBeCloseTo(-little - some, 9)
    // all that is said is owed back: the score is of the column that nobody knows, and of the one that is for nothing now
    expect(guess.score).toBeLessThan(base)
  })
  test('names what it lives on and lacks, with the column that looks most like it', () => {
    const lives = { price: 1, units: 1 } as unknown as RecordKind['lives']
    const kind = kindOf([note, fieldOf('price', 'money'), fieldOf('units', 'count')], { lives })
    const spare = (fit: number) =>
      columnOf({ profile: { numeric: 1, cents: 0.9 }, fits: { 'feedback.price': 0.3, 'listings.title': fit } })
    expect(guessKind(kind, [found, spare(0.51), columnOf()], styles).leftOut).toEqual([
      { field: 'price', column: 1 },
      { field: 'units', column: null },
    ])
    expect(guessKind(kind, [spare(0.51), found], styles).leftOut[0]).toEqual({ field: 'price', column: 0 })
  })
})
