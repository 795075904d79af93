import { nothingTaught, TaughtWords, titleSignature, type WordLesson } from '.'

const words = ['clear', 'drip', 'feeder', 'lite', 'plant', 'saucer', 'suet', 'trough']
const lesson = (says: WordLesson['says'], these: string[], those: string[] = []): WordLesson => ({
  says,
  these: these.map((w) => words.indexOf(w)),
  those: those.map((w) => words.indexOf(w)),
  barcodes: 5,
  byHand: 0,
  example: [0, 1],
  isTakenBack: false,
})
const taught = new TaughtWords(
  [lesson('same', ['plant', 'saucer'], ['drip', 'trough']), lesson('apart', ['lite'])],
  words,
)
const [saucer, tray, drip] = ['Plant saucer, round', 'Round drip trough', 'Drip feeder, round'].map(titleSignature) as [
  ReturnType<typeof titleSignature>,
  ReturnType<typeof titleSignature>,
  ReturnType<typeof titleSignature>,
]

test('a lesson holds of all that two titles differ in, either way round, and not of a word wherever it stands', () => {
  expect([taught.areSame(saucer, tray), taught.areSame(tray, saucer)]).toEqual([true, true])
  expect([taught.areSame(saucer, drip), taught.areSame(saucer, saucer)]).toEqual([false, false])
})
test('a title is said otherwise by one exchange', () => {
  expect(taught.otherwise(saucer)).toEqual([tray.words])
  expect(taught.otherwise(tray)).toEqual([saucer.words])
  expect(taught.otherwise(drip)).toEqual([])
})
test('a word that sets apart does so beside any other', () => {
  const lite = titleSignature('Plant saucer lite, round')
  expect([taught.areApart(lite, saucer), taught.areApart(saucer, lite), taught.areApart(lite, lite)]).toEqual([
    true,
    true,
    false,
  ])
  expect(taught.areApart(saucer, drip)).toBe(false)
})
test('words that set apart as a pair do so as that pair alone', () => {
  const pair = new TaughtWords([lesson('apart', ['plant'], ['suet'])], words)
  const [plant, suet, drip] = ['Plant feeder', 'Suet feeder', 'Drip feeder'].map((t) => titleSignature(t))
  expect([pair.areApart(plant!, suet!), pair.areApart(suet!, plant!)]).toEqual([true, true])
  expect([pair.areApart(plant!, drip!), pair.areApart(drip!, suet!), pair.areApart(plant!, plant!)]).toEqual([
    false,
    false,
    false,
  ])
})
test('nothing taught says nothing', () => {
  expect([nothingTaught.areSame(saucer, tray), nothingTaught.areApart(saucer, tray)]).toEqual([false, false])
  expect(nothingTaught.otherwise(saucer)).toEqual([])
})

test('what was taught before holds beside what is taught now, whatever numbers its words had', () => {
  const before = new TaughtWords(
    [
      lesson('same', ['plant', 'saucer'], ['drip', 'trough']),
      lesson('apart', ['plant'], ['suet']),
      lesson('apart', ['lite']),
    ],
    words,
  )
  const both = new TaughtWords(
    [{ ...lesson('same', ['suet'], ['drip']), these: [1], those: [0] }],
    ['suet', 'drip'],
    before,
  )
  const [plant, suet, lite] = ['Plant feeder', 'Suet feeder', 'Plant feeder lite'].map((t) => titleSignature(t))
  expect([both.areSame(saucer, tray), both.areApart(plant!, suet!), both.areApart(plant!, lite!)]).toEqual([
    true,
    true,
    true,
  ])
  expect(both.otherwise(saucer)).toEqual([tray.words])
  const [suety, dripping] = ['Suet holder', 'Drip holder'].map((t) => titleSignature(t))
  expect([both.areSame(suety!, dripping!), before.areSame(suety!, dripping!)]).toEqual([true, false])
})
