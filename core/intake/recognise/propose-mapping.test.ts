import { dayOfIso } from '../../identity'
import type { Cell } from '../../notation'
import type { OpenedFile } from '../open/opened-file'
import { proposeMapping } from './propose-mapping'
import { Recogniser } from './guess-columns'

const recogniser = new Recogniser()
const noon = Date.UTC(2026, 5, 10, 12)
const today = dayOfIso('2026-06-10') as number

interface Some {
  headings: string[]
  rows: Cell[][]
  notes?: string[]
  now?: number
}
function propose({ headings, rows, notes = [], now = noon }: Some) {
  const file = {
    ...{ name: 'x.csv', format: 'delimited', encoding: 'utf-8', delimiter: ',', sheet: null, sheets: [] },
    ...{ notes, headings, sample: rows.map((cells, i) => ({ row: i + 2, cells })) },
  } as unknown as OpenedFile
  return proposeMapping(file, now, { recogniser })
}

const goods = ['Bell brass', 'Lead red', 'Mat blue', 'Clock oak', 'Train wood', 'Knife oak', 'Cup tin', 'Box pine']
const listings = (headings: string[], more: (i: number) => Cell[] = () => []): Some => ({
  headings: ['Item ID', 'Title', ...headings],
  rows: goods.map((title, i) => [`A${i}`, title, ...more(i)]),
})
const prices = (i: number): Cell[] => [`${3 + i}.50`]

describe('the day a file was made', () => {
  const made = (some: Partial<Some> & { headings?: string[] }) => {
    const { mapping, reasons } = propose({ ...listings(['Price'], prices), ...some })
    return [mapping.capturedOn, reasons.capturedOn]
  }

  test('is said above the table, or by a column that is the same on every row, or it is today', () => {
    expect(made({})).toEqual([today, 'the day it was brought in'])
    expect(made({ notes: ['Stand: 31.05.2026'] })).toEqual([dayOfIso('2026-05-31'), 'the file says: Stand: 31.05.2026'])
    for (const heading of ['Captured', 'Exported on', 'As of', 'Snapshot date', 'Retrieved at'])
      expect(made(listings(['Price', heading], (i) => [...prices(i), '2026-05-30']))).toEqual([
        dayOfIso('2026-05-30'),
        `the column '${heading}'`,
      ])
    // a column of several days says it of each row, not of the file; an empty one says nothing
    expect(made(listings(['Price', 'Captured'], (i) => [...prices(i), `2026-05-3${i % 2}`]))[0]).toBe(today)
    expect(made(listings(['Price', 'Captured'], (i) => [...prices(i), '']))[0]).toBe(today)
    expect(made(listings(['Price', 'Recaptured'], (i) => [...prices(i), '2026-05-30']))[0]).toBe(today)
  })

  test('is what stands above before what a column says, and never later than today', () => {
    const both = listings(['Price', 'Captured'], (i) => [...prices(i), '2026-05-30'])
    expect(made({ ...both, notes: ['31.05.2026'] })[0]).toBe(dayOfIso('2026-05-31'))
    expect(made({ notes: ['31.05.2027'] })[0]).toBe(today)
  })

  const sales = (day: (i: number) => Cell): Some => ({
    headings: ['Listing ID', 'Date', 'Units sold'],
    rows: goods.map((_, i) => [`A${i}`, day(i), i + 1]),
  })

  test('is the newest that is not to come, where rows belong to days', () => {
    const { mapping, reasons } = propose(sales((i) => `2026-05-1${(i * 3) % 8}`))
    expect([mapping.kind, mapping.capturedOn, reasons.capturedOn]).toEqual([
      'sales',
      dayOfIso('2026-05-17'),
      'the last day in the file',
    ])
    expect(mapping.latestDay).toBe(today + 1)
    expect(made(sales((i) => (i === 0 ? '2027-01-01' : '2026-05-11')))[0]).toBe(dayOfIso('2026-05-11'))
    expect(made(sales((i) => (i === 0 ? '2026-06-10' : '2026-05-11')))[0]).toBe(today)
    expect(made(sales(() => '2027-01-01'))).toEqual([today, 'the day it was brought in'])
  })

  test('is the last of the days that stand across a wide file', () => {
    const wide: Some = {
      headings: ['Listing ID', '2026-05-03', '2026-05-09', '2026-05-06', '2027-05-06'],
      rows: goods.map((_, i) => [`A${i}`, i, i + 1, 2, 0]),
    }
    const { mapping, reasons } = propose(wide)
    expect([mapping.kind, mapping.capturedOn, reasons.capturedOn]).toEqual([
      'sales',
      dayOfIso('2026-05-09'),
      'the last day in the file',
    ])
  })
})

describe('the window of counts', () => {
  const window = (some: Partial<Some>) => {
    const { mapping, reasons } = propose({
      ...listings(['Price', 'Units sold'], (i) => [...prices(i), i + 1]),
      ...some,
    })
    return [mapping.windowDays, reasons.window]
  }

  test('is what the heading of units or revenue says, else the period above the table, else thirty days', () => {
    expect(window({})).toEqual([30, 'assumed: the file does not say'])
    expect(window({ notes: ['Period: 1 May 2026 to 14 May 2026'] })).toEqual([14, 'the period in the file'])
    const said = listings(['Price', 'Units (last 7 days)'], (i) => [...prices(i), i + 1])
    expect(window(said)).toEqual([7, "the heading 'Units (last 7 days)'"])
    expect(window({ ...said, notes: ['Period: 1 May 2026 to 14 May 2026'] })[0]).toBe(7)
    const revenue = listings(['Price', 'Revenue 90 days'], (i) => [...prices(i), `${(i + 1) * 30}.00`])
    expect(window(revenue)).toEqual([90, "the heading 'Revenue 90 days'"])
  })

  test('is not what a heading of something else says', () => {
    expect(window(listings(['Price', 'Reviews 7 days'], (i) => [...prices(i), i]))[0]).toBe(30)
  })
})

describe('the currency', () => {
  const currency = (some: Partial<Some>) => {
    const { mapping, reasons, questions } = propose({ ...listings(['Price'], prices), ...some })
    const likely = questions.find((q) => q.about === 'currency')?.options[0]?.value ?? null
    return [mapping.currency, reasons.currency, likely]
  }

  test('of the heading of the price goes before that of another heading', () => {
    const two = listings(['Shipping (GBP)', 'Price (EUR)'], (i) => ['2.50', ...prices(i)])
    expect(currency(two)).toEqual(['EUR', 'a heading: Price (EUR)', null])
    const other = listings(['Shipping (GBP)', 'Price'], (i) => ['2.50', ...prices(i)])
    expect(currency(other)).toEqual(['GBP', 'a heading: Shipping (GBP)', null])
  })

  test('is said above the table, or by the amounts', () => {
    expect(currency({ notes: ['All amounts in EUR'] })).toEqual([
      'EUR',
      'the lines above the table: All amounts in EUR',
      null,
    ])
    expect(currency(listings(['Price'], (i) => [`${3 + i},50 €`]))).toEqual(['EUR', 'the amounts: 3,50 €', null])
  })

  test('is asked about where a sign has several, the likeliest first, or nothing says it', () => {
    const [sure, why, likely] = currency(listings(['Price'], (i) => [`$${3 + i}.50`]))
    expect([sure, why, likely]).toEqual([null, 'the amounts: $3.50', 'USD'])
    expect(currency({})).toEqual([null, 'not said in the file', 'EUR'])
  })

  test('is not read from long texts, from words, nor from rows after the fiftieth', () => {
    expect(
      currency(listings(['Price', 'Note'], (i) => [...prices(i), 'costs about 5 € more than it did']))[0],
    ).toBeNull()
    expect(currency(listings(['Price', 'Note'], (i) => [...prices(i), 'in EUR']))[0]).toBeNull()
    const many = (at: number): Some => ({
      headings: ['Item ID', 'Title', 'Price'],
      rows: Array.from({ length: 60 }, (_, i) => [`A${i}`, `${goods[i % 8]} ${i}`, i === at ? '3.50 €' : '4.50']),
    })
    expect([currency(many(49))[0], currency(many(50))[0]]).toEqual(['EUR', null])
  })
})

const usesOf = ({ mapping }: ReturnType<typeof propose>) =>
  mapping.columns.map((c) => (c.as === 'field' ? c.field : c.as))

test('an amount whose heading names another currency is left aside, and told of', () => {
  const found = propose(listings(['Price (EUR)', 'Shipping (USD)'], (i) => [...prices(i), '2.50']))
  expect(usesOf(found)).toEqual(['id', 'title', 'price', 'unused'])
  expect(found.leftAside).toEqual([
    "'Shipping (USD)' is in USD, the other amounts in EUR: it is left aside, as a row has one currency.",
  ])
  const one = propose(listings(['Price (EUR)', 'Shipping (EUR)'], (i) => [...prices(i), '2.50']))
  expect([usesOf(one), one.leftAside]).toEqual([['id', 'title', 'price', 'delivery'], []])
})

test('what a thing costs is not what it is sold for, nor is its price a revenue', () => {
  const both = ['Price', 'Cost'].map((name) => [name, name === 'Price' ? prices : (i: number) => [`1.${i}5`]] as const)
  for (const order of [both, both.toReversed()]) {
    const cells = (i: number) => [...order.flatMap(([, of]) => of(i)), '2.50']
    const uses = usesOf(propose(listings([...order.map(([name]) => name), 'Shipping'], cells)))
    expect(uses.slice(2)).toEqual([...order.map(([name]) => (name === 'Price' ? 'price' : 'unused')), 'delivery'])
  }
})

test('styles are judged by rows spread over the whole sample, so that a long beginning does not decide', () => {
  // the first three quarters could be read either way; the last tell that the day comes first
  const rows = (n: number): Cell[][] =>
    Array.from({ length: n }, (_, i) => [
      `A${i}`,
      i < 0.75 * n ? `0${1 + (i % 9)}/05/2026` : `2${i % 9}/05/2026`,
      i % 5,
    ])
  expect(propose({ headings: ['Listing ID', 'Date', 'Units'], rows: rows(1000) }).mapping.order).toBe('dmy')
  const turned = rows(1000).map(([id, day, n]) => [id, String(day).replace(/^(\d\d)\/(\d\d)/, '$2/$1'), n] as Cell[])
  expect(propose({ headings: ['Listing ID', 'Date', 'Units'], rows: turned }).mapping.order).toBe('mdy')
})
