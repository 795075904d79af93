import { clipOutlook, type EarningClip } from '@sickle/core/social'
import { chance, type Chance } from './random'

/** How clips come to earn what they do, in a world that no rule was tuned to. */
export interface ClipMake {
  name: string
  /** share of clips that earn nothing, at the middle */
  nothing: number
  /** log-sd between creators, and between the clips of one */
  creators: number
  clips: number
  /** creators of an item */
  from: number
  to: number
  /** clips a creator makes beyond the first, in the mean */
  more: number
}

export const clipMakes: readonly ClipMake[] = [
  { name: 'few creators, all alike', nothing: 0, creators: 0.2, clips: 0.4, from: 10, to: 12, more: 0 },
  { name: 'creators of different draw', nothing: 0.05, creators: 1.2, clips: 0.5, from: 12, to: 30, more: 1 },
  { name: 'most clips earn nothing', nothing: 0.6, creators: 0.6, clips: 1.2, from: 10, to: 40, more: 1 },
  { name: 'one clip in many is lucky', nothing: 0.2, creators: 0.3, clips: 2.2, from: 20, to: 60, more: 2 },
  { name: 'many creators', nothing: 0.12, creators: 0.9, clips: 0.9, from: 60, to: 120, more: 0.5 },
]

function itemOf({ nothing, creators, clips, from, to, more }: ClipMake, random: Chance): EarningClip[] {
  const pull = Math.exp(random.normal())
  return Array.from({ length: random.whole(from, to) }, (_, i) => {
    const draw = Math.exp(creators * random.normal())
    const idle = Math.min(0.95, nothing * Math.exp(0.3 * random.normal()))
    return Array.from({ length: 1 + random.poisson(more) }, (): EarningClip => {
      const earnedE4 = Math.round(30_000 * pull * draw * Math.exp(clips * random.normal()))
      return { creator: `c${i}`, earnedE4: random.happens(idle) ? 0 : earnedE4 }
    })
  }).flat()
}

/** How often a clip of a creator who was left out lies in the range that the others give. */
export interface HeldOut {
  tried: number
  held: number
}

/** Leaves out each creator in turn; of her clips the first is looked for. Sets without a range are passed over. */
function heldOut(sets: readonly (readonly EarningClip[])[]): HeldOut {
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

/** How often the range of what a clip earns holds for a creator who was left out, over many items of a make. */
export function clipTrial(make: ClipMake, seed: number, items = 120): HeldOut {
  const random = chance(seed)
  return heldOut(Array.from({ length: items }, () => itemOf(make, random)))
}
