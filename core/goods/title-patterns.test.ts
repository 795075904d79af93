import { chance } from '../../standins/random'
import { judgedPacks } from './judged-packs'
import { packPatterns, type PackPattern } from './pack-patterns'
import {
  asciiPattern,
  isAscii,
  OrderedPatterns,
  start,
  titlePattern,
  withoutAccents,
  type Listed,
} from './title-patterns'

/** By definition: one pattern after the other, each wherever it holds first. */
function firstByDefinition(patterns: readonly Listed[], text: string): [number, number, string] | null {
  for (const [i, { begin, rest, isAnywhere }] of patterns.entries()) {
    const match = titlePattern((isAnywhere ? '' : start) + begin + rest).exec(text)
    if (match) return [i, match.index, match[0]]
  }
  return null
}

test('patterns tried where any begins find what each finds by itself, in titles and in words of titles at random', () => {
  const inOrder = new OrderedPatterns(packPatterns)
  const found = (text: string) =>
    inOrder.first(text, (pattern: PackPattern, m) => [packPatterns.indexOf(pattern), m.index, m[0]])
  const titles = [...judgedPacks(0), ...judgedPacks(1)].map(({ title }) => withoutAccents(title).toLowerCase())
  const words = [...new Set(titles.flatMap((title) => title.split(' ')))]
  const random = chance(5)
  const mixed = Array.from({ length: 3000 }, () =>
    Array.from({ length: 2 + random.next() * 7 }, () => words[Math.floor(random.next() * words.length)]).join(' '),
  )
  // a sign and letters beyond ASCII, as titles have them
  const texts = [...titles, ...mixed].map((text, i) =>
    i % 4 === 0 ? `${text.replaceAll(' x ', ' × ')} – γλαστρα` : text,
  )
  expect(texts.filter(isAscii).length).toBeGreaterThan(2000)
  expect(texts.filter((t) => !isAscii(t)).length).toBeGreaterThan(100)
  const definitions = texts.map((text) => firstByDefinition(packPatterns, text))
  expect(definitions.filter((d) => d !== null).length).toBeGreaterThan(1000)
  expect(new Set(definitions.map((d) => d?.[0])).size).toBeGreaterThan(25)
  expect(texts.map(found)).toEqual(definitions)
})

test('what a pattern finds may be turned down: the next one is asked', () => {
  const patterns = new OrderedPatterns([
    { begin: '', rest: 'b(\\d)' },
    { begin: 'a', rest: '\\d' },
    { begin: 'a', rest: '.' },
  ])
  const firstOf = (text: string) => patterns.first(text, ({ rest }, m) => (m[0] === 'b1' ? null : `${rest} ${m[0]}`))
  expect(firstOf('a2 b1')).toBe('\\d a2')
  expect(firstOf('a2 b3')).toBe('b(\\d) b3')
  expect(firstOf('ab1')).toBe('. ab')
  expect(firstOf('b1 b2')).toBeNull()
  expect(firstOf('c')).toBeNull()
})

test('of plain ASCII a pattern finds the same without tables of letters', () => {
  const source = '(?<![\\p{L}\\d])[^s\\P{L}]\\p{N}[\\p{L}-]+'
  const ascii = asciiPattern(source)
  expect(ascii.unicode).toBe(false)
  for (const text of ['a1b-c', 's1bc', 'xa1b', ' z9-', '1a1b', 'é1b'])
    if (isAscii(text)) expect(ascii.exec(text)?.[0]).toBe(titlePattern(source).exec(text)?.[0])
  expect(ascii.exec(' b2c-d e')?.[0]).toBe('b2c-d')
  expect(titlePattern(source).exec(' д2ж')?.[0]).toBe('д2ж')
})

test('accents go, letters of their own are those that stand for them', () => {
  expect(['Füße', 'très', 'ştrudel', 'Łódka', 'cœur', 'Ø', 'plain', 'γλάστρα'].map(withoutAccents)).toEqual([
    'Fusse',
    'tres',
    'strudel',
    'Lodka',
    'coeur',
    'O',
    'plain',
    'γλαστρα',
  ])
})
