import { phrases, writtenTogether } from './phrases'
import { singular } from './singular'
import { synonyms } from './synonyms'
import { kindOf, markOf } from './telling-words'

test('no word stands for two things, and none for what must agree', () => {
  const heads = new Set(synonyms.values())
  expect(synonyms.size).toBeGreaterThan(700)
  for (const [form, word] of synonyms) {
    if (form !== word) expect([form, heads.has(form)]).toEqual([form, false])
    expect([form, form === word || (kindOf(form) === null && markOf(form) === null)]).toEqual([form, true])
    expect(form).toMatch(/^[a-z]+$/)
  }
})

test('words that stand for two are not begun anew by the same two', () => {
  for (const [first, seconds] of phrases)
    for (const [second, words] of seconds) {
      expect(`${first} ${second}`).toMatch(/^[a-z]+ [a-z]+$/)
      expect(words.length).toBeLessThanOrEqual(2)
      // the second is met in the singular, so that a plural would never be found
      expect(singular(second)).toBe(second)
      expect(writtenTogether.get(first + second)).toEqual(words)
    }
  expect(phrases.get('string')?.get('light')).toEqual(['stringlight'])
  expect(phrases.get('jump')?.get('rope')).toEqual(['skipping', 'rope'])
})
