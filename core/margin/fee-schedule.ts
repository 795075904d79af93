import { e4OfPlain } from '../intake'
import { isCurrencyCode, plainAmount } from '../money'
import { Problem } from '../problem'
import type { FeeLine } from './fee-line'

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

/** @throws Problem 'schedule-invalid' naming what is wrong */
export function scheduleFromJson(json: unknown): FeeSchedule {
  const o = asRecord(json, 'the file')
  if (o.format !== 'sickle-fees') throw wrong('it is no fee schedule (format is not sickle-fees)')
  const market = asText(o.market, 'market')
  const currency = asText(o.currency, 'currency')
  if (!isCurrencyCode(currency)) throw wrong(`currency ${currency} does not exist`)
  if (!Array.isArray(o.lines)) throw wrong('lines is not a list')
  return {
    market,
    currency,
    validFrom: asText(o.validFrom, 'validFrom'),
    lines: o.lines.map((l, i) => lineFrom(l, i + 1)),
  }
}

function lineFrom(json: unknown, n: number): FeeLine {
  const o = asRecord(json, `line ${n}`)
  const at = (name: string) => `${name} of line ${n}`
  const steps = Array.isArray(o.steps) ? o.steps : []
  return {
    id: asText(o.id, at('id')),
    label: asText(o.label, at('label')),
    kind: oneOf(o.kind, ['market', 'payment', 'listing'], at('kind')),
    base: oneOf(o.base, ['price', 'price and postage'], at('base')),
    withTax: o.withTax === true,
    ratio: asRatio(o.percent, at('percent')),
    fixedE4: asMoney(o.fixed, at('fixed')) ?? 0,
    minE4: asMoney(o.min, at('min')),
    maxE4: asMoney(o.max, at('max')),
    steps: steps.map((s) => {
      const step = asRecord(s, at('steps'))
      return { fromE4: asMoney(step.from, at('steps')) ?? 0, ratio: asRatio(step.percent, at('steps')) }
    }),
    stepsApply: oneOf(o.stepsApply, ['marginal', 'whole'], at('stepsApply')),
    per: oneOf(o.per, ['order', 'item', 'listing', 'month'], at('per')),
  }
}

function percent(ratio: number): number {
  return Math.round(ratio * 1e8) / 1e6
}

function wrong(reason: string): Problem {
  return new Problem('schedule-invalid', { reason })
}

function asRecord(json: unknown, what: string): Record<string, unknown> {
  if (typeof json !== 'object' || json === null || Array.isArray(json)) throw wrong(`${what} is not an object`)
  return json as Record<string, unknown>
}

function asText(value: unknown, what: string): string {
  if (typeof value !== 'string' || value.trim() === '' || value.length > 200) throw wrong(`${what} is not a text`)
  return value
}

function asRatio(value: unknown, what: string): number {
  if (typeof value !== 'number' || !(value >= 0 && value <= 100))
    throw wrong(`${what} is not a percentage from 0 to 100`)
  return value / 100
}

function asMoney(value: unknown, what: string): number | null {
  if (value === null || value === undefined) return null
  const e4 = typeof value === 'string' ? e4OfPlain(value) : null
  if (e4 === null || e4 < 0) throw wrong(`${what} is not an amount like "0.30"`)
  return e4
}

function oneOf<T extends string>(value: unknown, options: readonly T[], what: string): T {
  const found = options.find((o) => o === value)
  if (found === undefined) throw wrong(`${what} is not one of ${options.join(', ')}`)
  return found
}
