import { isoDay } from '@sickle/core/identity'
import { delimited, image, type Row } from './demo-rows'
import { hitClips } from './demo-hits'
import { clipsOf, commissionOf, trueUnits } from './observables'
import { chance } from './random'
import type { World } from './world'
import type { StandinListing } from './things'

/** Clips and lives about listings of the social shop and about its hits, those of the last 90 days. */
export function clipFile(list: readonly StandinListing[], world: World): string {
  const head = [
    'Clip ID',
    'Creator',
    'Caption',
    'Posted on',
    'Type',
    'Hour posted',
    'Length seconds',
    'Views',
    'Likes',
    'Comments',
    'Units sold',
    'Revenue (USD)',
    'Commission',
    'Paid',
    'Listing ID',
  ]
  const about = [
    ...list.map((l) => ({ id: l.id, price: l.price, commission: commissionOf(l), clips: clipsOf(l) })),
    ...hitClips(world),
  ]
  const rows = about.flatMap(({ id, price, commission, clips }) =>
    clips.map((c, i): Row => [
      `${id}-${i}`,
      c.creator,
      c.caption,
      isoDay(world.firstDay + world.days - 1 - c.daysAgo),
      c.isLive ? 'live' : 'clip',
      c.hour,
      c.length,
      c.views,
      Math.round(c.views * 0.04),
      Math.round(c.views * 0.003),
      c.units,
      (c.units * price).toFixed(2),
      `${(commission * 100).toFixed(0)}%`,
      c.isPaid ? 'yes' : 'no',
      id,
    ]),
  )
  return delimited([head, ...rows], ',')
}

const channels = ['picture boards', 'short clips', 'search results', 'garden newsletters']

const media = ['picture', 'picture', 'video', 'several pictures']
const hooks = [
  'Put it up in a minute, no tools needed.',
  'Made to last for years on any balcony.',
  'What gardeners give each other.',
  'For small balconies and smaller budgets.',
]
const calls = ['Order now!', 'Free delivery this week.', '20 % off until Sunday', '30 % off until Sunday!']

/**
 * Advertisements of the open shops, as they were seen on a day: about every sixth listing is advertised, those that sell more often, each ad under one to four
 * numbers that differ by their call alone. Truth: of those that sell, some run long and are seen more and more; the others are tried and stopped.
 *
 * @param ago how many days before the world's last day it was looked at
 */
export function adFile(list: readonly StandinListing[], world: World, ago = 0): string {
  const head = [
    'Ad ID',
    'Advertiser',
    'Channel',
    'Media type',
    'Headline',
    'Ad text',
    'Language',
    'First seen',
    'Last seen',
    'Country',
    'Impressions',
    'Reactions',
    'Listing ID',
    'Image URL',
  ]
  const today = world.firstDay + world.days - 1 - ago
  const rows = list.flatMap((l): Row[] => {
    const random = chance(Number(l.id) * 17 + 3)
    const sells = trueUnits(l, 30) > 20
    if (!random.happens(sells ? 0.4 : 0.1)) return []
    const [medium, channel, hook] = [random.pick(media), random.pick(channels), random.pick(hooks)]
    const stays = sells && random.happens(0.5)
    const name = l.title.split(',')[0] ?? l.title
    return Array.from({ length: random.whole(1, 4) }, (_, i): Row | null => {
      const first = today + ago - (stays ? random.whole(40, 160) : random.whole(10, 120))
      const end = stays ? today + ago : first + random.whole(3, 20)
      const call = random.pick(calls)
      const [perDay, country] = [random.whole(40, 900), random.pick(['IE', 'PT', 'NL'])]
      if (first > today) return null
      const days = Math.min(today, end) - first + 1
      // what stays is seen more and more
      const views = Math.round(perDay * (stays ? days * (1 + days / 120) : days))
      return [
        `${l.id}-${i}`,
        l.store.name,
        channel,
        medium,
        `${name}: ${call}`,
        hook,
        'English',
        isoDay(first),
        isoDay(Math.min(today, end)),
        country,
        views,
        Math.round(views * (stays ? 0.03 : 0.012)),
        l.id,
        image(l),
      ]
    }).filter((row) => row !== null)
  })
  return delimited([head, ...rows], ',')
}
