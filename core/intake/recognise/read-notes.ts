import { parseDay, type DateOrder } from '../../notation'

export interface Noted {
  day: { day: number; why: string } | null
  /** days from the first to the last day that a note names */
  period: number | null
}

/** notes are looked at to this length */
const longest = 300
const anyDate =
  /\d{4}-\d{2}-\d{2}|\d{1,2}\.? \p{L}{3,12}\.? \d{4}|\p{L}{3,12} \d{1,2}, \d{4}|\d{1,2}[./]\d{1,2}[./]\d{4}/gu

/** The last day, or the period, that the lines above a table name. */
export function readNotes(notes: readonly string[], order: DateOrder): Noted {
  for (const note of notes) {
    const start = note.slice(0, longest)
    const days = [...start.matchAll(anyDate)].flatMap(([text]) => parseDay(text, order) ?? [])
    const [from, to] = days
    if (from === undefined) continue
    const why = `the file says: ${start}`
    if (to !== undefined && days.length === 2 && to >= from) return { day: { day: to, why }, period: to - from + 1 }
    return { day: { day: from, why }, period: null }
  }
  return { day: null, period: null }
}
