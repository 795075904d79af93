import { liftsOfCounts, type OptionLift } from '../demand'
import type { ClipColumns } from './clip-columns'

const weekdays = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday']
/** the first of January 1970 was a Thursday */
const weekdayOf = (day: number) => (((day + 3) % 7) + 7) % 7

/** A choice that every clip makes: its options, and which a clip chose; −1 where it is not known. */
interface ClipChoice {
  name: string
  options: readonly string[]
  of: (at: number) => number
}

function choicesOf({ isLive, paid, day, opening }: ClipColumns): ClipChoice[] {
  return [
    { name: 'Sort', options: ['clip', 'live'], of: (at) => isLive[at] as number },
    { name: 'Reach', options: ['not paid', 'paid'], of: (at) => paid[at] as number },
    { name: 'Day', options: weekdays, of: (at) => (Number.isNaN(day[at]) ? -1 : weekdayOf(day[at] as number)) },
    {
      name: 'Opening',
      options: opening.words.map((w) => `“${w} …”`),
      of: (at) => opening.codes[at] as number,
    },
  ]
}

/**
 * Which sorts, reach, weekdays and openings go with selling at least once, against the rest of each, with Newcombe's intervals; the false discovery
 * rate is held at 5 % over all. Clips that do not say what they sold are left out.
 *
 * @param places clips of the columns that are compared; all of them without
 */
export function whatSells(columns: ClipColumns, places: Iterable<number> = columns.clips.keys()): OptionLift[] {
  const choices = choicesOf(columns)
  const [sold, of] = [0, 1].map(() => choices.map((c) => new Int32Array(c.options.length))) as [
    Int32Array[],
    Int32Array[],
  ]
  for (const at of places) {
    const units = columns.units[at] as number
    if (Number.isNaN(units)) continue
    for (let c = 0; c < choices.length; c++) {
      const option = (choices[c] as ClipChoice).of(at)
      if (option < 0) continue
      ;(of[c] as Int32Array)[option] = ((of[c] as Int32Array)[option] as number) + 1
      if (units > 0) (sold[c] as Int32Array)[option] = ((sold[c] as Int32Array)[option] as number) + 1
    }
  }
  return liftsOfCounts(
    new Map(
      choices.map(({ name, options }, c) => [
        name,
        new Map(
          options.flatMap((option, i) => {
            const n = of[c]?.[i] ?? 0
            return n === 0 ? [] : [[option, { sold: sold[c]?.[i] ?? 0, of: n }] as const]
          }),
        ),
      ]),
    ),
  )
}
