import { e4OfPlain } from '../notation'
import { plainAmount } from '../money'
import { Problem } from '../problem'
import { checked } from '../schema'
import type { FeeLine } from './fee-line'
import { feeScheduleSchema } from './fee-schema'

/** The fees of one market, as the user owns them. */
export interface FeeSchedule {
  market: string
  currency: string
  /** ISO day from which it holds */
  validFrom: string
  lines: FeeLine[]
}

/** A schedule as a file: money as decimal text, ratios as percent, so that it can be read and written by hand. */
export function scheduleToJson(schedule: FeeSchedule): unknown {
  const money = (e4: number | null) => (e4 === null ? null : plainAmount(e4, schedule.currency))
  return {
    format: 'sickle-fees',
    version: 1,
    market: schedule.market,
    currency: schedule.currency,
    validFrom: schedule.validFrom,
    lines: schedule.lines.map(({ ratio, fixedE4, minE4, maxE4, steps, ...rest }) => ({
      ...rest,
      percent: percent(ratio),
      fixed: money(fixedE4),
      min: money(minE4),
      max: money(maxE4),
      steps: steps.map((s) => ({ from: money(s.fromE4), percent: percent(s.ratio) })),
    })),
  }
}

/** A schedule from a file. @throws Problem 'schedule-invalid' naming what is wrong, and where */
export function scheduleFromJson(json: unknown): FeeSchedule {
  const { format, version: _, lines, ...head } = partsOf(json)
  if (format !== 'sickle-fees') throw wrong('it is no fee schedule (format is not sickle-fees)')
  return checked(feeScheduleSchema, { ...head, lines: each(lines, lineFrom) }, wrong)
}

/** A line in the words of the code. What is not as it should be goes on as it is, for the schema to refuse. */
function lineFrom(line: unknown): unknown {
  if (!isParts(line)) return line
  const { percent, fixed = '0', min = null, max = null, steps = [], ...rest } = line
  return {
    withTax: false,
    ...rest,
    ratio: ratioFrom(percent),
    fixedE4: e4From(fixed ?? '0'),
    minE4: e4From(min),
    maxE4: e4From(max),
    steps: each(steps, (step) => {
      if (!isParts(step)) return step
      const { from, percent, ...more } = step
      return { ...more, fromE4: e4From(from), ratio: ratioFrom(percent) }
    }),
  }
}

const isParts = (json: unknown): json is Record<string, unknown> =>
  typeof json === 'object' && json !== null && !Array.isArray(json)
const partsOf = (json: unknown) => (isParts(json) ? json : {})
const each = (list: unknown, read: (one: unknown) => unknown): unknown => (Array.isArray(list) ? list.map(read) : list)
const ratioFrom = (percent: unknown): unknown => (typeof percent === 'number' ? percent / 100 : percent)
/** A number stands for the amount that it says: who writes a file by hand may leave the quotes out. */
const e4From = (amount: unknown): unknown => {
  const text = typeof amount === 'number' ? String(amount) : amount
  return typeof text === 'string' ? (e4OfPlain(text) ?? text) : text
}

function percent(ratio: number): number {
  return Math.round(ratio * 1e8) / 1e6
}

function wrong(reason: string): Problem {
  return new Problem('schedule-invalid', { reason })
}
