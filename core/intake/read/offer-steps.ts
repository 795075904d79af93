import type { RowRecord } from '../../tables'
import { tiersFromText, tiersToText, type Tier } from '../../notation'

/** Price steps that stand in rows of their own, put together by offer: the first row of an offer tells the rest of it. */
export class OfferSteps {
  readonly #offers = new Map<string, { record: RowRecord; tiers: Map<number, Tier> }>()

  /** @param record with `tierFrom` and the price from there on */
  add(record: RowRecord): void {
    const key = `${record.supplier ?? ''}\u0001${record.id ?? ''}`
    const known = this.#offers.get(key) ?? { record, tiers: new Map<number, Tier>() }
    for (const [name, value] of Object.entries(record)) known.record[name] ??= value
    // of two prices for one quantity the later row counts
    for (const tier of tiersFromText(String(record.tiers))) known.tiers.set(tier.from, tier)
    this.#offers.set(key, known)
  }

  /** One record an offer, its steps from the lowest quantity up. */
  *records(): Generator<RowRecord> {
    for (const { record, tiers } of this.#offers.values()) {
      const steps = [...tiers.values()].sort((a, b) => a.from - b.from)
      yield { ...record, tiers: tiersToText(steps), price: steps[0]?.priceE4 ?? null }
    }
  }
}
