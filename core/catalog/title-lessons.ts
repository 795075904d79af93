import { learnLessons, type Joinable, type WordLesson } from '../goods'
import type { ListingIndex } from './find-listing'
import type { SaidOfGoods } from './rules'

/** What titles teach, by barcodes and by what the seller said of listings that are there. @param index made when something was said */
export function titleLessons(
  { forms, gtins }: Pick<Joinable, 'forms' | 'gtins'>,
  { apart, together, unlearned }: SaidOfGoods,
  index: () => ListingIndex,
): WordLesson[] {
  const places = (said: Record<string, string>) =>
    Object.entries(said).flatMap(([key, other]) => {
      const [a, b] = [index().find(key), index().find(other)]
      return a === null || b === null ? [] : [[a, b] as const]
    })
  const said = { together: places(together), apart: places(apart) }
  return learnLessons({ forms, gtins, said, takenBack: new Set(Object.keys(unlearned)) })
}
