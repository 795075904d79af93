import { readFileSync } from 'node:fs'
import { shareDifference, sharesP } from '.'

/** Made by scripts/fixtures/shares.py with statsmodels. */
const cases = JSON.parse(readFileSync(new URL('./fixtures/statsmodels-shares.json', import.meta.url), 'utf8')) as {
  hits: number
  of: number
  otherHits: number
  otherOf: number
  low: number
  high: number
  p: number
}[]

test.each(cases)('$hits of $of against $otherHits of $otherOf as statsmodels has it', (c) => {
  const found = shareDifference(c.hits, c.of, c.otherHits, c.otherOf)
  expect(found?.low).toBeCloseTo(c.low, 8)
  expect(found?.high).toBeCloseTo(c.high, 8)
  expect(sharesP(c.hits, c.of, c.otherHits, c.otherOf)).toBeCloseTo(c.p, 10)
})

test('56 of 70 against 48 of 80, as Newcombe 1998 prints it (from memory); a share of nothing differs from none', () => {
  const { difference, low, high } = shareDifference(56, 70, 48, 80) ?? { difference: NaN, low: NaN, high: NaN }
  expect([difference, low, high].map((v) => v.toFixed(4))).toEqual(['0.2000', '0.0524', '0.3339'])
  expect(shareDifference(0, 0, 3, 4)).toBeNull()
  expect(sharesP(0, 4, 0, 9)).toBe(1)
})
