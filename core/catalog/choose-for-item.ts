import { firstOrder, landedCost, type CostInputs } from '../margin'
import { chooseOffer, nothingChosen, offerChecks, type Candidate, type OfferChoice, type OfferMatch } from '../supply'
import type { Item } from './item'
import type { Corrections, SellerRules } from './rules'
import type { SaidOfItem } from './said-of-items'

/** The offer that an item is reckoned with. */
export interface ChosenForItem {
  offer: OfferMatch | null
  choice: OfferChoice
  /** pieces in its pack; 1 where there is none */
  pack: number
  landedE4: number | null
}

type InputsFor = (market: string, offer: OfferMatch | null, bought: number) => CostInputs

/** Chooses among the offers of the same goods by the seller's rules of supply, or as the seller said. */
export function chooseForItem(
  item: Pick<Item, 'kind' | 'markets' | 'offers' | 'pack'>,
  { rules, corrections, said }: { rules: SellerRules; corrections: Corrections; said: SaidOfItem },
  inputsFor: InputsFor,
): ChosenForItem {
  const market = item.markets[0] as string
  const packOf = ({ offer }: OfferMatch) => corrections.packs[offer.key] ?? offer.pack
  const landedBy = (offer: OfferMatch | null, pack: number) => landedCost(inputsFor(market, offer, pack))
  const matches =
    item.kind === 'digital' || said.offer === '' ? [] : item.offers.filter((m) => isSame(m, item, packOf(m)))
  if (matches.length === 0) return { offer: null, choice: nothingChosen, pack: 1, landedE4: landedBy(null, 1) }
  const candidates = matches.map((match): Candidate => {
    const { offer } = match
    const pack = packOf(match)
    const landedE4 = landedBy(match, pack)
    const lot = firstOrder(inputsFor(market, match, pack), landedE4)
    const standing = corrections.suppliers[offer.supplier] ?? null
    const checks = offerChecks(offer, rules.supply, { lot, standing })
    const named = (holds: boolean | null) =>
      checks.filter((c) => c.holds === holds && (holds !== null || c.wanted !== null)).map((c) => c.name)
    return {
      key: offer.key,
      supplier: offer.supplier,
      landedE4,
      days: offer.leadDays,
      broken: named(false),
      unknown: named(null),
    }
  })
  const choice = chooseOffer(candidates, said.offer ?? null)
  const offer = matches.find((m) => m.offer.key === choice.chosen?.key) ?? null
  if (!offer) return { offer, choice, pack: 1, landedE4: landedBy(null, 1) }
  return { offer, choice, pack: packOf(offer), landedE4: choice.chosen?.landedE4 ?? null }
}

/** Another pack that is not counted yet cannot be reckoned with: a piece of it would cost whatever the titles do not say. */
function isSame({ verdict, judged }: OfferMatch, { pack }: Pick<Item, 'pack'>, bought: number): boolean {
  return verdict === 'same' && (judged !== 'pack' || bought !== pack)
}
