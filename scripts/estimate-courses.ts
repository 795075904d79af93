import { noiseStrength, stageOfLife, stl, strengths, type UnitSeries } from '../core/demand'
import { isReadRight, judgedPacks } from '../core/goods/judged-packs'
import { course, courseMakes, type CourseMake } from '../standins/courses'
import { chance } from '../standins/random'

const rates = [0.3, 1, 3, 10]
const [tries, halfYear] = [400, 182]
const p = (x: number) => `${(x * 100).toFixed(1)} %`
const moving: Record<string, 'up' | 'down' | 'flash'> = {
  Ripening: 'up',
  Sprouting: 'up',
  Fading: 'down',
  Flash: 'flash',
}

interface Said {
  moves: number
  up: number
  down: number
  held: number
}

/** What is said of many series of one make at one rate. @param times the level of the last four weeks, 1 is steady */
function saidOf(make: CourseMake, perDay: number, times: number, days = halfYear): Said {
  const said = { up: 0, down: 0, flash: 0 }
  let [held, of] = [0, 0]
  for (let i = 0; i < tries; i++) {
    const change = times === 1 ? undefined : { daysAgo: 28, times }
    const values = course(make, { perDay, days, seed: 104_729 * i + Math.round(perDay * 100) + 3, change })
    const series: UnitSeries = { start: 20_000, stepDays: 1, values }
    const life = stageOfLife([series])
    if (!life) continue
    const way = moving[life.stage]
    if (way) said[way]++
    if (life.growth === null) continue
    of++
    if ((life.growthLow ?? -1) <= times - 1 && times - 1 <= (life.growthHigh ?? Infinity)) held++
  }
  return {
    moves: (said.up + said.down + said.flash) / tries,
    up: said.up / tries,
    down: said.down / tries,
    held: held / of,
  }
}

function table(of: (make: CourseMake, perDay: number) => string): string {
  const rows = courseMakes.map(
    (make) => `| ${make.name}${make.isTuned ? '' : ' *'} | ${rates.map((r) => of(make, r)).join(' | ')} |`,
  )
  return [
    `| course | ${rates.map((r) => `${r} a day`).join(' | ')} |`,
    `|---|${rates.map(() => '---:|').join('')}`,
    ...rows,
  ].join('\n')
}

/** How often noise passes for a season: months that pull on the next by so much. */
function seasonOfNoise(months: number, pull: number): number {
  const random = chance(1000 + months + pull * 10)
  let hits = 0
  for (let i = 0; i < 1000; i++) {
    let level = random.normal()
    const values = Float64Array.from(
      { length: months },
      () => (level = pull * level + Math.sqrt(1 - pull ** 2) * random.normal()),
    )
    if (strengths(stl(values, 12)).season >= Math.max(0.64, noiseStrength(months))) hits++
  }
  return hits / 1000
}

/** What is said of sales over time, judged on courses whose truth is known: written into docs/estimates.md by `npm run estimates`. */
export function coursesSection(): string {
  const lengths = [25, 28, 32, 36, 48, 60]
  return `## Words of movement, and intervals of growth

Half a year of daily sales of known make (\`standins/courses.ts\`), ${tries} series a cell. Thresholds were found on the first two makes; those with a star were kept aside and
looked at when the thresholds stood. A "word of movement" is Sprouting, Ripening, Fading or Flash.

Steady sales that get a word of movement (it should be few):

${table((make, r) => p(saidOf(make, r, 1).moves))}

The same where fifty days alone are known, too few to tell how sales swing:

${table((make, r) => p(saidOf(make, r, 1, 50).moves))}

How often the 95 % interval of growth holds the truth, which is none:

${table((make, r) => p(saidOf(make, r, 1).held))}

Sales that doubled four weeks ago and are said to rise, and that halved and are said to fade:

${table((make, r) => `${p(saidOf(make, r, 2).up)}, ${p(saidOf(make, r, 0.5).down)}`)}

Where weeks swing by half and pull on each other, a doubling is no more than two such weeks: about half are told. What is not told is "Ripe" only where the
interval of growth is narrow; else it is "Unclear".

Noise that passes for a season, by months (1,000 series each):

| months pull on the next by | ${lengths.map((m) => `${m} months`).join(' | ')} |
|---|${lengths.map(() => '---:|').join('')}
${[0, 0.3].map((pull) => `| ${pull} | ${lengths.map((m) => p(seasonOfNoise(m, pull))).join(' | ')} |`).join('\n')}
`
}

/** Pack counts of titles in eight languages, judged by labels of common sense. */
export function packsSection(): string {
  const halves = ([0, 1] as const).map(judgedPacks)
  const share = (of: (p: ReturnType<typeof judgedPacks>[number]) => boolean) =>
    halves
      .map((packs) => {
        const some = packs.filter(of)
        return `${some.filter(isReadRight).length} of ${some.length}`
      })
      .join(' | ')
  const languages = [...new Set(halves.flat().map((p) => p.language))].sort()
  return `## Pack counts in eight languages

Titles of many trades, labelled by common sense before the patterns were written (\`core/goods/fixtures/pack-titles-languages.tsv\`) or changed (\`pack-titles-more.tsv\`, 222
titles, of which either half was read 91 % right when first met); every second one was kept aside. Of the second list's half kept aside 93 % were right when the other half had
mended the patterns, and 98 % once those were completed in thought; none was looked at, but one hand wrote both halves. A third list (\`pack-titles-third.tsv\`, 120
titles of other goods) was written when the patterns stood: 117 were right when first met, 59 and 58 of each half's 60; then containers got their plurals. A fourth (\`pack-titles-fourth.tsv\`,
112 titles) came later still: 105 were right when first met, 50 and 55 of each half's 56; then bags and small boxes, and walking socks in pairs, were read as the first half showed. Traps say a figure that is no pack: pieces of a puzzle, drawers, sides, thread counts, years, pairs that are one thing.

| | tuned on | kept aside |
|---|---:|---:|
| all | ${share(() => true)} |
| that say a pack | ${share((p) => p.truth !== null)} |
| traps | ${share((p) => p.truth === null)} |
${languages.map((l) => `| ${l} | ${share((p) => p.language === l)} |`).join('\n')}
`
}
