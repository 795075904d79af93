import { deskGoods, germanWriting } from './desk'
import { kitchenGoods, modelWriting } from './kitchen'
import { frenchWriting, petGoods } from './pets'
import {
  anyDays,
  clusteredDays,
  everyFewDays,
  everyMonday,
  featuredBySales,
  logNormalRates,
  nowAndThen,
  rankedByRevenue,
  rankedByUnits,
  rarerRates,
  reviewRates,
  smallLots,
  stock,
  wildReviewRates,
} from './seen'
import { promotions, severalAtOnce, unevenDays } from './selling'
import type { WorldMake } from './world-make'

export { demoMake } from './demo'
export type { Seen, Selling, WorldMake, Writing } from './world-make'

const kitchen = { archetypes: kitchenGoods, moreColours: ['blue', 'yellow'], writing: modelWriting }
const desk = { archetypes: deskGoods, moreColours: ['blau', 'gelb'], writing: germanWriting }
const pets = { archetypes: petGoods, moreColours: ['violet', 'jaune'], writing: frenchWriting }

/** Worlds whose goods, writing, sales and looks are none that an estimate assumes: figures are judged by them. */
export const otherMakes: readonly WorldMake[] = [
  {
    name: 'kitchens, weeks of offers',
    ...kitchen,
    selling: promotions,
    seen: {
      leaveRate: logNormalRates(0.35, 0.5),
      reviewRate: wildReviewRates(0.1, 0.5),
      stockLooks: stock(clusteredDays, smallLots),
      rankedBy: rankedByUnits(7, 0.4),
      featured: featuredBySales(1, 0.5),
    },
  },
  {
    name: 'desks, uneven days',
    ...desk,
    selling: unevenDays,
    seen: {
      leaveRate: logNormalRates(0.5, 0.8),
      reviewRate: reviewRates(0.25, 0.7),
      stockLooks: stock(everyFewDays, everyMonday),
      rankedBy: rankedByRevenue(30, 0.2),
      featured: featuredBySales(0.6, 0.8),
    },
  },
  {
    name: 'pets and babies, several at once',
    ...pets,
    selling: severalAtOnce,
    seen: {
      leaveRate: rarerRates(0.35, 0.25),
      reviewRate: reviewRates(0.06, 0.3),
      stockLooks: stock(anyDays, nowAndThen),
      rankedBy: rankedByUnits(30, 0.6),
      featured: featuredBySales(0.85, 1),
    },
  },
]

/** The same parts put together anew: kept aside until everything else stands. */
export const asideMakes: readonly WorldMake[] = [
  {
    name: 'desks, weeks of offers',
    ...desk,
    selling: promotions,
    seen: {
      leaveRate: rarerRates(0.5, 0.5),
      reviewRate: wildReviewRates(0.2, 0.4),
      stockLooks: stock(anyDays, everyMonday),
      rankedBy: rankedByUnits(14, 0.3),
      featured: featuredBySales(0.75, 0.6),
    },
  },
  {
    name: 'pets and babies, uneven days',
    ...pets,
    selling: unevenDays,
    seen: {
      leaveRate: logNormalRates(0.35, 0.8),
      reviewRate: reviewRates(0.12, 0.5),
      stockLooks: stock(clusteredDays, nowAndThen),
      rankedBy: rankedByRevenue(30, 0.4),
      featured: featuredBySales(1, 0.9),
    },
  },
  {
    name: 'kitchens, several at once',
    ...kitchen,
    selling: severalAtOnce,
    seen: {
      leaveRate: logNormalRates(0.5, 0.25),
      reviewRate: wildReviewRates(0.08, 0.3),
      stockLooks: stock(everyFewDays, smallLots),
      rankedBy: rankedByUnits(30, 0.2),
      featured: featuredBySales(0.5, 0.7),
    },
  },
]

/** Put together when all rules stood, and looked at once. */
export const lastMakes: readonly WorldMake[] = [
  {
    name: 'kitchens, uneven days',
    ...kitchen,
    selling: unevenDays,
    seen: {
      leaveRate: rarerRates(0.45, 0.4),
      reviewRate: reviewRates(0.15, 0.6),
      stockLooks: stock(anyDays, smallLots),
      rankedBy: rankedByUnits(20, 0.5),
      featured: featuredBySales(0.7, 0.5),
    },
  },
  {
    name: 'pets and babies, weeks of offers',
    ...pets,
    selling: promotions,
    seen: {
      leaveRate: logNormalRates(0.4, 0.35),
      reviewRate: wildReviewRates(0.15, 0.25),
      stockLooks: stock(clusteredDays, everyMonday),
      rankedBy: rankedByRevenue(14, 0.5),
      featured: featuredBySales(0.9, 0.4),
    },
  },
  {
    name: 'desks, several at once',
    ...desk,
    selling: severalAtOnce,
    seen: {
      leaveRate: rarerRates(0.3, 0.6),
      reviewRate: wildReviewRates(0.12, 0.6),
      stockLooks: stock(everyFewDays, nowAndThen),
      rankedBy: rankedByRevenue(7, 0.3),
      featured: featuredBySales(0.8, 0.8),
    },
  },
]
