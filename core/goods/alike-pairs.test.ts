import fc from 'fast-check'
import { AlikePairs } from './alike-pairs'
import type { TitleSignature } from './title-signature'

const signature = (words: string[]): TitleSignature => ({ words: [...new Set(words)], sizes: [], colours: [], pack: 1 })

function pairsOf(list: TitleSignature[], least: number): string[] {
  const found: string[] = []
  const search = new AlikePairs(list).search(
    list.map((_, i) => i),
    { least, worthwhile: () => true, onPair: (a, b) => found.push(`${a} ${b}`) },
  )
  while (!search.next().done);
  return found.sort()
}

/** Every pair compared with every other: the weighted Jaccard likeness by its definition. */
function plainly(list: TitleSignature[], least: number): string[] {
  const weight = (w: string) => Math.log(1 + list.length / list.filter((s) => s.words.includes(w)).length)
  const sum = (words: string[]) => words.reduce((t, w) => t + weight(w), 0)
  const found: string[] = []
  list.forEach((a, i) =>
    list.slice(0, i).forEach((b, j) => {
      const shared = sum(a.words.filter((w) => b.words.includes(w)))
      const all = sum([...new Set([...a.words, ...b.words])])
      if (all > 0 && Math.abs(shared / all - least) > 1e-9 && shared / all >= least) found.push(`${j} ${i}`)
    }),
  )
  return found.sort()
}

test('finds the pairs that comparing all with all finds', () => {
  const words = fc.array(fc.constantFrom('herb', 'trough', 'balcony', 'rail', 'white', 'oak', 'long', 'deep'), {
    minLength: 1,
    maxLength: 6,
  })
  fc.assert(
    fc.property(fc.array(words, { maxLength: 25 }), fc.constantFrom(0.35, 0.61, 0.72, 0.9), (titles, least) => {
      const list = titles.map(signature)
      expect(pairsOf(list, least)).toEqual(plainly(list, least))
    }),
    { numRuns: 300 },
  )
})

test('a pair that is not worthwhile is not compared', () => {
  const list = [signature(['herb', 'trough']), signature(['herb', 'trough'])]
  const found: number[] = []
  const search = new AlikePairs(list).search([0, 1], {
    least: 0.7,
    worthwhile: () => false,
    onPair: (a) => found.push(a),
  })
  while (!search.next().done);
  expect(found).toEqual([])
})
