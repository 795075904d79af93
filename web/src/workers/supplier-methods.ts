import {
  compareQuotes,
  sampleNeeds,
  supplierPage,
  suppliersFor,
  type ItemSampleNeed,
  type ItemToAsk,
  type QuotesCompared,
  type SupplierPage,
} from '@sickle/core/catalog'
import { boughtGoods, type Purchase, type Quote } from '@sickle/core/supply'
import { numberIn, type Table } from '@sickle/core/tables'
import type { CallContext } from './channel'
import type { ItemEngine } from './item-engine'
import { readOnce } from './read-once'
import { capturesOf } from './records-at-rest'

/** What is asked of suppliers, and of quotes and samples. Captures are read from rest when they are first asked for. */
export function supplierMethods(engine: () => ItemEngine) {
  const offers = readOnce(() => capturesOf('offers'))
  const orders = readOnce(async () => boughtGoods(await capturesOf('orders')))
  return {
    methods: {
      /** A supplier read whole; null where none of its offers is gathered. */
      async supplierPage(_: CallContext, supplier: string): Promise<SupplierPage | null> {
        const maker = await engine().maker
        return supplierPage(maker, supplier, { places: bestFirst(engine().figures), captures: await offers.get() })
      },

      /** What own orders say was bought, and of whom. */
      bought: (_: CallContext): Promise<Purchase[]> => orders.get(),

      async suppliersFor(_: CallContext, keys: readonly string[]): Promise<ItemToAsk[]> {
        return suppliersFor(await engine().maker, keys)
      },

      async compareQuotes(_: CallContext, key: string, quotes: readonly Quote[]): Promise<QuotesCompared | null> {
        return compareQuotes(await engine().maker, key, quotes)
      },

      async sampleNeeds(
        _: CallContext,
        keys: readonly string[],
        dearFromE4: number | null,
      ): Promise<Map<string, ItemSampleNeed>> {
        return sampleNeeds(await engine().maker, keys, dearFromE4)
      },
    },
    forget() {
      offers.forget()
      orders.forget()
    },
  }
}

/** Places of items that sell, those of most units first. */
function bestFirst(figures: Table): number[] {
  const units = (place: number) => numberIn(figures, 'units', place) ?? 0
  return Array.from({ length: figures.rows }, (_, i) => i)
    .filter((place) => units(place) > 0)
    .sort((a, b) => units(b) - units(a))
}
