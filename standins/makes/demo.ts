import { archetypes, moreColours } from '../archetypes'
import { packWords, sloppyTitle } from '../titles'
import { logNormalRates, reviewRates } from './seen'
import { lastDays, sumOf, type Seen, type Selling, type WorldMake } from './world-make'

/** A little wilder than Poisson, in moods of days. */
const moods: Selling = {
  demand: (random) => Math.min(70, Math.exp(-0.35 + 1.25 * random.normal())),
  dead: 0.18,
  days: (expected, days, random) => {
    let mood = 0
    return Array.from({ length: days }, (_, d) => {
      mood = 0.8 * mood + 0.12 * random.normal()
      return random.poisson(expected(d) * Math.exp(mood))
    })
  },
}

/** Looked at about every third day, restocked when it runs low. */
const stockLooks: Seen['stockLooks'] = (l, random) => {
  const sold = lastDays(l, 90)
  const lot = Math.max(10, Math.round((sumOf(sold) / 90) * random.between(20, 60)))
  let stock = lot
  let next = 0
  const looks: { day: number; stock: number }[] = []
  sold.forEach((units, day) => {
    stock -= units
    while (stock < lot * 0.1) stock += lot
    if (day < next) return
    looks.push({ day, stock })
    next = day + random.whole(1, 5) + (random.happens(0.04) ? 20 : 0)
  })
  return looks
}

/** Cheap offers and those that sell well are shown first more often. */
const featured: Seen['featured'] = (list) => {
  const cheapest = Math.min(...list.map((l) => l.price + l.delivery))
  const pulls = list.map((l) => (cheapest / (l.price + l.delivery)) ** 6 * (1 + Math.sqrt(sumOf(lastDays(l, 30)))))
  return pulls.map((p) => p / sumOf(pulls))
}

/** The demo's: small gardens and what hangs in them. */
export const demoMake: WorldMake = {
  name: 'the demo',
  archetypes,
  moreColours,
  writing: { title: sloppyTitle, pack: packWords },
  selling: moods,
  seen: {
    // about half, from store to store by a quarter more or less
    leaveRate: logNormalRates(0.5, 0.25),
    // reviews are left more rarely, and from goods to goods by more
    reviewRate: reviewRates(0.18, 0.4),
    stockLooks,
    rankedBy: (l, random) => (sumOf(lastDays(l, 30)) + 0.3) * Math.exp(0.25 * random.normal()),
    featured,
  },
}
