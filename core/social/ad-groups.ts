import type { Ad } from './ad'
import { adWords, isSameAd, type AdWords } from './same-ad'

/** How far an ad has come, by how long it ran and whether it was seen of late. */
export const adStates = ['runs long', 'runs', 'new', 'stopped', 'tried and stopped'] as const
export type AdState = (typeof adStates)[number]

/** One ad under all its numbers. Days since 1970; null where nothing says. */
export interface AdGroup {
  /** of the number that was seen first */
  key: string
  market: string
  advertiser: string
  title: string
  text: string
  picture: string | null
  url: string | null
  /** listings that it shows */
  listings: string[]
  /** how many numbers it ran under */
  numbers: number
  channels: string[]
  media: string[]
  countries: string[]
  languages: string[]
  firstSeen: number | null
  lastSeen: number | null
  /** days from the first to the last it was seen on, both counted */
  days: number | null
  state: AdState | null
  views: number | null
  reactions: number | null
  /** views a day since it was last looked at against before, less 1; null where it was not looked at twice */
  growth: number | null
}

/** days that an ad has to run to be called long, and up to which one that stopped was only tried; common practice, no source */
const [longDays, triedDays] = [30, 14]
/** days without being seen after which it counts as stopped */
const quietDays = 3

/**
 * The same ad under many numbers is one: those of one advertiser that say the same, or show the same picture and say nothing else.
 *
 * @returns those first that ran longest
 */
export function groupAds(ads: readonly Ad[]): AdGroup[] {
  const ends = new Map<string, number>()
  for (const { market, lastSeen } of ads)
    if (lastSeen !== null) ends.set(market, Math.max(ends.get(market) ?? -Infinity, lastSeen))
  const byAdvertiser = new Map<string, Ad[]>()
  for (const ad of ads) {
    const who = `${ad.market}/${ad.advertiser}`
    const its = byAdvertiser.get(who)
    if (its) its.push(ad)
    else byAdvertiser.set(who, [ad])
  }
  return [...byAdvertiser.values()]
    .flatMap((its) => alike(its))
    .map((group) => groupOf(group, ends.get(group[0]?.market ?? '') ?? null))
    .sort((a, b) => (b.days ?? -1) - (a.days ?? -1) || (a.key < b.key ? -1 : 1))
}

/** groups of one advertiser that a text is compared with; beyond them equal texts alone meet */
const mostCompared = 400

function alike(ads: readonly Ad[]): Ad[][] {
  const groups: { words: AdWords; ads: Ad[] }[] = []
  const bySaid = new Map<string, Ad[]>()
  for (const ad of ads) {
    const words = adWords(`${ad.title} ${ad.text}`)
    const said = words.words.length > 0 ? words.words.join(' ') : `picture ${ad.picture ?? ad.key}`
    const known = bySaid.get(said) ?? groups.slice(0, mostCompared).find((g) => isSameAd(g.words, words))?.ads ?? null
    if (known) known.push(ad)
    else groups.push({ words, ads: [ad] })
    bySaid.set(said, known ?? (groups.at(-1)?.ads as Ad[]))
  }
  return groups.map((g) => g.ads)
}

function groupOf(ads: readonly Ad[], end: number | null): AdGroup {
  const first = [...ads].sort((a, b) => (a.firstSeen ?? Infinity) - (b.firstSeen ?? Infinity))[0] as Ad
  const known = (of: (ad: Ad) => number | null) => ads.flatMap((a) => of(a) ?? [])
  const words = (of: (ad: Ad) => string | null) => [...new Set(ads.flatMap((a) => of(a) ?? []))].sort()
  const sum = (values: number[]) => (values.length === 0 ? null : values.reduce((a, b) => a + b, 0))
  const [firsts, lasts] = [known((a) => a.firstSeen), known((a) => a.lastSeen)]
  const firstSeen = firsts.length === 0 ? null : firsts.reduce((a, b) => Math.min(a, b))
  const lastSeen = lasts.length === 0 ? null : lasts.reduce((a, b) => Math.max(a, b))
  const days = firstSeen === null || lastSeen === null ? null : lastSeen - firstSeen + 1
  return {
    key: first.key,
    market: first.market,
    advertiser: first.advertiser,
    title: first.title,
    text: first.text,
    picture: ads.find((a) => a.picture !== null)?.picture ?? null,
    url: ads.find((a) => a.url !== null)?.url ?? null,
    listings: words((a) => a.listing),
    numbers: ads.length,
    channels: words((a) => a.channel),
    media: words((a) => a.medium),
    countries: words((a) => a.country),
    languages: words((a) => a.language),
    firstSeen,
    lastSeen,
    days,
    state: stateOf(days, lastSeen, end),
    views: sum(known((a) => a.views)),
    reactions: sum(known((a) => a.reactions)),
    growth: growthOf(ads),
  }
}

function stateOf(days: number | null, lastSeen: number | null, end: number | null): AdState | null {
  if (days === null || lastSeen === null || end === null) return null
  const runs = end - lastSeen <= quietDays
  if (runs) return days >= longDays ? 'runs long' : days <= triedDays ? 'new' : 'runs'
  return days <= triedDays ? 'tried and stopped' : 'stopped'
}

/** Views a day since the look before the last one, against those a day up to it, over the numbers that were looked at twice. */
function growthOf(ads: readonly Ad[]): number | null {
  let [later, laterDays, earlier, earlierDays] = [0, 0, 0, 0]
  for (const { looks, firstSeen } of ads) {
    const [before, last] = looks.slice(-2)
    if (!before || !last || firstSeen === null || before.day <= firstSeen) continue
    later += last.views - before.views
    laterDays += last.day - before.day
    earlier += before.views
    earlierDays += before.day - firstSeen
  }
  return earlier <= 0 || laterDays === 0 ? null : later / laterDays / (earlier / earlierDays) - 1
}

/** A part of the score of an ad, 0–1; null where it is not known. */
export interface ScorePart {
  name: string
  value: number | null
}

/** How much speaks for an ad that pays its way: 0–100, the mean of the parts that are known; null of fewer than two. A rule of thumb, no measurement. */
export function adScore(ad: AdGroup): { value: number | null; parts: ScorePart[] } {
  const unit = (v: number) => Math.min(1, Math.max(0, v))
  const parts: ScorePart[] = [
    { name: 'days it ran, of 60', value: ad.days === null ? null : unit(ad.days / 60) },
    { name: 'still running', value: ad.state === null ? null : Number(!ad.state.includes('stopped')) },
    { name: 'views a day, growing', value: ad.growth === null ? null : unit(0.5 + ad.growth / 2) },
    { name: 'numbers it runs under, of 5', value: unit(ad.numbers / 5) },
    {
      name: 'reactions a hundred views, of 5',
      value: ad.reactions === null || !ad.views ? null : unit(ad.reactions / ad.views / 0.05),
    },
  ]
  const known = parts.flatMap((p) => p.value ?? [])
  return { value: known.length < 2 ? null : Math.round((100 * known.reduce((a, b) => a + b, 0)) / known.length), parts }
}
