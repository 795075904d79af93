/** Units over time at an even step. NaN is a step without a figure, which is not zero. */
export interface UnitSeries {
  /** day number of the first step */
  start: number
  /** 1 for days, 7 for weeks */
  stepDays: 1 | 7
  values: Float64Array
}

export interface WindowSum {
  units: number
  /** days of the window that have a figure */
  known: number
  days: number
}

/** The last day a series speaks of. */
export function lastDayOf(series: UnitSeries): number {
  return series.start + series.values.length * series.stepDays - 1
}

/** Units in the `days` days that end with `end`. A week counts by the part of it inside the window. */
export function sumWindow(series: UnitSeries, end: number, days: number): WindowSum {
  const { start, stepDays, values } = series
  if (stepDays === 1) return sumDays(series, end, days)
  const from = end - days + 1
  let units = 0
  let known = 0
  for (let i = Math.max(0, Math.floor((from - start) / stepDays)); i < values.length; i++) {
    const first = start + i * stepDays
    if (first > end) break
    const inside = Math.min(end, first + stepDays - 1) - Math.max(from, first) + 1
    const value = values[i] as number
    if (inside <= 0 || Number.isNaN(value)) continue
    units += (value * inside) / stepDays
    known += inside
  }
  return { units, known, days }
}

/** The same of days, none of which lies in a window by a part: several windows of half a year are summed for each item. */
function sumDays({ start, values }: UnitSeries, end: number, days: number): WindowSum {
  const to = Math.min(values.length, end - start + 1)
  let units = 0
  let known = 0
  for (let i = Math.max(0, end - days + 1 - start); i < to; i++) {
    const value = values[i] as number
    if (value !== value) continue
    units += value
    known++
  }
  return { units, known, days }
}

/** Sums several series over the same span. A step is known where any has a figure; the sum is then over those known. */
export function addSeries(list: readonly UnitSeries[]): UnitSeries | null {
  const first = list[0]
  if (!first) return null
  if (list.length === 1) return first
  const stepDays = list.some((s) => s.stepDays === 7) ? 7 : 1
  const even = list.map((s) => (s.stepDays === stepDays ? s : toWeeks(s)))
  const end = Math.max(...even.map(lastDayOf))
  const start = Math.min(...even.map((s) => s.start - ((((s.start - end - 1) % stepDays) + stepDays) % stepDays)))
  const values = new Float64Array(Math.ceil((end - start + 1) / stepDays)).fill(NaN)
  for (const s of even) {
    const shift = Math.floor((s.start - start) / stepDays)
    for (let i = 0; i < s.values.length; i++) {
      const v = s.values[i] as number
      const at = shift + i
      if (Number.isNaN(v) || at < 0 || at >= values.length) continue
      const before = values[at] as number
      values[at] = Number.isNaN(before) ? v : before + v
    }
  }
  return { start, stepDays, values }
}

/** Days gathered into weeks that end with the last day; a week with a missing day is scaled up from the days it has. */
function toWeeks(series: UnitSeries): UnitSeries {
  const weeks = Math.floor(series.values.length / 7)
  const skip = series.values.length - weeks * 7
  const values = new Float64Array(weeks)
  for (let w = 0; w < weeks; w++) {
    let sum = 0
    let known = 0
    for (let i = skip + w * 7; i < skip + w * 7 + 7; i++) {
      const v = series.values[i] as number
      if (Number.isNaN(v)) continue
      sum += v
      known++
    }
    values[w] = known === 0 ? NaN : (sum * 7) / known
  }
  return { start: series.start + skip, stepDays: 7, values }
}

/** Means of whole weeks, newest last, of log(1 + units a day): the form in which trends are judged. Gaps are left out of a week's mean. */
export function weeklyLogMeans(series: UnitSeries, days: number): number[] {
  const { values, stepDays } = series
  const weeks = Math.floor(days / 7)
  const means: number[] = []
  const steps = 7 / stepDays
  for (let w = 0; w < weeks; w++) {
    const to = values.length - (weeks - 1 - w) * steps
    let [units, known] = [0, 0]
    for (let i = Math.max(0, to - steps); i < to; i++) {
      const v = values[i] as number
      if (v !== v) continue
      units += v
      known += stepDays
    }
    means.push(known > 0 ? Math.log1p(units / known) : NaN)
  }
  return means
}
