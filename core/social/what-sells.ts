import { liftsOfCounts, type OptionLift } from '../demand'
import { clipChoices } from './clip-choices'
import type { ClipColumns } from './clip-columns'

/** fewer clips of an option are not compared: there are as many openings as clips */
const least = 10

/**
 * Which sorts, reach, lengths, hours, weekdays and openings go with selling at least once, against the rest of each, with Newcombe's intervals; the false
 * discovery rate is held at 5 % over all. Clips that do not say what they sold are left out.
 *
 * @param places clips of the columns that are compared; all of them without
 */
export function whatSells(columns: ClipColumns, places: Iterable<number> = columns.clips.keys()): OptionLift[] {
  const choices = clipChoices(columns)
  const [sold, of] = [0, 1].map(() => choices.map((c) => new Int32Array(c.options.length))) as [
    Int32Array[],
    Int32Array[],
  ]
  for (const at of places) {
    const units = columns.units[at] as number
    if (Number.isNaN(units)) continue
    for (let c = 0; c < choices.length; c++) {
      const option = choices[c]?.codes[at] as number
      if (option < 0) continue
      ;(of[c] as Int32Array)[option] = ((of[c] as Int32Array)[option] as number) + 1
      if (units > 0) (sold[c] as Int32Array)[option] = ((sold[c] as Int32Array)[option] as number) + 1
    }
  }
  return liftsOfCounts(
    new Map(
      choices.map(({ name, options }, c) => [name, countsOf(options, sold[c] as Int32Array, of[c] as Int32Array)]),
    ),
  )
}

/** Counts of each option; those of too few clips are one together, so that the rest of every other is whole. */
function countsOf(options: readonly string[], sold: Int32Array, of: Int32Array) {
  const counts = new Map<string, { sold: number; of: number }>()
  const few = { sold: 0, of: 0 }
  options.forEach((option, i) => {
    const [s, n] = [sold[i] as number, of[i] as number]
    if (n >= least) counts.set(option, { sold: s, of: n })
    else Object.assign(few, { sold: few.sold + s, of: few.of + n })
  })
  return few.of === 0 ? counts : counts.set(rest, few)
}

/** what is left of a choice; too few of it are not compared either */
const rest = 'any other'
