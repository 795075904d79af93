import { judgedThemes } from './judged-themes'

test.each([
  ['tuned', 0.9],
  ['aside', 0.7],
] as const)('themes of stores that were %s are met, and little else is called one', async (half, least) => {
  const { met, of, wrong } = await judgedThemes(half)
  expect(met / of).toBeGreaterThanOrEqual(least)
  expect(wrong).toBeLessThanOrEqual(0.2 * (met + wrong))
})
