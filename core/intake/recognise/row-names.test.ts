import type { KindName, RecordKind } from '../../records'
import type { ColumnUse, SeenColumn } from './guess'
import { rowNames } from './row-names'

type Cells = readonly (string | number)[]
/** What is said for a kind of these keys by columns that were taken for these fields. */
function said(name: KindName, keys: string[], columns: Record<string, Cells>, more: ColumnUse[] = []): number {
  const seen = [...Object.values(columns), ...more.map(() => [])].map((cells) => ({ cells })) as unknown as SeenColumn[]
  const uses = Object.keys(columns).map((field): ColumnUse => ({ as: 'field', field }))
  return rowNames({ name, keys } as unknown as RecordKind, seen, [...uses, ...more])
}
/** A hundred cells of which so many differ. */
const differ = (many: number): Cells => Array.from({ length: 100 }, (_, i) => `c${i % many}`)
const day: ColumnUse = { as: 'day', day: 1 }

test('six rows tell something, five do not, nor does a column that names nothing', () => {
  expect(said('listings', ['id'], { id: differ(100).slice(0, 6) })).toBe(1.6)
  expect(said('listings', ['id'], { id: differ(100).slice(0, 5) })).toBe(0)
  expect(said('listings', ['id'], { title: differ(100) })).toBe(0)
})

test('a listing, an offer and a line of a catalogue stand once, under titles of their own', () => {
  expect(said('listings', ['id'], { id: differ(98) })).toBe(1.6)
  expect(said('listings', ['id'], { id: differ(97) })).toBe(0)
  expect(said('listings', ['id'], { id: differ(86) })).toBe(0)
  expect(said('listings', ['id'], { id: differ(85) })).toBe(-3)
  for (const name of ['listings', 'catalogue', 'offers'] as const) {
    expect(said(name, ['id'], { id: differ(98), title: differ(59) })).toBe(-1.5)
    expect(said(name, ['id'], { id: differ(98), title: differ(60) })).toBe(1.6)
    expect(said(name, ['id'], { id: differ(97), title: differ(59) })).toBe(0)
  }
  expect(said('stores', ['id'], { id: differ(98), title: differ(59) })).toBe(1.6)
})

test('an order may have several lines, a list of what is restricted names things again; an offer stands once a price', () => {
  expect(said('orders', ['order'], { order: differ(50) })).toBe(-1)
  expect(said('restricted', ['what'], { what: differ(50) })).toBe(0)
  expect(said('offers', ['id'], { id: differ(50) })).toBe(-3)
  expect(said('offers', ['id'], { id: differ(50), tierFrom: differ(3) })).toBe(0)
  expect(said('offers', ['id'], { id: differ(50), price: differ(3) })).toBe(-3)
})

test('a sale names its listing day after day, or once where every day has a column', () => {
  const keys = ['id', 'day']
  expect(said('sales', keys, { id: differ(91) }, [day])).toBe(1.5)
  expect(said('sales', keys, { id: differ(90) }, [day])).toBe(0)
  expect(said('sales', keys, { id: differ(98) })).toBe(-1)
  expect(said('sales', keys, { id: differ(97) })).toBe(0.3)
  expect(said('terms', keys, { id: differ(98) })).toBe(0.3)
})

test('two keys name a row together; the first alone comes again', () => {
  const keys = ['id', 'day']
  const numbers = (many: number) => Array.from({ length: 100 }, (_, i) => Math.floor(i / many))
  // ten listings over ten days are a hundred rows
  expect(said('sales', keys, { id: differ(10), day: numbers(10) })).toBeCloseTo(0.8 + 1.5, 9)
  // a day lost: 95 of 100 differ together
  const lost = Array.from({ length: 100 }, (_, i) => (i < 95 ? Math.floor(i / 10) : Math.floor((i - 10) / 10)))
  expect(said('sales', keys, { id: differ(10), day: lost })).toBe(1.5)
  expect(said('sales', keys, { id: differ(98), day: numbers(10) })).toBeCloseTo(0.8 - 2.5, 9)
  expect(said('sales', keys, { id: differ(97), day: numbers(10) })).toBeCloseTo(0.8, 9)
  expect(said('sales', keys, { id: differ(80), day: numbers(10) })).toBeCloseTo(0.8, 9)
  expect(said('sales', keys, { id: differ(79), day: numbers(10) })).toBeCloseTo(0.8 + 1.5, 9)
  for (const name of ['feedback', 'terms'] as const) {
    expect(said(name, keys, { id: differ(91), day: Array(100).fill(1) })).toBe(0.5)
    expect(said(name, keys, { id: differ(90), day: Array(100).fill(1) })).toBe(0)
  }
})
