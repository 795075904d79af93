import type { ColumnProfile } from './column-profile'

/** For tests: a column of twenty cells of which nothing is known. */
export const blank: ColumnProfile = {
  ...{ filled: 20, numeric: 0, whole: 0, negative: 0, min: 0, max: 0, high: 0, median: 0, cents: 0 },
  ...{ percentSign: 0, currencySign: 0, day: 0, serialDay: 0, gtin: 0, currencyCode: 0, address: 0 },
  ...{ pictureAddress: 0, handle: 0, lead: 0, tiers: 0, path: 0, code: 0, country: 0, language: 0, listed: {} },
  ...{ sentence: 0, distinct: 0, rising: 0, sameLength: 0, words: 0, length: 0, lower: 0 },
  figures: new Float64Array(),
}
