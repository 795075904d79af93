import { clipOutlook, type EarningClip } from './clip-outlook'

/** How often a clip of a creator who was left out lies in the range that the others give. */
export interface HeldOut {
  tried: number
  held: number
}

/** Leaves out each creator in turn; of her clips the first is looked for. Sets without a range are passed over. */
export function heldOut(sets: readonly (readonly EarningClip[])[]): HeldOut {
  let [tried, held] = [0, 0]
  for (const clips of sets)
    for (const creator of new Set(clips.map((c) => c.creator))) {
      const range = clipOutlook(clips.filter((c) => c.creator !== creator))?.range
      const hers = clips.find((c) => c.creator === creator)?.earnedE4
      if (!range || hers === undefined) continue
      tried++
      if (hers >= range.lowE4 && hers <= range.highE4) held++
    }
  return { tried, held }
}
