import { area, curveMonotoneX, line, scaleLinear } from 'd3'
import { lastDayOf, sumWindow, type UnitSeries } from '@sickle/core/demand'

export interface SalesPoint {
  day: number
  /** units a day; null is not known */
  units: number | null
}

export interface SalesGeometry {
  points: SalesPoint[]
  line: string
  area: string
  /** thin bars of the single days, where days are known */
  bars: { x: number; y: number; width: number; height: number; day: number; units: number }[]
  gaps: { x: number; width: number }[]
  ticks: { y: number; label: string }[]
  top: number
}

/** Daily (or weekly) units of the last `days` days with their 7-day mean; gaps are marked, not drawn as zero. */
export function salesGeometry(series: UnitSeries, days: number, width: number, height: number): SalesGeometry {
  const end = lastDayOf(series)
  const step = series.stepDays
  const steps = Math.floor(days / step)
  const single = Array.from({ length: steps }, (_, i): SalesPoint => {
    const day = end - (steps - 1 - i) * step
    const sum = sumWindow(series, day, step)
    return { day, units: sum.known === step ? sum.units / step : null }
  })
  const points =
    step === 7
      ? single
      : single.map(({ day }): SalesPoint => {
          const sum = sumWindow(series, day, 7)
          return { day, units: sum.known >= 4 ? sum.units / sum.known : null }
        })
  const most = Math.max(1, ...single.map((p) => p.units ?? 0), ...points.map((p) => p.units ?? 0))
  const x = scaleLinear([end - (steps - 1) * step, end], [1, width - 1])
  const y = scaleLinear([0, most], [height - 1, 13])
  const known = (p: SalesPoint) => p.units !== null
  const at = { x: (p: SalesPoint) => x(p.day), y: (p: SalesPoint) => y(p.units ?? 0) }
  const barWidth = Math.max(1, (width / steps) * 0.7)
  return {
    points,
    line: line<SalesPoint>().defined(known).x(at.x).y(at.y).curve(curveMonotoneX)(points) ?? '',
    area:
      area<SalesPoint>()
        .defined(known)
        .x(at.x)
        .y0(height - 1)
        .y1(at.y)
        .curve(curveMonotoneX)(points) ?? '',
    bars: (step === 7 ? [] : single).flatMap((p) =>
      p.units === null || p.units === 0
        ? []
        : [
            {
              x: x(p.day) - barWidth / 2,
              y: y(p.units),
              width: barWidth,
              height: height - 1 - y(p.units),
              day: p.day,
              units: p.units,
            },
          ],
    ),
    gaps: single.flatMap((p) => (p.units === null ? [{ x: x(p.day) - width / steps / 2, width: width / steps }] : [])),
    ticks: y
      .ticks(2)
      .filter((t) => t > 0)
      .map((t) => ({ y: y(t), label: String(t) })),
    top: most,
  }
}
