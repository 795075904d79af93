import type { TitleForms } from './title-forms'

/** Words of titles that mean the same, as numbers into the words of the forms: one may stand for the other. Both ascending. */
export interface SameWords {
  these: readonly number[]
  those: readonly number[]
  /** barcodes that show it */
  shown: number
}

/** barcodes that must show it before it is believed, forms of one barcode that are compared, and words of one side */
const [leastShown, mostForms, mostWords] = [3, 8, 3]

/**
 * What listings of one barcode teach: where two titles of the same goods differ in a few words on both sides, and the same few again
 * and again, those mean the same ('trough' and 'flower box').
 *
 * @param gtins number of the barcode of each listing, -1 where it has none
 */
export function sameWordsOf({ formOf, starts, wordIds }: TitleForms, gtins: Int32Array): SameWords[] {
  const formsOfGtin = new Map<number, Set<number>>()
  for (let row = 0; row < gtins.length; row++) {
    const [gtin, form] = [gtins[row] as number, formOf[row] as number]
    if (gtin < 0 || form < 0) continue
    const known = formsOfGtin.get(gtin)
    if (!known) formsOfGtin.set(gtin, new Set([form]))
    else if (known.size < mostForms) known.add(form)
  }
  const wordsOf = (form: number) => wordIds.subarray(starts[form], starts[form + 1])
  const shown = new Map<string, number>()
  for (const forms of formsOfGtin.values()) {
    const here = new Set<string>()
    const list = [...forms]
    list.forEach((a, i) => {
      for (const b of list.slice(i + 1)) {
        const key = differenceOf(wordsOf(a), wordsOf(b))
        if (key !== null) here.add(key)
      }
    })
    for (const key of here) shown.set(key, (shown.get(key) ?? 0) + 1)
  }
  return [...shown]
    .filter(([, n]) => n >= leastShown)
    .map(([key, n]) => {
      const [these = [], those = []] = key.split('|').map((side) => side.split(' ').map(Number))
      return { these, those, shown: n }
    })
}

/** The words that either has alone, the lower first; null where one has none of its own, or too many for a way of saying the same. */
function differenceOf(a: Int32Array, b: Int32Array): string | null {
  const alone = (of: Int32Array, other: Int32Array) => [...of].filter((id) => !other.includes(id))
  const [first, second] = [alone(a, b), alone(b, a)]
  const fits = (side: number[]) => side.length > 0 && side.length <= mostWords
  if (!fits(first) || !fits(second)) return null
  const sides = [first.join(' '), second.join(' ')]
  return (first[0] as number) < (second[0] as number) ? sides.join('|') : sides.reverse().join('|')
}

/** Every way of saying a set of words with one exchange of words that mean the same. @param words ascending */
export function saidOtherwise(words: readonly number[], same: readonly SameWords[]): number[][] {
  const has = (some: readonly number[]) => some.every((id) => words.includes(id))
  const exchanged = (from: readonly number[], to: readonly number[]) =>
    [...new Set([...words.filter((id) => !from.includes(id)), ...to])].sort((x, y) => x - y)
  return same.flatMap(({ these, those }) => [
    ...(has(these) ? [exchanged(these, those)] : []),
    ...(has(those) ? [exchanged(those, these)] : []),
  ])
}
