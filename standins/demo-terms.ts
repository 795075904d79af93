import { isoDay } from '@sickle/core/identity'
import { archetypes, type Archetype } from './archetypes'
import { seasonFactor } from './demand-curve'
import { chance, type Chance } from './random'
import type { World } from './world'

/** A phrase that buyers of the made-up markets search for, with its truth. */
export interface StandinTerm {
  phrase: string
  archetype: Archetype
  /** searches a month over a whole year, in all places */
  searches: number
  competing: number
  /** searches of one year against the year before */
  yearly: number
}

/** Places of the made-up country, with their share of buyers and by how many days their seasons run late. */
export const places = [
  { name: 'Harbour towns', share: 0.5, late: 0 },
  { name: 'Inland', share: 0.32, late: -6 },
  { name: 'Northern isles', share: 0.18, late: 21 },
] as const

const before = ['small', 'large', 'wooden', 'metal', 'cheap']
const after = ['for balcony', 'gift', 'with hooks', 'weatherproof', 'for small garden', 'for beginners']

/** Terms of one market: what its goods are called, and longer phrases around that, fewer searched for but less crowded. */
export function demoTerms(world: World, market: string, seed = 77): StandinTerm[] {
  const random = chance(seed + market.length * 101)
  const counts = new Map<Archetype, number>()
  for (const l of world.listings)
    if (l.store.market.name === market)
      counts.set(l.goods.archetype, (counts.get(l.goods.archetype) ?? 0) + 1 + l.goods.demand)
  return archetypes
    .filter((a) => counts.has(a))
    .flatMap((a) => phrasesOf(a, (counts.get(a) as number) * random.between(20, 60), random))
}

function phrasesOf(archetype: Archetype, buyers: number, random: Chance): StandinTerm[] {
  const { noun, also, motifs, sizes, colours } = archetype
  const longer = [
    ...before.slice(0, 3).map((w) => `${w} ${noun}`),
    ...after.map((w) => `${noun} ${w}`),
    ...(sizes ?? []).slice(0, 2).map((s) => `${noun} ${s}`),
    ...(colours ?? []).slice(0, 2).map((c) => `${c} ${noun}`),
    ...(motifs ?? []).slice(0, 6).map((m) => `${m.toLowerCase()} ${noun}`),
  ].filter(() => random.happens(0.7))
  const crowd = random.normal()
  const yearly = random.happens(0.15) ? random.between(1.25, 1.9) : random.happens(0.15) ? random.between(0.5, 0.8) : 1
  return [noun, ...also, ...longer].map((phrase, i) => {
    const share = i === 0 ? 1 : i <= also.length ? random.between(0.2, 0.8) : random.between(0.01, 0.12)
    return {
      phrase,
      archetype,
      searches: buyers * share,
      // Long phrases lose listings faster than buyers: that is why they are looked for.
      competing: Math.max(1, Math.round(buyers * 0.3 * Math.exp(0.9 * crowd + 0.6 * random.normal()) * share ** 1.25)),
      yearly: yearly * random.between(0.93, 1.07),
    }
  })
}

const months = 24

/** Rows of two years: a term in a place in a month, as a market's own search report has them. */
export function termRows(world: World, market: string): (string | number)[][] {
  const random = chance(market.length * 7919)
  const last = new Date((world.firstDay + world.days - 1) * 86_400_000)
  return demoTerms(world, market).flatMap(({ phrase, archetype, searches, competing, yearly }) =>
    Array.from({ length: months }, (_, i) => {
      const first = Date.UTC(last.getUTCFullYear(), last.getUTCMonth() - months + 1 + i, 1) / 86_400_000
      const level = searches * yearly ** ((i - (months - 7)) / 12)
      return places.map(({ name, share, late }) => [
        phrase,
        isoDay(first),
        name,
        random.poisson(level * share * seasonFactor(archetype.season, first + 15 - late) * random.between(0.97, 1.03)),
        competing,
        archetype.category.split('/').join(' > '),
      ])
    }).flat(),
  )
}
