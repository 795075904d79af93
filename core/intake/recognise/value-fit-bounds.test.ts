import { field as named } from '../../records/field'
import type { Field } from '../../records'
import type { ColumnProfile } from './column-profile'
import { blank } from './test-profile'
import { valueFit } from './value-fit'

const never = -Infinity
type Row = [Partial<ColumnProfile>, number]

/** What a field of a type is given for a column as it starts, and then for each change of it: at a bound, and beyond. */
function bounds(type: Field['type'], start: Partial<ColumnProfile>, rows: Row[], some: Partial<Field> = {}) {
  const field = named({ name: 'other', label: '', type, headings: {}, help: '', ...some })
  test.each(rows)(`${some.name ?? type}: %j`, (changes, wanted) => {
    const fit = valueFit({ ...blank, ...start, ...changes }, field)
    if (wanted === never) expect(fit).toBe(never)
    else expect(fit).toBeCloseTo(wanted, 9)
  })
}

// The bounds and odds are our own, as value-fit.ts says: what such columns hold in practice. Each is met here from both sides.
bounds('money', { numeric: 1 }, [
  [{}, 0.3],
  [{ numeric: 0.6 }, 0.3],
  [{ numeric: 0.59 }, never],
  [{ high: 1e7 }, 0.3],
  [{ high: 1e7 + 1 }, never],
  [{ percentSign: 0.3 }, 0.3],
  [{ percentSign: 0.31 }, never],
  [{ gtin: 0.7 }, 0.3],
  [{ gtin: 0.71 }, -3],
  [{ day: 0.8 }, 0.3],
  [{ day: 0.81 }, -3],
  [{ cents: 0.5 }, 0.9],
  [{ currencySign: 0.5 }, 0.9],
  [{ negative: 0.3 }, 0.3],
  [{ negative: 0.31 }, -1.7],
  [{ whole: 0.97 }, 0.3],
  [{ whole: 0.98 }, -0.3],
])
bounds('count', { numeric: 1, whole: 1 }, [
  [{}, 0.5],
  [{ numeric: 0.6 }, 0.5],
  [{ numeric: 0.59 }, never],
  [{ whole: 0.9 }, 0.5],
  [{ whole: 0.89 }, never],
  [{ negative: 0.1 }, 0.5],
  [{ negative: 0.11 }, never],
  [{ percentSign: 0.1 }, 0.5],
  [{ percentSign: 0.11 }, never],
  [{ gtin: 0.7 }, 0.5],
  [{ gtin: 0.71 }, -4],
  [{ currencySign: 0.3 }, 0.5],
  [{ currencySign: 0.31 }, -4],
  // days as numbers: as many digits as a day has, and so many of them
  [{ serialDay: 0.99, high: 1e7 + 1 }, -0.5],
  [{ serialDay: 0.98, high: 1e7 + 1 }, 0.5],
  [{ serialDay: 0.99, high: 1e7 }, 0.5],
  [{ serialDay: 0.99, high: 1e8 }, 0.5],
  [{ day: 0.9, serialDay: 0.96 }, -0.5],
  [{ day: 0.9, serialDay: 0.95 }, 0.5],
  [{ cents: 0.5 }, 0.5],
  [{ cents: 0.51 }, -1],
  [{ median: 1e9 }, 0.5],
])
bounds('count', { numeric: 1, whole: 1, day: 0.9, serialDay: 0.96 }, [[{}, 0]], { name: 'rank' })
bounds(
  'count',
  { numeric: 1, whole: 1 },
  [
    [{ median: 400 }, 0.5],
    [{ median: 401 }, -1.5],
  ],
  { name: 'durationDays' },
)
bounds(
  'count',
  { numeric: 1, whole: 1 },
  [
    [{ median: 23 }, 0.5],
    [{ median: 24 }, -1.5],
  ],
  { name: 'endHour' },
)
bounds(
  'count',
  { numeric: 1, whole: 1 },
  [
    [{ median: 2e4 }, 0.5],
    [{ median: 20_001 }, -1.5],
  ],
  { name: 'minOrder' },
)
bounds(
  'count',
  { numeric: 1, whole: 1 },
  [
    [{ median: 1e5 }, 0.5],
    [{ median: 100_001 }, -1.5],
  ],
  { name: 'tierFrom' },
)
bounds('ratio', { numeric: 1 }, [
  [{}, 1],
  [{ numeric: 0.6 }, 1],
  [{ numeric: 0.59 }, never],
  [{ currencySign: 0.3 }, 1],
  [{ currencySign: 0.31 }, -4],
  [{ gtin: 0.7 }, 1],
  [{ gtin: 0.71 }, -4],
  [{ percentSign: 0.5 }, 1],
  [{ percentSign: 0.51 }, 3],
  [{ high: 2000 }, 0],
  [{ high: 2001 }, -3],
  [{ min: -2000 }, 0],
  [{ min: -2001 }, -3],
  [{ min: -1, high: 1.0001 }, 1],
  [{ min: -1.01 }, 0],
  [{ high: 1.001 }, 0],
  [{ whole: 0.89 }, 1],
  [{ whole: 0.9 }, 0],
])
bounds('rating', { numeric: 1, min: 1, high: 4 }, [
  [{}, 2],
  [{ numeric: 0.6 }, 2],
  [{ numeric: 0.59 }, never],
  [{ min: -0.1 }, never],
  [{ min: 0 }, 1.2],
  [{ min: 0.9 }, 1.2],
  [{ high: 5 }, 2],
  [{ high: 5.0001 }, 1.2],
  [{ high: 5.001 }, never],
  [{ high: 1 }, 0.3],
  [{ high: 1, whole: 1 }, -0.5],
  [{ whole: 0.9 }, 1.2],
  [{ currencySign: 0.5 }, 0.5],
])
bounds('day', {}, [
  [{ day: 0.6 }, 3.2],
  [{ day: 0.59 }, never],
  [{ numeric: 1, serialDay: 0.96 }, 0.6],
  [{ numeric: 1, serialDay: 0.95 }, never],
  [{ numeric: 0.91, serialDay: 0.96 }, 0.6],
  [{ numeric: 0.9, serialDay: 0.96 }, never],
])
bounds('gtin', {}, [
  [{ gtin: 0.61 }, 4.5],
  [{ gtin: 0.6 }, 1],
  [{ gtin: 0.21 }, 1],
  [{ gtin: 0.2 }, never],
])
bounds('currency', {}, [
  [{ currencyCode: 0.81 }, 4.5],
  [{ currencyCode: 0.8 }, never],
  [{ currencySign: 0.51, length: 3 }, 2],
  [{ currencySign: 0.5, length: 3 }, never],
  [{ currencySign: 0.51, length: 3.1 }, never],
])
bounds('lead', {}, [
  [{ numeric: 1, whole: 1, high: 120 }, 0.4],
  [{ numeric: 1, whole: 1, high: 121 }, -4],
  [{ numeric: 1, whole: 0.91 }, 0.4],
  [{ numeric: 1, whole: 0.9 }, -4],
  [{ numeric: 1, whole: 1, min: -1 }, -4],
  [{ numeric: 0.91, whole: 1 }, 0.4],
  [{ numeric: 0.9, whole: 1 }, never],
  [{ lead: 0.61 }, 2.4],
  [{ lead: 0.6 }, never],
  [{ lead: 0.61, day: 0.29 }, 2.4],
  [{ lead: 0.61, day: 0.3 }, never],
])
bounds('weight', {}, [
  [{ numeric: 0.61 }, 0.2],
  [{ numeric: 0.61, min: -1 }, never],
  [{ numeric: 0.6, min: -1 }, 0.3],
  [{ words: 2.9 }, 0.3],
  [{ words: 3 }, never],
])
bounds('size', {}, [
  [{ numeric: 0.8, words: 9 }, 0.2],
  [{ numeric: 0.81 }, never],
  [{ words: 9.1 }, never],
])
bounds('list', {}, [
  [{}, 0],
  [{ length: 8 }, 0],
  [{ length: 8.1 }, 0.3],
  [{ words: 8, length: 9 }, 0.3],
  [{ words: 8.1, length: 9 }, -1],
  [{ numeric: 0.6 }, 0],
  [{ numeric: 0.61 }, never],
  [{ day: 0.6 }, 0],
  [{ day: 0.61 }, never],
])
bounds('path', {}, [
  [{}, 0.2],
  [{ numeric: 0.61 }, never],
  [{ address: 0.2 }, 0.2],
  [{ address: 0.21 }, never],
  [{ path: 0.5 }, 0.2],
  [{ path: 0.51 }, 2.2],
  [{ distinct: 0.91, filled: 21 }, -1],
  [{ distinct: 0.9, filled: 21 }, 0.2],
  [{ distinct: 0.91, filled: 20 }, 0.2],
])
bounds('tiers', {}, [
  [{ tiers: 0.61 }, 5],
  [{ tiers: 0.6 }, never],
])
bounds('id', { code: 1 }, [
  [{}, 1.3],
  [{ code: 0.81 }, 1.3],
  [{ code: 0.8 }, 0.4],
  [{ code: 0.41 }, 0.4],
  [{ code: 0.4 }, -0.6],
  [{ day: 0.8 }, 1.3],
  [{ day: 0.81 }, never],
  [{ address: 0.3 }, 1.3],
  [{ address: 0.31 }, never],
  [{ percentSign: 0.3 }, 1.3],
  [{ percentSign: 0.31 }, never],
  [{ currencySign: 0.5 }, 1.3],
  [{ currencySign: 0.51 }, never],
  [{ length: 40 }, 1.3],
  [{ length: 41 }, -3.5],
  [{ words: 2.2 }, 1.3],
  [{ words: 2.3 }, -3.5],
  [{ numeric: 1, whole: 0.95 }, 1.3],
  [{ numeric: 1, whole: 0.94 }, -3.5],
  [{ numeric: 0.9, whole: 0 }, 1.3],
  [{ gtin: 0.8 }, 1.3],
  [{ gtin: 0.81 }, -1.5],
  [{ gtin: 0.81, filled: 5 }, -1.5],
  [{ gtin: 0.81, filled: 4 }, 1.3],
])
bounds('text', {}, [
  [{}, 0],
  [{ numeric: 0.8 }, 0],
  [{ numeric: 0.81 }, -5],
  [{ day: 0.8 }, 0],
  [{ day: 0.81 }, -5],
  [{ currencyCode: 0.9 }, 0],
  [{ currencyCode: 0.91 }, -4],
  [{ gtin: 0.6 }, 0],
  [{ gtin: 0.61 }, -4],
])
bounds(
  'text',
  {},
  [
    [{ language: 0.71 }, 2.5],
    [{ language: 0.7 }, -1.5],
  ],
  { values: 'languages' },
)
bounds(
  'text',
  {},
  [
    [{ listed: { yesNo: 1 } }, 3.4],
    [{ listed: { yesNo: 0.5 } }, 1.2],
    [{ listed: { verdicts: 1 } }, -1.6],
    [{ distinct: 0.61, filled: 9 }, -3.6],
    [{ distinct: 0.6, filled: 9 }, -1.6],
    [{ distinct: 0.61, filled: 8 }, -1.6],
  ],
  { values: 'yesNo' },
)
const text = (name: string, start: Partial<ColumnProfile>, rows: Row[]) => bounds('text', start, rows, { name })
text('title', { words: 3 }, [
  [{}, 1.2],
  [{ address: 0.2 }, 1.2],
  [{ address: 0.21 }, -5],
  [{ handle: 0.3 }, 1.2],
  [{ handle: 0.31 }, -5],
  [{ words: 2.2 }, 1.2],
  [{ words: 2.1 }, 0],
  [{ words: 24.9 }, 1.2],
  [{ words: 25 }, 0],
  [{ words: 1.3 }, 0],
  [{ words: 1.2 }, -1.2],
  [{ sentence: 1 }, -0.3],
  [{ lower: 0.95 }, 1.2],
  [{ lower: 0.96 }, 0.3],
  [{ lower: 0.96, words: 6 }, 1.2],
  [{ listed: { signs: 0.81 } }, -0.8],
  [{ listed: { signs: 0.8 } }, 1.2],
  [{ listed: { signs: 0.81 }, filled: 4 }, -0.8],
  [{ listed: { signs: 0.81 }, filled: 3 }, 1.2],
])
text('words', { words: 3 }, [
  [{}, 0],
  [{ address: 0.2 }, 0],
  [{ address: 0.21 }, -5],
  [{ words: 4 }, 2],
  [{ words: 2 }, 0],
  [{ words: 1.9 }, -2.5],
  [{ sentence: 0.5 }, 0.6],
])
text('note', {}, [
  [{ words: 2.5 }, 0.8],
  [{ words: 2.4 }, 0],
  [{ address: 0.2 }, 0],
  [{ address: 0.21 }, -5],
  [{ sentence: 0.5 }, 0.4],
])
text('category', {}, [[{ sentence: 0.5 }, -1]])
text('term', { lower: 0.5, words: 2 }, [
  [{}, 0],
  [{ address: 0.2 }, 0],
  [{ address: 0.21 }, -4],
  [{ path: 0.5 }, 0],
  [{ path: 0.51 }, -4],
  [{ words: 9 }, 0],
  [{ words: 9.1 }, -2],
  [{ lower: 0.91 }, 1.2],
  [{ lower: 0.9 }, 0],
  [{ lower: 0.91, words: 1.3 }, 0],
  [{ lower: 0.3 }, 0],
  [{ lower: 0.29 }, -1],
  [{ code: 0.5 }, -0.5],
])
text('what', {}, [
  [{ address: 0.2 }, 0],
  [{ address: 0.21 }, -4],
  [{ listed: { goods: 1 } }, -2],
])
for (const name of ['store', 'supplier', 'advertiser'])
  text(name, {}, [
    [{}, 0.3],
    [{ address: 0.2 }, 0.3],
    [{ address: 0.21 }, -5],
    [{ percentSign: 0.2 }, 0.3],
    [{ percentSign: 0.21 }, -5],
    [{ words: 3.2 }, 0.3],
    [{ words: 3.3 }, -0.6],
    [{ words: 5 }, -0.6],
    [{ words: 5.1 }, -2.5],
    [{ sentence: 0.5 }, -0.7],
    [{ lead: 0.6 }, 0.3],
    [{ lead: 0.61 }, -2.7],
    [{ code: 0.7 }, 0.3],
    [{ code: 0.71 }, -0.5],
    [{ country: 0.8 }, 0.3],
    [{ country: 0.81 }, -1.7],
    [{ path: 0.6 }, 0.3],
    [{ path: 0.61 }, -1.2],
    [{ listed: { sorts: 1 } }, -1.7],
  ])
text('creator', {}, [
  [{ handle: 0.51 }, 3.5],
  [{ handle: 0.5 }, 0.3],
])
text('brand', {}, [
  [{ words: 2.1 }, 0.6],
  [{ words: 2.2 }, -0.2],
])
text('market', { distinct: 0.51, filled: 9 }, [
  [{}, -1.7],
  [{ distinct: 0.5 }, 0.3],
  [{ filled: 8 }, 0.3],
])
text('channel', { distinct: 0.61, filled: 9 }, [
  [{}, -1.7],
  [{ distinct: 0.6 }, 0.3],
  [{ filled: 8 }, 0.3],
])
text('promotion', { distinct: 0.61, filled: 9 }, [
  [{}, -2],
  [{ distinct: 0.6 }, 0],
  [{ filled: 8 }, 0],
])
text('country', {}, [
  [{ country: 0.71 }, 3.2],
  [{ country: 0.7 }, -4],
])
text('shipsFrom', {}, [
  [{ country: 0.71 }, 3.2],
  [{ country: 0.7 }, -1],
  [{ words: 3 }, -1],
  [{ words: 3.1 }, -4],
])
text('region', {}, [
  [{ country: 0.71 }, 1],
  [{ country: 0.7 }, 0.3],
])
text('picture', {}, [
  [{ pictureAddress: 0.51 }, 4.4],
  [{ pictureAddress: 0.5 }, -3],
  [{ address: 0.51 }, 0.5],
  [{ address: 0.5 }, -3],
])
text('url', {}, [
  [{ pictureAddress: 0.51, address: 1 }, -3],
  [{ pictureAddress: 0.5, address: 0.51 }, 3],
  [{ address: 0.5 }, -5],
])
text('landing', {}, [
  [{ pictureAddress: 0.51, address: 1 }, -3],
  [{ pictureAddress: 0.5, address: 0.51 }, 2.8],
  [{ address: 0.5 }, -5],
])

test('no column says more than 5 for a field, nor less than −6 against it', () => {
  const field = named({ name: 'title', label: '', type: 'text', headings: {}, help: '' })
  expect(valueFit({ ...blank, numeric: 1, address: 1 }, field)).toBe(-6)
  const tiers = named({ name: 'words', label: '', type: 'tiers', headings: {}, help: '' })
  expect(valueFit({ ...blank, tiers: 1, words: 9, sentence: 1 }, tiers)).toBe(5)
})
