import { alikeStores, homePrices, type AlikeStore } from '@sickle/core/stores'
import type { OwnSource } from './own-methods'
import type { StoreSource } from './store-source'

/** Stores that sell what I sell, those most like me first. */
export async function storesLikeMe(source: StoreSource, own: OwnSource): Promise<AlikeStore[]> {
  const { stores, maker } = await source.known()
  const goods = await own.goods()
  if (goods.length === 0) return []
  const prices = homePrices(maker.catalog, maker.rules)
  return alikeStores({
    catalog: maker.catalog,
    places: stores.places,
    rows: stores.rows,
    own: goods,
    matches: await own.matches(),
    priceE4: (row) => prices[row] as number,
    offers: await source.offers(),
    find: (key) => maker.index().find(key),
  })
}
