import {
  askStores,
  emptyStoreQuery,
  meets,
  namesNotFound,
  pastedNames,
  usualCriteria,
  type StoreQuery,
} from './store-query'
import { checkStoreCut, readStoreCut, shippedStoreCuts, storeCutFile, storeCutsNow } from './store-cuts'
import type { StoreList } from './store-list'

const facet = (...words: (string | null)[]) => {
  const all = [...new Set(words.filter((w) => w !== null))]
  return { codes: Int32Array.from(words, (w) => (w === null ? -1 : all.indexOf(w))), words: all }
}
const list: StoreList = {
  count: 4,
  markets: ['Marrowgate', 'Gavelhop', 'Marrowgate', 'Marrowgate'],
  names: ['Wren & Co', 'Tern Trowel', 'Old Wren', 'Sill'],
  age: Float64Array.of(36, 12, 37, NaN),
  figures: { unitsTotal: Float64Array.of(10_000, 12_000, 50_000, 90_000), units: Float64Array.of(5, NaN, 9, 5) },
  from: {},
  facets: {
    markets: facet('Marrowgate', 'Gavelhop', 'Marrowgate', 'Marrowgate'),
    countries: facet('IE', 'IE', 'NL', null),
    categories: facet('Garden / Birds', 'Garden / Pots', 'Garden / Birds', null),
    kinds: facet('physical', 'physical', 'printed', 'physical'),
    sizes: facet('one', '2 to 20', '2 to 20', null),
  },
}
const find = (some: Partial<StoreQuery>, selling: number[] | null = null) => [
  ...askStores(list, { ...emptyStoreQuery, ...some }, selling).found,
]

test('the criteria count their own ends, and a store of unknown age does not meet them', () => {
  expect([0, 1, 2, 3].map((s) => meets(list, s, usualCriteria))).toEqual([true, true, false, false])
  expect(find({ meetsOnly: true })).toEqual([1, 0])
})

test('in order of a figure, unknown last whichever way, alike as they came; or by name', () => {
  expect(find({})).toEqual([3, 2, 1, 0])
  expect(find({ sort: { by: 'units', descending: true } })).toEqual([2, 0, 3, 1])
  expect(find({ sort: { by: 'units', descending: false } })).toEqual([0, 3, 2, 1])
  expect(find({ sort: { by: 'age', descending: false } })).toEqual([1, 0, 2, 3])
  expect(find({ sort: { by: 'name', descending: false } })).toEqual([2, 3, 1, 0])
  expect(find({ sort: { by: 'name', descending: true } })).toEqual([0, 1, 3, 2])
  expect(() => find({ sort: { by: 'luck', descending: true } })).toThrow(RangeError)
  expect(() => find({ limits: { luck: [1, 2] } })).toThrow(RangeError)
})

test('by every word of the name, and by names that were pasted, whatever their case and spaces', () => {
  expect(find({ words: ' WREN' })).toEqual([2, 0])
  expect(find({ words: 'wren co' })).toEqual([0])
  expect(find({ names: ['old  wren', 'SILL', 'Nobody'] })).toEqual([3, 2])
  expect(namesNotFound(list, ['old wren', 'Nobody'])).toEqual(['Nobody'])
})

test('spans count both ends and leave out what is not known; brushed twice is both', () => {
  expect(find({ limits: { age: [12, 36] } })).toEqual([1, 0])
  expect(find({ limits: { age: [null, 36], unitsTotal: [12_000, null] } })).toEqual([1])
  expect(find({ limits: { units: [null, null] } })).toEqual([3, 2, 0])
})

test('facets hold together with all else, and count what each value would leave', () => {
  expect(find({ markets: ['Gavelhop'] })).toEqual([1])
  expect(find({ categories: ['Garden'] })).toEqual([2, 1, 0])
  expect(find({ categories: ['Garden / Birds'], countries: ['IE'] })).toEqual([0])
  expect(find({ countries: ['IE', 'NL'] })).toEqual([2, 1, 0])
  const { facets } = askStores(list, { ...emptyStoreQuery, countries: ['IE'] })
  const counts = (of: keyof typeof facets) => Object.fromEntries(facets[of].map((f) => [f.value, f.count]))
  // its own facet counts what would be there if another were chosen; the others what is there
  expect(counts('countries')).toEqual({ IE: 2, NL: 1 })
  expect(counts('kinds')).toEqual({ physical: 2, printed: 0 })
  expect(counts('categories')).toEqual({ Garden: 2, 'Garden / Birds': 1, 'Garden / Pots': 1 })
})

test('only stores that sell what is looked for pass, those that list most of it first', () => {
  expect(find({ sort: { by: 'selling', descending: true } }, [2, 0, 7, 0])).toEqual([2, 0])
  expect(find({ sort: { by: 'selling', descending: true } })).toHaveLength(4)
})

test('a list of names as people keep it', () => {
  expect(pastedNames('- Wren & Co\r\n2. Tern  Trowel\tSill;sill\n\n')).toEqual(['Wren & Co', 'Tern Trowel', 'sill'])
  expect(pastedNames('  \n')).toEqual([])
})

describe('Cuts of stores', () => {
  const cut = checkStoreCut({ name: 'Mine', ships: false, query: { ...emptyStoreQuery, limits: { age: [null, 12] } } })
  test('one that leaves as a file comes back as it was, and is never taken for one of items', () => {
    expect(readStoreCut(JSON.parse(JSON.stringify(storeCutFile(cut))))).toEqual(cut)
    expect(() => readStoreCut({ name: 'Items', query: {} })).toThrow(/no Cut of stores/)
    expect(() => readStoreCut([])).toThrow(/no Cut/)
  })
  test('what it does not speak of is open; what stores do not have is refused by name', () => {
    expect(readStoreCut({ name: 'Short', stores: { meetsOnly: true } }).query).toEqual({
      ...emptyStoreQuery,
      meetsOnly: true,
    })
    expect(() => readStoreCut({ name: 'Bad', stores: { limits: { luck: [1, 2] } } })).toThrow(/luck/)
    expect(() => readStoreCut({ name: 'Bad', stores: { limits: { age: [5, 2] } } })).toThrow(/lower first/)
    expect(() => readStoreCut({ name: 'Bad', stores: { sort: { by: 'luck', descending: true } } })).toThrow()
    expect(() => checkStoreCut({ ...cut, name: ' ' })).toThrow()
  })
  test('those that ship are sound, and those at rest are brought up to date', () => {
    for (const shipped of shippedStoreCuts) expect(checkStoreCut(shipped)).toEqual(shipped)
    expect(storeCutsNow([{ name: 'Old', ships: false, query: { meetsOnly: true } }])).toEqual([
      { name: 'Old', ships: false, query: { ...emptyStoreQuery, meetsOnly: true } },
    ])
    expect(storeCutsNow('none')).toBe('none')
  })
})
