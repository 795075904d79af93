import { ItemMaker, lensOn, type Lens, type WorkOptions } from '@sickle/core/catalog'
import { renewFigures } from '@sickle/core/engine'
import { placesOf } from '@sickle/core/tables'
import { ItemEngine } from './item-engine'
import { capturesOf } from './records-at-rest'
import { touchedInPlace } from './touched-items'

/** Markets that alone count; none named is all. */
export type LensMarkets = readonly string[]

/** What is worked out, through a lens. */
export type Through = (lens?: LensMarkets) => Promise<ItemEngine>

/** What is worked out through some lens, and out of which whole. */
interface Made {
  whole: ItemEngine
  engine: Promise<ItemEngine>
}

/** lenses that are kept: what was asked last, and what one goes back to */
const mostKept = 2

/** What is worked out, as it is where some markets alone count; each lens is worked out when it is first looked through. */
export class LensEngines {
  readonly #whole: () => ItemEngine
  readonly #made = new Map<string, Made>()

  constructor(whole: () => ItemEngine) {
    this.#whole = whole
  }

  /** @throws Problem 'cancelled' by the work of whoever asked first */
  async through(markets: LensMarkets, work: WorkOptions = {}): Promise<ItemEngine> {
    const whole = this.#whole()
    if (markets.length === 0) return whole
    const key = JSON.stringify([...markets].sort())
    const before = this.#made.get(key)
    if (before?.whole === whole) return before.engine
    const made = { whole, engine: lookThrough(whole, markets, before ?? null, work) }
    this.#keep(key, made)
    // what did not come about is asked for anew
    made.engine.catch(() => this.#made.get(key) === made && this.#made.delete(key))
    return made.engine
  }

  #keep(key: string, made: Made): void {
    this.#made.delete(key)
    this.#made.set(key, made)
    for (const old of this.#made.keys()) if (this.#made.size > mostKept) this.#made.delete(old)
  }
}

async function lookThrough(
  whole: ItemEngine,
  markets: LensMarkets,
  before: Made | null,
  { onProgress, ...work }: WorkOptions,
): Promise<ItemEngine> {
  const all = await whole.maker
  const earlier = await before?.engine.catch(() => null)
  const had = earlier ? await earlier.maker : null
  const isSameGathered = had?.catalog === all.catalog
  const lens =
    isSameGathered && had?.lens
      ? had.lens
      : await lensOn(all.catalog, markets, await recorded(), { ...work, onProgress: (done) => onProgress?.(done / 2) })
  const maker = new ItemMaker(all.catalog, all.rules, all.corrections, all, lens)
  const { figures, sameAs } = startingFrom(whole, isSameGathered && earlier ? { engine: earlier, had } : null, maker)
  const seen = await renewFigures(figures, maker, sameAs, {
    ...work,
    onProgress: (done) => onProgress?.(0.5 + done / 2),
    haveDaysPassed: false,
  })
  return new ItemEngine(seen, maker)
}

/** Figures that are there already: those of the same lens before, or those of the whole. */
function startingFrom(
  whole: ItemEngine,
  before: { engine: ItemEngine; had: ItemMaker | null } | null,
  maker: ItemMaker,
) {
  if (!before?.had) return { figures: whole.figures, sameAs: (maker.lens as Lens).sameAs }
  const sameAs = placesOf(maker.count)
  touchedInPlace(sameAs, before.had, maker)
  return { figures: before.engine.figures, sameAs }
}

/** What is recorded beside listings, by market. */
async function recorded() {
  const kinds = await Promise.all((['competing', 'clips', 'ads'] as const).map((kind) => capturesOf(kind)))
  return kinds.flat()
}
