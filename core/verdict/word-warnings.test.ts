import { readFileSync } from 'node:fs'
import { breaksByWords } from '.'

// titles in eight languages, labelled before the words were written; one hand wrote both
const titles = readFileSync(new URL('fixtures/fragile.tsv', import.meta.url), 'utf8')
  .trim()
  .split('\n')
  .slice(1)
  .map((line) => line.split('\t') as [string, string])
test.each([
  ['looked at', 0],
  ['kept aside', 1],
] as const)('what breaks, by its words: %s', (_, half) => {
  const its = titles.filter((_t, i) => i % 2 === half)
  const wrong = its.filter(([fragile, title]) => breaksByWords(title) !== (fragile === '1'))
  expect(wrong).toEqual([])
})
