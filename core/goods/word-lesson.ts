/** Words of titles, as numbers into the words of the forms, ascending. */
export interface WordPair {
  these: readonly number[]
  those: readonly number[]
}

/**
 * What listings teach of words: 'same' where these may stand for those ('trough', 'flower box'), 'apart' where a title with these is of
 * other goods than the one with those, or than the one without where there are none ('lite').
 */
export interface WordLesson extends WordPair {
  says: 'same' | 'apart'
  /** pairs of barcodes, or barcodes, that show it */
  barcodes: number
  /** how often the seller said so of two listings */
  byHand: number
  /** two forms of titles that show it */
  example: readonly [number, number]
  /** the seller does not want it */
  isTakenBack: boolean
}

/** Names a lesson by its words, whatever their numbers. */
export const lessonName = (
  { says, these, those }: Pick<WordLesson, 'says'> & WordPair,
  words: readonly string[],
): string => {
  const side = (ids: readonly number[]) =>
    ids
      .map((id) => words[id])
      .sort()
      .join(' ')
  return `${says}: ${[side(these), side(those)].sort().join(' / ')}`
}

/** What is believed. */
export const inForce = (lessons: readonly WordLesson[]): WordLesson[] => lessons.filter((l) => !l.isTakenBack)
