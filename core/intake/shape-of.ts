import { headingWords } from './guess-columns'
import { rejectColumns } from './import-rows'
import type { Mapping } from './propose-mapping'

/** What makes two files 'of the same shape': their headings in any order. Rejected rows that come back count as the same. */
export function shapeOf(headings: readonly string[]): string {
  return headings
    .filter((h) => !(rejectColumns as readonly string[]).includes(h))
    .map((h) => headingWords(h) || h)
    .sort()
    .join('\u0001')
}

/** A mapping remembered from one file, laid on another of the same shape whose columns may stand in another order. */
export function applyRemembered(
  remembered: { headings: string[]; mapping: Mapping },
  headings: readonly string[],
  proposed: Mapping,
): Mapping {
  const uses = new Map(remembered.headings.map((h, i) => [headingWords(h) || h, remembered.mapping.columns[i]]))
  return {
    ...remembered.mapping,
    columns: headings.map((h) => uses.get(headingWords(h) || h) ?? { as: 'unused' }),
    capturedOn: proposed.capturedOn,
  }
}
