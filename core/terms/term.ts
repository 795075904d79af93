/** A phrase that buyers search for on one market, with everything that was brought in of it. */
export interface Term {
  /** market/phrase, case folded */
  key: string
  market: string
  phrase: string
  category: string | null
  /** searches a month: the mean of the last twelve months where all are known, else of those that are; see `ofMonths` */
  searches: number
  /** how many months that is the mean of */
  ofMonths: number
  /** first day of the newest period */
  lastDay: number | null
  /** listings that answer to it, as the market says */
  competing: number | null
  /** searches a month / competing listings; null where the latter are not known, or none */
  balance: number | null
  /** searches by calendar month from January, the newest of each; null where a month is not known. Empty without dates. */
  months: (number | null)[]
  /** places by their share of the searches, most first; empty where the file names none */
  places: { name: string; share: number }[]
  change: TermChange | null
}

/** The newest months against those before. */
export interface TermChange {
  /** (later − earlier) / earlier */
  ratio: number | null
  /** exact 95 % interval of the ratio for two Poisson counts; null is open. Reported changes have none. */
  low: number | null
  high: number | null
  /** what was compared: the same months a year before, the three months before those, or what the market itself reports */
  against: 'a year before' | 'the three months before' | 'as reported'
}
