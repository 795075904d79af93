import { readFileSync } from 'node:fs'
import { classTfIdf, logOddsPrior, themesOf, titleBySearches, titleRuns, wordsOf, wordsThatSell } from '.'

/** Made by scripts/fixtures/words.R: R's HairEyeColor, men against women. */
const r = JSON.parse(readFileSync(new URL('./fixtures/r-words.json', import.meta.url), 'utf8')) as {
  words: string[]
  first: number[]
  second: number[]
  by: { strength: number; logOdds: number[]; z: number[] }[]
  classes: { counts: number[][]; weights: number[][] }
}

test.each(r.by)('log-odds with a prior of $strength agree with their definition in R', ({ strength, logOdds, z }) => {
  const counts = r.words.map((word, i) => ({ word, first: r.first[i] as number, second: r.second[i] as number }))
  logOddsPrior(counts, strength).forEach((pull, i) => {
    expect(pull.logOdds).toBeCloseTo(logOdds[i] as number, 12)
    expect(pull.z).toBeCloseTo(z[i] as number, 12)
  })
})

test('words of a class by TF-IDF agree with their definition in R', () => {
  const { counts, weights } = r.classes
  const classes = counts.map((row) => new Map(row.map((n, i) => [`${i}`, n])))
  classTfIdf(classes).forEach((found, c) =>
    [...found.values()].forEach((w, i) => expect(w).toBeCloseTo(weights[c]?.[i] as number, 12)),
  )
})

test('words of a title: figures keep their unit, forms of one word are one, joining words stand at no end of a run', () => {
  const runs = (title: string, longest?: number) => titleRuns(title, longest).map((run) => run.stems)
  expect(wordsOf('Herb Trough, 50 cm')).toEqual(['herb', 'trough', '50cm'])
  expect(runs('Herb Troughs, 50 cm')).toEqual([
    'herb',
    'herb trough',
    'herb trough 50cm',
    'trough',
    'trough 50cm',
    '50cm',
  ])
  expect(runs('Pot for the SILL, pots', 3)).toEqual(['pot', 'sill', 'sill pot'])
  expect(runs('Pot for the SILL')).toContain('pot for the sill')
  expect(runs('Kärnten 2x 1,5 l', 1)).toEqual(['kärnten', '2', '1,5l'])
  expect(runs('a b c d e f')).not.toContain('b c d e f')
  expect(runs('– & !')).toEqual([])
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

test('runs of words pull as words do, and only the strongest of those within one another is shown', () => {
  const titles = Array.from({ length: 80 }, (_, i) => ({
    title:
      i % 2 ? `Feeder clips on window ${i % 3 ? 'green' : 'red'}` : `Window feeder, hanging ${i % 3 ? 'green' : 'red'}`,
    units: i % 2 ? 20 + (i % 5) : i % 4,
  }))
  const more = wordsThatSell(titles)?.more ?? []
  expect(more.map((p) => p.word)).not.toContain('feeder')
  const stems = more.map((p) => ` ${p.stems} `)
  expect(stems.some((s) => s.includes(' clip '))).toBe(true)
  for (const a of stems) for (const b of stems) if (a !== b) expect(a.includes(b)).toBe(false)
  // two forms of one word are one word
  const forms = titles.map((t, i) => ({ ...t, title: t.title.replace('clips', i % 4 === 1 ? 'clip' : 'clips') }))
  expect(wordsThatSell(forms)?.more.find((p) => p.stems.includes('clip'))?.first).toBe(40)
})

test('themes are rare words that stand together; what all say and what one says is none', () => {
  const about = [
    ...Array<string>(12).fill('robin christmas'),
    ...Array<string>(10).fill('beekeeper great gift'),
    ...Array<string>(98).fill(''),
  ]
  const titles = about.map(
    (theme, i) => `Enamel mug ${theme} ${['white', 'blue', 'cream'][i % 3] ?? ''} 330 ml shop${i}x`,
  )
  const themes = themesOf(titles)
  expect(themes.map((t) => t.places.length)).toEqual([12, 10])
  expect(themes[0]?.phrases[0]).toContain('robin christmas')
  expect(themes[1]?.phrases).toEqual(['beekeeper'])
  expect(themes[1]?.places).toEqual(Array.from({ length: 10 }, (_, i) => 12 + i))
  expect(themesOf(titles.slice(0, 4))).toEqual([])
})

test('a title of the words that most buyers search for, within the limit, none twice, none that is not true of the goods', () => {
  const titles = ['Window feeder for a small bird, clear 12 cm', 'Clear bird feeder clips on window, 12 cm']
  const searched = [
    { phrase: 'window bird feeder', searches: 900 },
    { phrase: 'bird feeders', searches: 400 },
    { phrase: 'clear feeder', searches: 50 },
    { phrase: 'squirrel proof feeder', searches: 5000 },
    { phrase: 'feeder for birds', searches: 100 },
  ]
  const found = titleBySearches(titles, searched, 60)
  // by hand: three phrases of window, bird, feeder (one of them twice, 400 + 100), then clear; the squirrel is nowhere said
  expect(found).toMatchObject({ covered: 1450, of: 1450 })
  expect(found?.title.toLowerCase().split(' ').sort()).toEqual(['12cm', 'bird', 'clear', 'feeder', 'window'])
  const short = titleBySearches(titles, searched, 12)
  expect(short).toMatchObject({ covered: 500, of: 1450 })
  expect(short?.title.length).toBeLessThanOrEqual(12)
  expect(titleBySearches(titles, [{ phrase: 'nest box', searches: 9 }], 60)).toBeNull()
  expect(titleBySearches(titles, searched, 3)).toBeNull()
})

test('a word that is all that is said, or that nobody says, is used no more by the one than by the other', () => {
  expect(logOddsPrior([{ word: 'oak', first: 7, second: 2 }])).toEqual([
    { word: 'oak', first: 7, second: 2, logOdds: 0, z: 0 },
  ])
  const [oak, elm] = logOddsPrior([
    { word: 'oak', first: 7, second: 2 },
    { word: 'elm', first: 0, second: 0 },
  ])
  expect([oak?.z, elm?.z]).toEqual([0, 0])
  expect(logOddsPrior([{ word: 'oak', first: 0, second: 0 }])[0]?.logOdds).toBe(0)
})
