import { chance } from '../../standins/random'
import { FormDifference, titleForms, wordWeights, type WordLesson } from '.'
import { differenceOf, isSaidOtherwise, lacksHead, likenessOf, saysNoOther } from './difference'

const random = chance(44)
const upTo = (most: number) => Math.floor(random.next() * most)
const one = <T>(list: readonly T[]) => list[upTo(list.length)] as T

/** names, words of one root, words that tell goods apart, compounds and their parts */
const said = [
  'garden',
  'bench',
  'poacher',
  'poach',
  'sunshade',
  'sun',
  'shade',
  'walnut',
  'oak',
  'cover',
  'cushion',
  'trough',
  'herb',
  'copper',
  'kettle',
  'electric',
  'solar',
  'k7',
  'k9',
  'lid',
  'without lid',
]
const titles = Array.from({ length: 160 }, () => {
  const words = Array.from({ length: 2 + upTo(6) }, () => one(said)).join(' ')
  return random.next() < 0.15 ? `${one(said)} for ${words}` : words
})
const forms = titleForms(titles)
const count = forms.figuresOf.length
const idsOf = (form: number) => [...forms.wordIds.subarray(forms.starts[form], forms.starts[form + 1])]
const textOf = (ids: Iterable<number>) => Array.from(ids, (id) => forms.words[id] as string)
const weights = wordWeights(forms)
const weightOf = (word: string) => weights[forms.words.indexOf(word)] as number

/** Lessons of two kinds, of pairs of words and of words alone. */
function someLessons(): WordLesson[] {
  const few = () =>
    [...new Set(Array.from({ length: 1 + upTo(2) }, () => upTo(forms.words.length)))].sort((a, b) => a - b)
  return Array.from({ length: upTo(8) }, () => {
    const says = random.next() < 0.5 ? 'same' : 'apart'
    return { says, these: few(), those: says === 'apart' && random.next() < 0.3 ? [] : few() } as unknown as WordLesson
  })
}

/** Whether two forms name the same goods, told from what each says that the other does not. */
function areSameBy(a: number, b: number, lessons: readonly WordLesson[]): boolean {
  const [x, y] = [idsOf(a), idsOf(b)]
  const [onlyX, onlyY] = [x.filter((id) => !y.includes(id)), y.filter((id) => !x.includes(id))]
  const isPair = ({ these, those }: WordLesson) =>
    [
      [onlyX, onlyY],
      [onlyY, onlyX],
    ].some(([p, q]) => p!.join() === these.join() && q!.join() === those.join())
  const isTaught = (says: WordLesson['says']) => lessons.some((l) => l.says === says && isPair(l))
  const alone = new Set(lessons.filter((l) => l.those.length === 0).flatMap((l) => l.these))
  const isApart = lessons.some((l) => l.says === 'apart')
  const isForOther = (of: number, other: number) => {
    const heads = forms.heads.get(of)
    return heads !== undefined && lacksHead(textOf(heads), textOf(idsOf(other)))
  }
  if (onlyX.length > 3 && onlyY.length > 3) return false
  if (isTaught('apart')) return false
  if (isApart && !isTaught('same') && [...onlyX, ...onlyY].some((id) => alone.has(id))) return false
  if (isForOther(a, b) || isForOther(b, a)) return false
  const sum = (ids: readonly number[]) => ids.reduce((all, id) => all + (weights[id] as number), 0)
  if (isTaught('same')) return true
  const isSame = saysNoOther(sum(onlyX), sum(onlyY)) || isSaidOtherwise(textOf(onlyX), textOf(onlyY))
  return isSame && likenessOf(differenceOf(textOf(x), textOf(y), weightOf)) >= 0.5
}

test('whether two titles name the same goods follows from what each says alone, and from what is taught of that', () => {
  let same = 0
  for (let round = 0; round < 40; round++) {
    const lessons = round === 0 ? [] : someLessons()
    const difference = new FormDifference(forms, lessons)
    for (let i = 0; i < 250; i++) {
      const [a, b] = [upTo(count), upTo(count)]
      const is = difference.areSame(a, b)
      if (is !== areSameBy(a, b, lessons)) expect([titles[a], titles[b], lessons, is]).toBe(!is)
      if (is && a !== b) same++
    }
  }
  expect(same).toBeGreaterThan(100)
})

test('what two titles have in common is weighed by how few have each word; the fuller says more words', () => {
  const difference = new FormDifference(forms)
  for (let i = 0; i < 300; i++) {
    const [a, b] = [upTo(count), upTo(count)]
    const { shared, alone, clashes } = differenceOf(textOf(idsOf(a)), textOf(idsOf(b)), weightOf)
    const close = (v: number) => expect.closeTo(v, 9) as number
    expect(difference.of(a, b)).toEqual({ shared: close(shared), alone: alone.map(close), clashes })
    expect(difference.fuller(a, b)).toBe(idsOf(b).length > idsOf(a).length ? b : a)
  }
})
