import type { Item } from '@sickle/core/catalog'
import type { UnitSeries } from '@sickle/core/demand'
import { plural } from './format'

/** Of which listings the course of an item is the sum, and which of them lack many of its days; '' where all know nearly all. */
export function whoseDays({ series, listings }: Pick<Item, 'series' | 'listings'>): string {
  if (!series) return ''
  const known = listings.flatMap((l) => l.series ?? [])
  const partly = known.filter((s) => !knowsMost(s, series)).length
  const some = known.length < listings.length
  const sum = some ? `The course is the sum of ${known.length} of ${plural(listings.length, 'listing')}` : ''
  // of one alone the course is its own
  const low = known.length > 1 && partly > 0
  const part = `${partly} of ${known.length}${some ? '' : ' listings'} ${partly === 1 ? 'knows' : 'know'} only a part of these days, so it lies too low there`
  const parts = [sum, low ? part : ''].filter(Boolean)
  return parts.length === 0 ? '' : `${parts.join('; ')}.`
}

/** share of the days that a listing may lack without a word: a few that nobody counted are no matter */
const mayLack = 0.1

const daysKnown = (s: UnitSeries) => s.stepDays * s.values.filter((v) => !Number.isNaN(v)).length
const knowsMost = (s: UnitSeries, all: UnitSeries) => daysKnown(s) >= (1 - mayLack) * all.stepDays * all.values.length
