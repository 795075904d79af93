import { isElectric } from './is-electric'

/** Why one piece should be looked at before it is listed. */
export type SampleNeed = 'electric' | 'dear'

/** a first order that takes as much is dear; common practice, no source. E4 of the home currency */
export const dearFromE4 = 10_000_000

/**
 * @param outlayE4 money in a first order, E4 of the home currency; null where it is not known
 * @param fromE4 what makes it dear; null: nothing does
 */
export function sampleNeed(
  { title, outlayE4 }: { title: string; outlayE4: number | null },
  fromE4: number | null,
): SampleNeed | null {
  if (isElectric(title)) return 'electric'
  return outlayE4 !== null && fromE4 !== null && outlayE4 >= fromE4 ? 'dear' : null
}
