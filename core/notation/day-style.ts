import { dayNumber } from '../identity'

/** In which order a file writes day, month and year where they are all digits. */
export type DateOrder = 'dmy' | 'mdy'

export interface DateOrderGuess {
  order: DateOrder
  sure: boolean
  example: string | null
  /** days that can be written in one order only */
  votes: number
}

const numeric = /^(\d{1,2})[./-](\d{1,2})[./-](\d{4}|\d{2})\b/

/** a figure, and no day written without marks */
const isPlain = /^-?(?:\d{1,7}|\d{9,}|\d{1,15}[.,]\d{1,4})$/

/** no day that a person writes is longer */
const longest = 80

/** What texts say of the order of day and month; those of several columns can be added up. */
export interface OrderVotes {
  dmy: number
  mdy: number
  /** days written with points, as is usual where the day comes first */
  dotted: number
  doubtful: string | null
}

export function orderVotes(texts: Iterable<string>): OrderVotes {
  const votes: OrderVotes = { dmy: 0, mdy: 0, dotted: 0, doubtful: null }
  for (const text of texts) {
    if (text.length > longest) continue
    const m = numeric.exec(text.trim())
    if (!m) continue
    const [a, b] = [Number(m[1]), Number(m[2])]
    if (a > 12 && b <= 12) votes.dmy++
    else if (b > 12 && a <= 12) votes.mdy++
    else if (/^\d+\./.test(text.trim())) votes.dotted++
    else if (a !== b) votes.doubtful ??= text.trim()
  }
  return votes
}

/** 25/12 can only be day first and 12/25 only month first; where nothing decides, dots speak for day first, else it is asked. */
export function orderOfVotes(all: readonly OrderVotes[]): DateOrderGuess {
  const sum = (of: (v: OrderVotes) => number) => all.reduce((n, v) => n + of(v), 0)
  const [dmy, mdy] = [sum((v) => v.dmy + 0.01 * v.dotted), sum((v) => v.mdy)]
  const doubtful = all.find((v) => v.doubtful !== null)?.doubtful ?? null
  const sure = dmy > 0 !== mdy > 0 || (doubtful === null && mdy === 0)
  return {
    order: mdy > dmy ? 'mdy' : 'dmy',
    sure,
    example: sure ? null : doubtful,
    votes: Math.floor(Math.max(dmy, mdy)),
  }
}

export function guessDateOrder(texts: Iterable<string>): DateOrderGuess {
  return orderOfVotes([orderVotes(texts)])
}

/**
 * The day a text names, as days since 1970, or null. Of a time with an offset the day that is written counts, not the day in
 * universal time. Month names are read in eight languages; a month by itself is its first day.
 *
 * @example parseDay('31.02.2026', 'dmy') // null: there is no such day
 */
export function parseDay(text: string, order: DateOrder): number | null {
  if (text.length > longest || text.length < 4 || isPlain.test(text) || !/\d/.test(text)) return null
  const t = text.trim()
  return dayOf(t, order) ?? dayOf(withoutWeekday(t), order) ?? monthStart(t)
}

function dayOf(t: string, order: DateOrder): number | null {
  let m = /^(\d{4})[-/.](\d{1,2})[-/.](\d{1,2})(?:$|[T ])/.exec(t)
  if (m) return dayNumber(Number(m[1]), Number(m[2]), Number(m[3]))
  m = /^(\d{4})(\d{2})(\d{2})$/.exec(t)
  if (m) return dayNumber(Number(m[1]), Number(m[2]), Number(m[3]))
  m = /^(\d{4})-?W(\d{2})$/i.exec(t)
  if (m) return isoWeekStart(Number(m[1]), Number(m[2]))
  m = numeric.exec(t)
  if (m) {
    const [a, b] = [Number(m[1]), Number(m[2])]
    return order === 'dmy' ? dayNumber(year(m[3]), b, a) : dayNumber(year(m[3]), a, b)
  }
  m = /^(\d{1,2})(?:\.|st|nd|rd|th)?[ -](?:de |of )?(\p{L}{3,})\.?,?[ -](?:de )?['’]?(\d{4}|\d{2})\b/u.exec(t)
  if (m) return dayNumber(year(m[3]), monthOf(m[2]), Number(m[1]))
  m = /^(\p{L}{3,})\.? (\d{1,2})(?:st|nd|rd|th)?,? (\d{4})\b/u.exec(t)
  if (m) return dayNumber(year(m[3]), monthOf(m[1]), Number(m[2]))
  return null
}

/** The first day of a month that is said by itself ('May 2026', '2026-05', '05/2026'); null for anything else. */
export function monthStart(text: string): number | null {
  const t = text.trim()
  let m = /^(20\d{2})-(\d{2})$/.exec(t)
  if (m) return dayNumber(Number(m[1]), Number(m[2]), 1)
  m = /^(\d{1,2})\/(20\d{2})$/.exec(t)
  if (m) return dayNumber(Number(m[2]), Number(m[1]), 1)
  m = /^(\p{L}{3,})\.?(?: de)?[ -](20\d{2})$/u.exec(t)
  return m && dayNumber(Number(m[2]), months.get(fold(m[1] ?? '')) ?? 0, 1)
}

/** Monday of an ISO 8601 week; null where the year has no such week. */
function isoWeekStart(y: number, week: number): number | null {
  const fourth = dayNumber(y, 1, 4)
  if (fourth === null || week < 1 || week > 53) return null
  const monday = fourth - ((((fourth + 3) % 7) + 7) % 7)
  return monday + (week - 1) * 7
}

function year(text: string | undefined): number {
  const y = Number(text)
  return y < 100 ? (y < 70 ? 2000 + y : 1900 + y) : y
}

const locales = ['en', 'de', 'fr', 'es', 'it', 'nl', 'pt', 'pl']
const weekdays = weekdayNames()

/** 'Sunday, 3 May 2026' is that day, whatever weekday it was. */
function withoutWeekday(text: string): string {
  const m = /^(\p{L}{2,13}(?:-feira)?)\.?,? (?=[\p{L}\d])/u.exec(text)
  return m && weekdays.has(fold(m[1] ?? '')) ? text.slice(m[0].length) : text
}

function weekdayNames(): Set<string> {
  const names = new Set<string>()
  for (const locale of locales)
    for (const style of ['long', 'short'] as const) {
      const format = new Intl.DateTimeFormat(locale, { weekday: style, timeZone: 'UTC' })
      for (let day = 4; day < 11; day++) names.add(fold(format.format(Date.UTC(2026, 4, day))))
    }
  return names
}

const months = monthNames()

function monthOf(name: string | undefined): number {
  const key = fold(name ?? '')
  return months.get(key) ?? months.get(key.slice(0, 3)) ?? 0
}

function monthNames(): Map<string, number> {
  const names = new Map<string, number>()
  for (const locale of locales) {
    for (const style of ['long', 'short'] as const) {
      const format = new Intl.DateTimeFormat(locale, { month: style, day: 'numeric', timeZone: 'UTC' })
      for (let month = 1; month <= 12; month++) {
        const part = format.formatToParts(Date.UTC(2026, month - 1, 1)).find((p) => p.type === 'month')
        const key = fold(part?.value ?? '')
        if (key.length >= 3 && !names.has(key)) names.set(key, month)
      }
    }
  }
  return names
}

function fold(text: string): string {
  return text
    .normalize('NFD')
    .replace(/\p{M}|\./gu, '')
    .toLowerCase()
}
