import { stageOfLife, type SeasonIndex, type StageOfLife, type UnitSeries } from '../demand'
import { recordCodec, TableBuilder, type Table } from '../tables'

const codec = recordCodec({
  stage: 'text',
  slopePerWeek: 'number',
  p: 'number',
  growth: 'number',
  growthLow: 'number',
  growthHigh: 'number',
  growthSeasonless: 'number',
  growth90: 'number',
  growth180: 'number',
  units28: 'number',
  units28Before: 'number',
  compared: 'number',
  listings: 'number',
  seasonStrength: 'number',
  levelChange: 'number',
  observedDays: 'number',
  units90: 'number',
})

/** Collects the stage of life of one item after another: it depends on sales alone, so it is worked out once. */
export class LifeTable {
  readonly #builder = new TableBuilder(codec.columns)

  /** @param list the series of an item's listings @param season of its category, where one is known */
  add(list: readonly UnitSeries[], season: SeasonIndex | null): void {
    const life = stageOfLife(list, { season })
    this.#builder.add(life ? codec.pack({ ...life }) : {})
  }

  finish(): Table {
    return this.#builder.finish()
  }
}

/** The stage of life of an item as kept in the table; null where no sales are known. */
export function lifeAt(table: Table, item: number): StageOfLife | null {
  if (!table.columns.stage) return null
  const life = codec.at(table, item)
  // what has a stage has all of its counts
  return life.stage === null ? null : (life as StageOfLife)
}
