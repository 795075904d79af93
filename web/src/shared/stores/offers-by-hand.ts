import type { Corrections } from '@sickle/core/catalog'
import type { MatchJudgement, SupplierStanding } from '@sickle/core/supply'
import type { KeptDocument } from './document'

/** What the seller says of offers and of suppliers. */
export function offersByHand(
  corrections: KeptDocument<Corrections>,
  step: (label: string, change: () => Promise<void>) => Promise<void>,
) {
  const correct = (some: Partial<Corrections>) => corrections.set({ ...corrections.value.value, ...some })
  function setOffer(item: string, offer: string | null): Promise<void> {
    const { [item]: _, ...offers } = corrections.value.value.offers
    return step('the choice of an offer', () =>
      correct({ offers: offer === null ? offers : { ...offers, [item]: offer } }),
    )
  }
  /** What an offer is to an item; null takes it back. */
  function judge(item: string, offer: string, judgement: MatchJudgement | null): Promise<void> {
    const { judged, offers } = corrections.value.value
    const { [item]: its = {}, ...others } = judged
    const { [offer]: _, ...rest } = its
    const now = judgement === null ? rest : { ...rest, [offer]: judgement }
    const isSame = judgement === 'same' || judgement === 'pack'
    // an offer that is not the same can no longer be the one to reckon with, nor can none be, once one is the same
    const { [item]: chosen, ...unchosen } = offers
    const isOver = (chosen === offer && !isSame) || (chosen === '' && isSame)
    return step('a match', () =>
      correct({
        judged: Object.keys(now).length === 0 ? others : { ...others, [item]: now },
        ...(isOver ? { offers: unchosen } : {}),
      }),
    )
  }
  /** What is said of a supplier, whatever its figures; null takes it back. */
  function setStanding(supplier: string, standing: SupplierStanding | null): Promise<void> {
    const { [supplier]: _, ...suppliers } = corrections.value.value.suppliers
    return step('what you say of a supplier', () =>
      correct({ suppliers: standing === null ? suppliers : { ...suppliers, [supplier]: standing } }),
    )
  }
  return { setOffer, judge, setStanding }
}
