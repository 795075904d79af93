import { readFileSync } from 'node:fs'
import { logOddsPrior, titleWords, wordsThatSell } from '.'

/** Made by scripts/fixtures/words.R: R's HairEyeColor, men against women. */
const r = JSON.parse(readFileSync(new URL('./fixtures/r-words.json', import.meta.url), 'utf8')) as {
  words: string[]
  first: number[]
  second: number[]
  by: { strength: number; logOdds: number[]; z: number[] }[]
}

test.each(r.by)('log-odds with a prior of $strength agree with their definition in R', ({ strength, logOdds, z }) => {
  const counts = r.words.map((word, i) => ({ word, first: r.first[i] as number, second: r.second[i] as number }))
  logOddsPrior(counts, strength).forEach((pull, i) => {
    expect(pull.logOdds).toBeCloseTo(logOdds[i] as number, 12)
    expect(pull.z).toBeCloseTo(z[i] as number, 12)
  })
})

test('words of a title: figures keep their unit, small words join nothing', () => {
  expect(titleWords('Herb Trough, 50 cm')).toEqual(['herb', 'trough', '50cm', 'herb trough', 'trough 50cm'])
  expect(titleWords('Pot for the SILL, pot')).toEqual(['pot', 'sill', 'sill pot'])
  expect(titleWords('Kärnten 2x 1,5 l')).toEqual(['kärnten', '2', '1,5l', 'kärnten 2'])
  expect(titleWords('– & !')).toEqual([])
})

test('words that sell and words that do not; thin or even figures say nothing', () => {
  const titles = Array.from({ length: 60 }, (_, i) => ({
    title: `Balcony hook ${i % 2 ? 'weatherproof' : 'lovely'} no${i}`,
    units: i % 2 ? 10 + (i % 7) : i % 3,
  }))
  const found = wordsThatSell(titles)
  expect(found).toMatchObject({ of: 60, better: 30 })
  expect(found?.more[0]?.word).toContain('weatherproof')
  expect(found?.less[0]?.word).toContain('lovely')
  // what all say, and what one alone says, pulls neither way
  const all = [...(found?.more ?? []), ...(found?.less ?? [])].map((p) => p.word)
  expect(all).not.toContain('balcony')
  expect(all.some((w) => /no\d/.test(w))).toBe(false)
  expect(wordsThatSell(titles.slice(0, 19))).toBeNull()
  expect(wordsThatSell(titles.map((t) => ({ ...t, units: 4 })))).toBeNull()
})
