import { isoDay } from '@sickle/core/identity'
import { delimited, type Row } from './demo-rows'
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

/** Advertisements of the open shops: about every sixth listing is advertised, those that sell more often. */
export function adFile(list: readonly StandinListing[], world: World): string {
  const head = [
    'Ad ID',
    'Advertiser',
    'Channel',
    'Headline',
    'First seen',
    'Last seen',
    'Country',
    'Impressions',
    'Reactions',
    'Listing ID',
  ]
  const last = world.firstDay + world.days - 1
  const rows = list.flatMap((l): Row[] => {
    const random = chance(Number(l.id) * 17 + 3)
    if (!random.happens(trueUnits(l, 30) > 20 ? 0.4 : 0.1)) return []
    return Array.from({ length: random.whole(1, 3) }, (_, i): Row => {
      const first = last - random.whole(10, 160)
      const views = random.whole(400, 60_000)
      return [
        `${l.id}-${i}`,
        l.store.name,
        random.pick(channels),
        l.title.split(',')[0] ?? l.title,
        isoDay(first),
        isoDay(Math.min(last, first + random.whole(3, 80))),
        random.pick(['IE', 'PT', 'NL']),
        views,
        Math.round(views * 0.02),
        l.id,
      ]
    })
  })
  return delimited([head, ...rows], ',')
}
