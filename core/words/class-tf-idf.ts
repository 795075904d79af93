/**
 * Which words stand for a class of texts: how often a class says a word, times how rare the word is over all classes. One class is
 * one row of counts by word. Source: Grootendorst 2022, BERTopic, arXiv 2203.05794, equation 2:
 * W = tf · log(1 + A / f), A being the mean number of words of a class, f how often all classes together say the word.
 *
 * @returns weights in the shape of the counts
 */
export function classTfIdf(classes: readonly ReadonlyMap<string, number>[]): Map<string, number>[] {
  const all = new Map<string, number>()
  let total = 0
  for (const counts of classes)
    for (const [word, n] of counts) {
      all.set(word, (all.get(word) ?? 0) + n)
      total += n
    }
  const mean = total / classes.length
  return classes.map(
    (counts) => new Map([...counts].map(([word, n]) => [word, n * Math.log(1 + mean / (all.get(word) as number))])),
  )
}
