import { weekday } from '@sickle/core/identity'
import type { Season } from './archetypes'
import type { Goods } from './things'

/** Which day of the year each season peaks, and how strongly it swings. */
const seasons: Record<Season, { peak: number; swing: number }> = {
  warm: { peak: 165, swing: 0.35 },
  cold: { peak: 15, swing: 0.35 },
  sowing: { peak: 85, swing: 0.3 },
  even: { peak: 0, swing: 0 },
}

const week = [1.02, 0.95, 0.93, 0.96, 0.98, 1.04, 1.12]

/** Expected units on a day as a factor of a goods' plain demand: season, weekday, and where in its life it stands. */
export function demandFactor(goods: Goods, day: number, first: number, days: number): number {
  return (
    seasonFactor(goods.archetype.season, day) * (week[weekday(day)] as number) * lifeFactor(goods, (day - first) / days)
  )
}

/** How much more or less than over the whole year is bought on a day. */
export function seasonFactor(season: Season, day: number): number {
  const { peak, swing } = seasons[season]
  const ofYear = ((day % 365.25) + 365.25) % 365.25
  return 1 + swing * Math.cos((2 * Math.PI * (ofYear - peak)) / 365.25)
}

/** The course of a life over the 180 days; t runs from 0 to 1. */
function lifeFactor(goods: Goods, t: number): number {
  switch (goods.stage) {
    case 'Ripe':
      return 1
    case 'Ripening':
      return t < 0.4 ? 0.5 : 0.5 + ((t - 0.4) / 0.6) * 1.9
    case 'Fading':
      return t < 0.4 ? 1.7 : Math.max(0.12, 1.7 - ((t - 0.4) / 0.6) * 1.5)
    case 'Sprouting':
      return t < goods.turn ? 0 : 0.5 + 3 * ((t - goods.turn) / (1 - goods.turn))
    case 'Flash':
      return 0.06 + 7 * Math.exp(-(((t - goods.turn) / 0.022) ** 2))
  }
}
