import {
  calibrated,
  combine,
  fromRank,
  fromReviews,
  fromStock,
  unlearnedStock,
  usualReviewRate,
  type Calibration,
  type Estimate,
  type LeaveRate,
  type RankCurve,
} from '../estimates'
import { recent, riseOf, type Reading } from './capture-readings'
import type { ListingReader } from './listing'

export const estimateMethods = ['reviews', 'stock', 'rank'] as const
export type EstimateMethod = (typeof estimateMethods)[number]

/** days that all estimates are of */
export const window = 30

/** What a market's listings of which both are known tell of estimates there. */
export interface MarketLearning {
  reviewRate: LeaveRate
  rank: RankCurve | null
  stock: Calibration | null
  together: Calibration | null
}

/** A market of which nothing is known. */
export const nothingLearned: MarketLearning = { reviewRate: usualReviewRate, rank: null, stock: null, together: null }

/** All of them together, as sure as such have been where both are known. */
export function combinedOf(
  parts: readonly [EstimateMethod, Estimate][],
  { together }: MarketLearning,
): Estimate | null {
  const all = combine(parts.map(([, e]) => e))
  return all && (parts.length > 1 ? calibrated(all, together) : all)
}

/** What captures show of listings over time, and their ranks. */
export interface Shown {
  reviews: ReadonlyMap<number, readonly Reading[]>
  stock: ReadonlyMap<number, readonly Reading[]>
  reader: ListingReader
}

/** Estimates of a listing's 30 days by each method that applies. */
export function partsOf(
  { reviews, stock, reader }: Shown,
  row: number,
  learned: MarketLearning,
): [EstimateMethod, Estimate][] {
  const parts: [EstimateMethod, Estimate | null][] = [
    ['reviews', byReviews(reviews.get(row) ?? [], learned.reviewRate)],
    ['stock', byStock(stock.get(row) ?? [], learned.stock)],
    ['rank', byRank(reader.figure('rank', row), learned.rank)],
  ]
  return parts.flatMap(([method, e]) => (e ? [[method, e] as [EstimateMethod, Estimate]] : []))
}

function byReviews(all: readonly Reading[], rate: LeaveRate): Estimate | null {
  const found = riseOf(all)
  return found && scaled(fromReviews(found.rise, rate), window / (found.to - found.from))
}

function byStock(all: readonly Reading[], learned: Calibration | null): Estimate | null {
  const { estimate, judgedDays, hiddenDays } = stockSales(all)
  const known = estimate && (learned ? calibrated(estimate, learned) : unlearnedStock(estimate))
  return known && scaled(known, window / (judgedDays + hiddenDays))
}

const byRank = (rank: number | null, curve: RankCurve | null) =>
  rank === null || !curve ? null : fromRank(rank, curve)

/** Sales of the last 90 days by falls of stock. */
export const stockSales = (all: readonly Reading[]) =>
  fromStock(recent(all).map(({ day, value }) => ({ day, stock: value })))

function scaled(e: Estimate, by: number): Estimate {
  return { ...e, units: e.units * by, low: e.low * by, high: e.high * by, mean: e.mean * by }
}
