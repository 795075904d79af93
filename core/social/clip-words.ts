/** Is it a broadcast, by the word for its sort? */
export const isLiveSort = (sort: string | null): boolean => /live|stream/i.test(sort ?? '')

/** Was its reach paid for, by the word for it? null where it does not say. */
export const isPaidWord = (paid: string | null): boolean | null =>
  paid === null ? null : /^(?:y|t|1|paid|ja|oui|s[ií]|tak)/i.test(paid.trim())
