/** A word's use in two groups of texts. */
export interface WordCount {
  word: string
  /** texts of the first and of the second group that say it */
  first: number
  second: number
}

export interface WordPull extends WordCount {
  /** log-odds of the word in the first group less those in the second */
  logOdds: number
  /** the same in standard deviations: beyond ±1.96 is hardly chance, were it the only word looked at */
  z: number
}

/**
 * Log-odds ratio with an informative Dirichlet prior: how much more one group uses each word, shrunk towards what both together
 * use. Source: Monroe, Colaresi & Quinn 2008, Fightin' Words, Political Analysis 16, equations 15 to 22.
 *
 * @param counts of all words, also of those that are not of interest: they make up the totals
 * @param strength of the prior, in words (default 100)
 */
export function logOddsPrior(counts: readonly WordCount[], strength = 100): WordPull[] {
  const [first, second] = [total(counts, 'first'), total(counts, 'second')]
  return counts.map((c) => {
    const prior = (strength * (c.first + c.second)) / (first + second)
    const [a, b] = [c.first + prior, c.second + prior]
    // a word that nobody says, or that is all that is said, is used no more by the one than by the other
    if (!(prior > 0) || c.first + c.second === first + second) return { ...c, logOdds: 0, z: 0 }
    const logOdds = Math.log(a / (first + strength - a)) - Math.log(b / (second + strength - b))
    return { ...c, logOdds, z: logOdds / Math.sqrt(1 / a + 1 / b) }
  })
}

function total(counts: readonly WordCount[], group: 'first' | 'second'): number {
  return counts.reduce((sum, c) => sum + c[group], 0)
}
