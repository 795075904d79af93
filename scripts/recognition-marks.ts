/** Between these docs/estimates.md holds what `npm run recognition` writes. */
export const recognitionMarks = ['<!-- recognition: begins -->', '<!-- recognition: ends -->'] as const
