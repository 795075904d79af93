import type { ClipColumns } from './clip-columns'

/** A choice that every clip makes: its options, and which each clip chose; −1 where it is not known. */
export interface ClipChoice {
  name: string
  options: readonly string[]
  codes: ArrayLike<number>
}

const weekdays = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday']
/** the first of January 1970 was a Thursday */
const weekdayOf = (day: number) => (((day + 3) % 7) + 7) % 7

/** lengths that are compared, seconds: what a clip runs to at most */
const lengths = [15, 30, 60]
const lengthNames = ['up to 15 s', '16–30 s', '31–60 s', 'over 60 s']
/** hours of each part of a day */
const partHours = 4
const partNames = Array.from({ length: 24 / partHours }, (_, i) => `${i * partHours}–${(i + 1) * partHours} h`)

const made = new WeakMap<ClipColumns, readonly ClipChoice[]>()

/** What clips are compared by: made once for the same columns. */
export function clipChoices(columns: ClipColumns): readonly ClipChoice[] {
  const choices = made.get(columns) ?? choicesOf(columns)
  made.set(columns, choices)
  return choices
}

function choicesOf({ clips, isLive, paid, day, opening }: ClipColumns): ClipChoice[] {
  const coded = (of: (at: number) => number | null) => Int8Array.from({ length: clips.length }, (_, at) => of(at) ?? -1)
  return [
    { name: 'Sort', options: ['clip', 'live'], codes: isLive },
    { name: 'Reach', options: ['not paid', 'paid'], codes: paid },
    // a live is as long as it is: lengths are of clips alone
    {
      name: 'Length',
      options: lengthNames,
      codes: coded((at) => (isLive[at] === 1 ? null : lengthOf(clips[at]?.length ?? null))),
    },
    {
      name: 'Posted at',
      options: partNames,
      codes: coded((at) => {
        const hour = clips[at]?.hour ?? null
        return hour === null ? null : Math.floor(hour / partHours)
      }),
    },
    {
      name: 'Day',
      options: weekdays,
      codes: coded((at) => (Number.isNaN(day[at]) ? null : weekdayOf(day[at] as number))),
    },
    { name: 'Opening', options: opening.words.map((w) => `“${w} …”`), codes: opening.codes },
  ]
}

function lengthOf(seconds: number | null): number | null {
  if (seconds === null) return null
  const at = lengths.findIndex((most) => seconds <= most)
  return at < 0 ? lengths.length : at
}
