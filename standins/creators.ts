import { chance, type Chance } from './random'

/** One who makes clips: how many see them, what she is good at, and how she works. */
export interface StandinCreator {
  name: string
  /** by how much her clips sell more or less than others' */
  draw: number
  /** top branches whose goods she shows */
  topics: readonly string[]
  /** share of lives among what she posts, and of clips whose reach she pays for */
  lives: number
  paid: number
  /** usual length of a clip, seconds, and hour of posting */
  length: number
  hour: number
  captions: readonly string[]
}

export interface StandinClip {
  creator: string
  caption: string
  daysAgo: number
  hour: number
  /** seconds */
  length: number
  isLive: boolean
  views: number
  units: number
  isPaid: boolean
}

const captions = [
  'Put up in a minute',
  'A week with it',
  'What came to the window',
  'Before and after',
  'Is it worth it?',
  'Live from the balcony',
]
const names = ['sill', 'perch', 'rail', 'tern', 'moss', 'twine', 'quay']
const tails = ['and_pot', 'garden', 'diary', 'at_home', 'corner']
const topics = ['Garden', 'Home', 'Paper']

function creator(n: number): StandinCreator {
  const random = chance(n * 131 + 7)
  const first = random.whole(0, captions.length - 1)
  return {
    name: `@${random.pick(names)}_${random.pick(tails)}${n + 1}`,
    draw: Math.exp(0.8 * random.normal()),
    topics: random.happens(0.6) ? ['Garden'] : [random.pick(topics), random.pick(topics)],
    lives: random.happens(0.25) ? 0.5 : 0.05,
    paid: random.happens(0.2) ? 0.7 : 0.15,
    length: random.pick([12, 22, 28, 45, 80]),
    hour: random.pick([8, 12, 18, 20, 21]),
    captions: [captions[first] as string, captions[(first + 2) % captions.length] as string],
  }
}

/** Everybody who makes clips. */
export const cast: readonly StandinCreator[] = Array.from({ length: 160 }, (_, n) => creator(n))

/**
 * Truth: lives sell twice as much as clips, clips of 16 to 30 seconds half as much again, an opening by "Before and after" too; hour and weekday make no
 * difference, and paid reach brings views alone.
 */
export function kindFactor({ isLive, length, caption }: Pick<StandinClip, 'isLive' | 'length' | 'caption'>): number {
  return (isLive ? 2 : length > 15 && length <= 30 ? 1.5 : 1) * (caption === 'Before and after' ? 1.5 : 1)
}

export interface Shown {
  /** the clips follow from it */
  seed: number
  /** how many there are */
  count: number
  /** units that they sold together, in the mean */
  units: number
  topic: string
}

/** Clips about one thing over the last 90 days. */
export function clipsAbout({ seed, count, units, topic }: Shown): StandinClip[] {
  const random = chance(seed)
  const fitting = cast.filter((c) => c.topics.includes(topic))
  const made = Array.from({ length: count }, () => unsold(random.pick(fitting.length > 0 ? fitting : cast), random))
  const pulls = made.map(({ by, ...clip }) => by.draw * kindFactor(clip) * Math.exp(0.6 * random.normal()))
  const all = pulls.reduce((a, b) => a + b, 0)
  return made.map(({ by: _, ...clip }, i) => {
    const sold = random.poisson((units * (pulls[i] as number)) / all)
    const reach = clip.isPaid ? random.between(2, 5) : 1
    return { ...clip, units: sold, views: Math.round((sold + 1) * random.between(60, 500) * reach) }
  })
}

function unsold(by: StandinCreator, random: Chance) {
  const isLive = random.happens(by.lives)
  return {
    by,
    creator: by.name,
    caption: isLive ? 'Live from the balcony' : random.pick(by.captions),
    daysAgo: random.whole(0, 89),
    hour: (by.hour + random.whole(-2, 2) + 24) % 24,
    length: isLive ? random.whole(20, 120) * 60 : Math.max(6, Math.round(by.length * random.between(0.8, 1.25))),
    isLive,
    isPaid: random.happens(by.paid),
  }
}
