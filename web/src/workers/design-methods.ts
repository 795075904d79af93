import { blankName, blanksOf, designSheet, likeBlank, type DesignLine, type LikeIt } from '@sickle/core/catalog'
import type { DesignBlank, Offer } from '@sickle/core/supply'
import { numberIn, textAt, textColumn } from '@sickle/core/tables'
import type { CallContext } from './channel'
import type { ItemEngine } from './item-engine'

/** A blank, and what printed goods like it sell for on the market that is asked about. */
export interface BlankOnMarket {
  offer: Offer
  /** what it is called, by which goods like it are found */
  name: string
  like: LikeIt
}

/** printed goods that a blank is compared with, those that sell most */
const mostLike = 300

/** What is asked of goods that are made to order. */
export function designMethods(engine: () => ItemEngine) {
  return {
    async blanks(_: CallContext, market: string): Promise<BlankOnMarket[]> {
      const maker = await engine().maker
      const likeByName = new Map<string, LikeIt>()
      return blanksOf(maker).map((offer) => {
        const name = blankName(offer.title)
        const like =
          likeByName.get(name) ??
          likeBlank(
            printedLike(engine(), name).map((at) => maker.at(at, false)),
            market,
          )
        likeByName.set(name, like)
        return { offer, name, like }
      })
    },

    async designSheet(
      _: CallContext,
      choices: readonly DesignBlank[],
      on: { market: string; margin: number },
    ): Promise<DesignLine[]> {
      return designSheet(await engine().maker, choices, on)
    },
  }
}

/** Places of printed goods whose titles name something. */
function printedLike({ figures, finder }: ItemEngine, name: string): number[] {
  const met = name === '' ? null : finder.itemsWith(name)
  if (met === null) return []
  const kinds = textColumn(figures, 'kinds')
  const units = (place: number) => numberIn(figures, 'units', place) ?? 0
  return Array.from(met.keys())
    .filter((place) => met[place] === 1 && textAt(kinds, place) === 'printed')
    .sort((a, b) => units(b) - units(a))
    .slice(0, mostLike)
}
