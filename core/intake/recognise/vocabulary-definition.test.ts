import { chance } from '../../../standins/random'
import { languages } from '../../records/field'
import { readHeading } from './heading'
import { Vocabulary } from './vocabulary'

const random = chance(8)
const upTo = (most: number) => Math.floor(random.next() * most)
const one = <T>(list: readonly T[]) => list[upTo(list.length)] as T

/** words as headings are made of: forms of each other, compounds, abbreviations, words that count and that join */
const roots = [
  'preis',
  'prezzo',
  'verkauf',
  'vorrat',
  'artikel',
  'stars',
  'datum',
  'marke',
  'gewicht',
  'seller',
  'sales',
  'vendor',
  'tag',
  'bid',
]
const ends = ['', '', 'e', 's', 'en', 'n', 'er', 'ami', 'xyz', 'x']
const [counting, joining] = [
  ['anzahl', 'nr', 'total'],
  ['of', 'par', 'del'],
]
const word = () => {
  const at = random.next()
  if (at < 0.12) return one(counting)
  if (at < 0.2) return one(joining)
  if (at < 0.3) return one(roots) + one(roots)
  return one(roots) + one(ends)
}
const phrase = (most: number) => Array.from({ length: 1 + upTo(most) }, word).join(' ')

type Small = ConstructorParameters<typeof Vocabulary>[0]
const fieldsOf = (many: number) =>
  Array.from({ length: many }, (_, i) => ({
    name: `field${'abcdefghijkl'[i]}`,
    label: phrase(2),
    headings: Object.fromEntries(
      languages
        .filter(() => random.next() < 0.5)
        .map((l) => [l, Array.from({ length: 1 + upTo(3) }, () => phrase(3)).join(', ')]),
    ),
  }))

/** How much one word stands for another, by what is said of it. */
function likeness(heading: string, known: string): number {
  if (heading === known) return 1
  const common = [...heading].findIndex((c, i) => c !== known[i])
  const same = common < 0 ? heading.length : common
  const [rest, restOfKnown] = [heading.slice(same), known.slice(same)]
  const inflects = (end: string) => endings.includes(end)
  const shorter = heading.length < known.length ? rest : restOfKnown
  if (same >= 4 && inflects(rest) && inflects(restOfKnown)) return 0.92
  if (same >= 5 && Math.max(rest.length, restOfKnown.length) <= 3 && inflects(shorter)) return 0.78
  if (rest === '' && heading.length >= 3) return heading.length === 3 ? 0.62 : 0.7
  if (restOfKnown === '' && known.length >= 5) return 0.42
  const isBones =
    heading.length >= 3 &&
    heading.length <= 5 &&
    known.length >= heading.length + 2 &&
    !/[aeiou]/.test(heading.slice(1))
  return isBones && new RegExp(`^${[...heading].map((c) => `[^${c}]*${c}`).join('')}`).test(known) ? 0.56 : 0
}
const endings =
  '|a|e|i|o|u|y|s|n|r|t|d|es|en|er|em|as|os|is|ns|ed|te|ts|x|aux|al|ow|ami|ach|om|ie|ej|ego|ych|ow|ia|ii|ci|oes|ao|aes|one|oni|ione|ioni|ze|ne|na|ny|ni|nej|us|se'.split(
    '|',
  )

/** How well a heading names each field, phrase by phrase and word by word. */
function fitsBy(fields: ReturnType<typeof fieldsOf>, text: string, spoken: Record<string, number>) {
  const phrases = fields
    .flatMap((field) =>
      languages.flatMap((language) => {
        const own = language === 'en' ? [field.label, field.name] : []
        return [...(field.headings[language] ?? '').split(','), ...own].map((said, order) => ({
          field: field.name,
          language,
          order,
          ...readHeading(said),
        }))
      }),
    )
    .filter(({ words }) => words.length > 0)
  const known = [...new Set(phrases.flatMap((p) => p.words))]
  const weightOf = (w: string) => {
    if (joining.includes(w)) return 0.1
    if ([...counting, 'nr'].includes(w)) return 0.3
    const of = new Set(phrases.filter((p) => p.words.includes(w)).map((p) => p.field)).size
    return of === 0 ? 0.7 : Math.max(0.3, 1 / (1 + 0.12 * (of - 1)))
  }
  // words that the vocabulary lacks: one that joins says little, any other something
  const weightInHeading = (w: string) => (known.includes(w) ? weightOf(w) : joining.includes(w) ? 0.1 : 0.7)
  const like = (heading: string, w: string) => {
    const isEnd = !joining.includes(w) && w.length >= 4 && heading.length - w.length >= 2 && heading.endsWith(w)
    return Math.max(heading[0] === w[0] ? likeness(heading, w) : 0, isEnd ? 0.72 : 0)
  }
  const heading = readHeading(text)
  const fits = new Map<string, number>()
  for (const p of phrases) {
    const later = 1 - 0.004 * Math.min(p.order, 25)
    const left = new Set(heading.words.keys())
    let [found, explained] = [0, 0]
    for (const w of p.words) {
      const best = [...left]
        .map((i) => ({ i, by: like(heading.words[i] as string, w) }))
        .sort((a, b) => b.by - a.by || a.i - b.i)[0]
      if (!best || best.by === 0) continue
      left.delete(best.i)
      found += weightOf(w) * best.by
      explained += weightInHeading(heading.words[best.i] as string) * (best.by > 0.6 ? 1 : best.by)
    }
    const cover = found / p.words.reduce((sum, w) => sum + weightOf(w), 0)
    const whole = heading.words.reduce((sum, w) => sum + weightInHeading(w), 0)
    const asSaid = cover < 0.55 ? 0 : cover ** 1.5 * (0.3 + 0.7 * Math.min(1, explained / whole)) * later
    const score =
      (p.joined === heading.joined ? later : asSaid) * (0.9 + 0.1 * Math.min(1, 2 * (spoken[p.language] ?? 0)))
    if (score > 0.2) fits.set(p.field, Math.max(score, fits.get(p.field) ?? 0))
  }
  return fits
}

test('a heading names a field as well as the best of its phrases, worked out phrase by phrase', () => {
  let named = 0
  for (let round = 0; round < 120; round++) {
    const fields = fieldsOf(2 + upTo(8))
    const vocabulary = new Vocabulary([{ name: 'listings', fields }] as unknown as Small)
    for (let i = 0; i < 12; i++) {
      const text =
        random.next() < 0.3
          ? one(['prz', 'vrrt', 'mrk', 'ver', 'dat', 'gewi', 'artikelnr', 'ab', 'angebotspreis'])
          : phrase(3)
      const spoken = Object.fromEntries(languages.map((l) => [l, one([0, 0.2, 0.5, 1])]))
      const ours = vocabulary.fits(readHeading(text), spoken).fits
      const theirs = fitsBy(fields, text, spoken)
      named += theirs.size
      const shown = (fits: ReadonlyMap<string, number>) =>
        [...fits].map(([f, fit]) => [f.split('.').at(-1), fit.toFixed(9)]).sort()
      expect([text, shown(ours)]).toEqual([text, shown(theirs)])
    }
  }
  expect(named).toBeGreaterThan(1000)
})
