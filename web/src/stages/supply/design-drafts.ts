import type { DesignLine } from '@sickle/core/catalog'
import type { Draft } from '@sickle/core/launch'
import type { Design } from '@sickle/core/supply'

/** as drafts have it */
const longestId = 200

/**
 * A draft for each blank of a design that has a price; made again, each takes the place of the one before.
 *
 * @param names what each blank is called, by the key of its offer
 */
export function draftsOfDesign(
  { id, name, market }: Design,
  lines: readonly DesignLine[],
  { names, home }: { names: ReadonlyMap<string, string>; home: string },
): Draft[] {
  return lines.flatMap(({ offer, priceE4, profitE4, margin, assumed }): Draft[] => {
    if (priceE4 === null) return []
    const key = `design:${id}/${offer.key}`.slice(0, longestId)
    return [
      {
        id: key,
        item: key,
        market,
        title: `${name} ${names.get(offer.key) ?? offer.title}`.slice(0, 2000),
        description: '',
        tags: [],
        category: offer.category ?? '',
        gtin: '',
        picture: '',
        priceE4,
        priceBy: 'hand',
        currency: home,
        quantity: 10,
        handlingDays: offer.leadDays ?? 5,
        profitE4,
        profitCurrency: home,
        margin,
        assumed,
      },
    ]
  })
}
