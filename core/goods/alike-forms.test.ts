import fc from 'fast-check'
import { AlikeForms, type PairSearch } from './alike-forms'
import { titleForms, wordWeights, type TitleForms } from './title-forms'

const key = (a: number, b: number) => `${Math.min(a, b)} ${Math.max(a, b)}`
const through = (search: Generator<void>) => {
  while (!search.next().done);
}
const options = (least: number, found: Set<string>): PairSearch => ({
  least,
  worthwhile: () => true,
  onPair: (a, b) => found.add(key(a, b)),
})

function pairsOf(forms: TitleForms, least: number): string[] {
  const found = new Set<string>()
  const all = Array.from(forms.figuresOf, (_, i) => i)
  through(new AlikeForms(forms, wordWeights(forms)).search(all, options(least, found)))
  return [...found].sort()
}

const wordsOf = (f: TitleForms, form: number) =>
  Array.from(f.wordIds.subarray(f.starts[form], f.starts[form + 1]), (id) => f.words[id] as string)

/** Every pair compared with every other: the weighted Jaccard likeness by its definition. Those at the very edge are left out. */
function plainly(forms: TitleForms, least: number): { sure: string[]; edge: Set<string> } {
  const list = Array.from(forms.figuresOf, (_, i) => wordsOf(forms, i))
  const weight = (w: string) => Math.log(1 + list.length / list.filter((words) => words.includes(w)).length)
  const sum = (words: string[]) => words.reduce((t, w) => t + weight(w), 0)
  const [sure, edge]: [string[], Set<string>] = [[], new Set()]
  list.forEach((a, i) =>
    list.slice(0, i).forEach((b, j) => {
      const ratio = sum(a.filter((w) => b.includes(w))) / sum([...new Set([...a, ...b])])
      if (Math.abs(ratio - least) <= 1e-7) edge.add(key(i, j))
      else if (ratio > least) sure.push(key(i, j))
    }),
  )
  return { sure: sure.sort(), edge }
}

const title = fc
  .array(fc.constantFrom('herb', 'trough', 'balcony', 'rail', 'wide', 'oak', 'long', 'deep'), {
    minLength: 2,
    maxLength: 6,
  })
  .map((words) => words.join(' '))
const least = fc.constantFrom(0.35, 0.61, 0.72, 0.9)

test('finds the pairs that comparing all with all finds', () => {
  fc.assert(
    fc.property(fc.array(title, { maxLength: 25 }), least, (titles, share) => {
      const forms = titleForms(titles)
      const { sure, edge } = plainly(forms, share)
      expect(pairsOf(forms, share).filter((p) => !edge.has(p))).toEqual(sure)
    }),
    { numRuns: 300 },
  )
})

test('what is alike to some new ones is found among the others in one pass', () => {
  fc.assert(
    fc.property(fc.array(title, { maxLength: 25 }), fc.nat(10), least, (titles, some, share) => {
      const forms = titleForms(titles)
      const all = Array.from(forms.figuresOf, (_, i) => i)
      const fresh = all.slice(-some - 1)
      const found = new Set<string>()
      const others = all.filter((f) => !fresh.includes(f))
      through(new AlikeForms(forms, wordWeights(forms)).searchFor(fresh, others, options(share, found)))
      const { sure, edge } = plainly(forms, share)
      const across = sure.filter((p) => p.split(' ').filter((f) => fresh.includes(Number(f))).length === 1)
      expect([...found].filter((p) => !edge.has(p)).sort()).toEqual(across)
    }),
    { numRuns: 300 },
  )
})

test('forms of other sizes are not compared with new ones, and a pair that is not worthwhile is not either', () => {
  const forms = titleForms(['herb trough 40 cm', 'trough for herbs deep 40 cm', 'herb trough 60 cm'])
  const found = new Set<string>()
  const search = () => new AlikeForms(forms, wordWeights(forms))
  through(search().searchFor([0], [1, 2], options(0.4, found)))
  expect([...found]).toEqual(['0 1'])
  found.clear()
  through(search().search([0, 1, 2], { ...options(0.1, found), worthwhile: () => false }))
  expect(found.size).toBe(0)
})
