import { addSeries, stageOfLife, type SeasonIndex, type Stage, type StageOfLife, type UnitSeries } from '../demand'
import { numberIn, TableBuilder, textIn, type Table } from '../tables'

const figures = [
  'slopePerWeek',
  'p',
  'growth',
  'growthLow',
  'growthHigh',
  'growthSeasonless',
  'units28',
  'units28Before',
  'seasonStrength',
  'levelChange',
  'observedDays',
  'units90',
] as const

/** Collects the stage of life of one item after another: it depends on sales alone, so it is worked out once. */
export class LifeTable {
  readonly #builder = new TableBuilder([
    { name: 'stage', type: 'text' },
    ...figures.map((name) => ({ name, type: 'number' as const })),
  ])

  /** @param list the series of an item's listings @param season of its category, where one is known */
  add(list: readonly UnitSeries[], season: SeasonIndex | null): void {
    const series = addSeries(list)
    this.#builder.add(series ? { ...stageOfLife(series, { season }) } : {})
  }

  finish(): Table {
    return this.#builder.finish()
  }
}

/** The stage of life of an item as kept in the table; null where no sales are known. */
export function lifeAt(table: Table, item: number): StageOfLife | null {
  const stage = textIn(table, 'stage', item) as Stage | null
  if (stage === null) return null
  const n = (name: (typeof figures)[number]) => numberIn(table, name, item)
  return {
    stage,
    slopePerWeek: n('slopePerWeek'),
    p: n('p'),
    growth: n('growth'),
    growthLow: n('growthLow'),
    growthHigh: n('growthHigh'),
    growthSeasonless: n('growthSeasonless'),
    units28: n('units28'),
    units28Before: n('units28Before'),
    seasonStrength: n('seasonStrength'),
    levelChange: n('levelChange'),
    observedDays: n('observedDays') ?? 0,
    units90: n('units90') ?? 0,
  }
}
