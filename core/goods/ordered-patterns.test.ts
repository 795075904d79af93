import { chance } from '../../standins/random'
import { judgedPacks } from './judged-packs'
import { OrderedPatterns, type Listed } from './ordered-patterns'
import { packPatterns, type PackPattern } from './pack-patterns'
import { isAscii, start, titlePattern, withoutAccents } from './title-patterns'

/** By definition: one pattern after the other, each wherever it holds first. */
function firstByDefinition(patterns: readonly Listed[], text: string): [number, number, string] | null {
  for (const [i, { begin, rest, first }] of patterns.entries()) {
    const match = titlePattern((first === undefined ? '' : start) + begin + rest).exec(text)
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
    { begin: '', rest: 'b(\\d)', first: 'b' },
    { begin: 'a', rest: '\\d', first: 'a' },
    { begin: 'a', rest: '.', first: 'a' },
  ])
  const firstOf = (text: string) => patterns.first(text, ({ rest }, m) => (m[0] === 'b1' ? null : `${rest} ${m[0]}`))
  expect(firstOf('a2 b1')).toBe('\\d a2')
  expect(firstOf('a2 b3')).toBe('b(\\d) b3')
  expect(firstOf('ab1')).toBe('. ab')
  expect(firstOf('b1 b2')).toBeNull()
  expect(firstOf('c')).toBeNull()
})

test('words with which a pattern begins are found whatever is optional of them, and nowhere within a word', () => {
  const patterns = new OrderedPatterns([
    {
      begin: '',
      rest: '(?:sets?|zur|kpl\\.?|job ?lot|(?:value|big) pack:?) \\d',
      first: 'sets?|zur|kpl\\.?|job ?lot|(?:value|big) pack:?',
    },
    { begin: '(\\d{1,2}|two)', rest: ' ?er', first: '\\d|two' },
    { begin: '', rest: '(?:a |1 )?pair', first: 'a|1|pair' },
    { begin: '', rest: '[a-z]\\(\\d' },
  ])
  const found = (text: string) => patterns.first(text, (_, m) => m[0])
  for (const text of [
    'set 3',
    'sets 3',
    'kpl 3',
    'kpl. 3',
    'job lot 3',
    'joblot 3',
    'value pack 3',
    'big pack: 3',
    'zur 1',
  ])
    expect([text, found(`x ${text}`)]).toEqual([text, text])
  expect(['12er', 'two er', '3 er', 'a pair', '1 pair', 'pair'].map(found)).toEqual([
    ...['12er', 'two er', '3 er', 'a pair', '1 pair', 'pair'],
  ])
  expect(['unset 3', 'x12er', 'repair', 'größe'].map(found)).toEqual([null, null, null, null])
  // what may begin anywhere does so within a word, and what is beyond ASCII is told the same
  expect([found('box(2'), found('für box(2, set 1'), found('für x-set 1')]).toEqual(['x(2', 'set 1', 'set 1'])
})
