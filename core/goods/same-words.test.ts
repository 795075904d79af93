import { saidOtherwise, sameWordsOf } from './same-words'
import { titleForms } from './title-forms'

/** Titles with the number of their barcode, -1 for none. */
function learned(list: readonly (readonly [title: string, gtin: number])[]) {
  const forms = titleForms(list.map(([title]) => title))
  const words = (ids: readonly number[]) => ids.map((id) => forms.words[id]).sort()
  const same = sameWordsOf(
    forms,
    Int32Array.from(list, ([, gtin]) => gtin),
  )
  return { same, forms, told: same.map((s) => [words(s.these), words(s.those), s.shown]) }
}
const thrice = (a: string, b: string) =>
  ['oak', 'pine', 'ash'].flatMap((wood, gtin) => [[`${a} ${wood}`, gtin] as const, [`${b} ${wood}`, gtin] as const])

test('three barcodes show that words mean the same; two do not, nor do listings without one', () => {
  const { told } = learned(thrice('serving trough', 'serving flower box'))
  expect(told).toEqual([[['trough'], ['box', 'flower'], 3]])
  expect(learned(thrice('serving trough', 'serving flower box').slice(0, 4)).told).toEqual([])
  expect(learned(thrice('serving trough', 'serving flower box').map(([t]) => [t, -1] as const)).told).toEqual([])
})

test('one that only says more, and one that says something quite different, teach nothing', () => {
  expect(learned(thrice('serving trough', 'serving trough garden')).told).toEqual([])
  expect(learned(thrice('serving trough', 'long handled copper patio lantern')).told).toEqual([])
})

test('many listings of one barcode show it once', () => {
  const one = thrice('serving trough', 'serving flower box').map(([title]) => [title, 7] as const)
  expect(learned(one).told).toEqual([])
})

test('a title is said otherwise with one exchange, either way round, each word once', () => {
  const { same, forms } = learned(thrice('serving trough', 'serving flower box'))
  const ids = (text: string) =>
    text
      .split(' ')
      .map((w) => forms.words.indexOf(w))
      .sort((a, b) => a - b)
  expect(saidOtherwise(ids('serving trough oak'), same)).toEqual([ids('serving flower box oak')])
  expect(saidOtherwise(ids('serving flower box'), same)).toEqual([ids('serving trough')])
  expect(saidOtherwise(ids('serving flower'), same)).toEqual([])
})
