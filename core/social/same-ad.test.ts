import { readFileSync } from 'node:fs'
import { adWords, isSameAd } from '.'

// pairs of texts in eight languages, labelled before the rule was written; one hand wrote both
const pairs = readFileSync(new URL('fixtures/same-ads.tsv', import.meta.url), 'utf8')
  .trim()
  .split('\n')
  .slice(1)
  .map((line) => line.split('\t') as [string, string, string])

test.each([
  ['looked at', 0],
  ['kept aside', 1],
] as const)('the same ad or another, %s', (half, at) => {
  const its = pairs.filter((_, i) => Math.floor(i / 2) % 2 === at)
  const right = its.filter(([same, a, b]) => isSameAd(adWords(a), adWords(b)) === (same === '1'))
  if (process.env.SHOW)
    console.log(half, right.length, its.length, half === 'looked at' ? its.filter((p) => !right.includes(p)) : '')
  expect(right.length).toBeGreaterThanOrEqual(its.length - 2)
})
