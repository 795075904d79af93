import { concentration, roomOf } from '.'

test('shares 30, 30, 20, 20 make 2 600 (US Merger Guidelines)', () =>
  expect(concentration([30, 30, 20, 20])?.hhi).toBe(2600))
test('one alone is 10 000, a hundred equals are 100', () => {
  expect(concentration([7])?.hhi).toBe(10000)
  expect(concentration(Array.from({ length: 100 }, () => 1))?.hhi).toBe(100)
})
test('top, top fifth and how many make 80 %', () => {
  expect(concentration([50, 30, 10, 5, 5, 0, 0, 0, 0, 0])).toMatchObject({ top: 0.5, topFifth: 0.8, makeMost: 2 })
  expect(concentration([0, 0])).toBeNull()
})
test.each([
  ['open', [10, 9, 8, 8]],
  ['held', [90, 5, 5]],
  ['untested', [40]],
  ['crowded', Array.from({ length: 40 }, () => 3)],
  ['shared', Array.from({ length: 20 }, () => 3)],
  ['unclear', [0, 0, 0]],
])('%s', (word, sales) => expect(roomOf(sales).word).toBe(word))
test('what is not known is not nought: spread is told of known sellers alone, and not of few of them or of few units', () => {
  expect(roomOf([90, 5, 5, null, null])).toMatchObject({ word: 'held', sellers: 5, known: 3, topShare: 0.9 })
  expect(roomOf([90, null, null, null, null])).toMatchObject({
    word: 'unclear',
    openness: null,
    topShare: null,
    known: 1,
  })
  expect(roomOf([2, 0, 0])).toMatchObject({ word: 'unclear', openness: null, hhi: null })
  expect(roomOf([4, 3, 3]).word).toBe('open')
  expect(roomOf([4, 3, 2]).word).toBe('unclear')
  // how many sell it is known without their sales
  expect(roomOf(Array.from({ length: 30 }, () => null)).word).toBe('crowded')
  expect(roomOf([null])).toMatchObject({ word: 'untested', openness: null })
  expect(roomOf([]).word).toBe('untested')
})
test('more sellers never open an item, nor does a heavier top', () => {
  const even = (n: number) => roomOf(Array.from({ length: n }, () => 5)).openness ?? NaN
  expect(even(25)).toBeLessThan(even(10))
  expect(roomOf([80, 10, 10]).openness).toBeLessThan(roomOf([40, 30, 30]).openness ?? 0)
})

test('Gini: none where all sell alike, most where one sells all, by hand between', () => {
  expect(concentration([5, 5, 5, 5])?.gini).toBeCloseTo(0, 12)
  expect(concentration([0, 0, 0, 8])?.gini).toBeCloseTo(0.75, 12)
  // R: ineq::Gini(1:5) is 4 / 15
  expect(concentration([3, 1, 5, 2, 4])?.gini).toBeCloseTo(4 / 15, 12)
})
