import { record, span, whole, checked } from '@sickle/core/schema'

/** How the stand-in behaves; all of it can be changed while it runs. */
export interface StandinKnobs {
  /** listings, up to 1,000,000 */
  size: number
  stores: number
  latencyMs: number
  /** requests a second; more are answered 429 */
  perSecond: number
  /** share of requests that go wrong: an error, a wait, half an answer or none */
  faultShare: number
  /** how often the market has moved on */
  round: number
}

export const usualKnobs: StandinKnobs = {
  size: 60_000,
  stores: 40,
  latencyMs: 30,
  perSecond: 60,
  faultShare: 0,
  round: 0,
}

/** One schema for what is turned while it runs and for what the configuration says. */
export const knobsSchema = record({
  size: whole(1, 1_000_000).optional(),
  stores: whole(1, 600).optional(),
  latencyMs: span(0, 60_000).optional(),
  perSecond: whole(1, 100_000).optional(),
  faultShare: span(0, 1).optional(),
  round: whole(0, 1000).optional(),
})

/** Some knobs, checked; those that are not spoken of stay as they are. @throws RangeError naming the knob that is out of bounds */
export function readKnobs(some: unknown): Partial<StandinKnobs> {
  return { ...checked<Partial<StandinKnobs>>(knobsSchema, some, (reason) => new RangeError(reason)) }
}
