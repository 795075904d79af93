import type { MatchJudgement, SupplierStanding } from '@sickle/core/supply'
import type { ByHand } from './by-hand'

/** What the seller says of offers and of suppliers. */
export function offersByHand({ now, say }: ByHand) {
  function setOffer(item: string, offer: string | null): Promise<void> {
    const { [item]: _, ...offers } = now().offers
    return say('the choice of an offer', { offers: offer === null ? offers : { ...offers, [item]: offer } })
  }
  /** What an offer is to an item; null takes it back. */
  function judge(item: string, offer: string, judgement: MatchJudgement | null): Promise<void> {
    const { judged, offers } = now()
    const { [item]: its = {}, ...others } = judged
    const { [offer]: _, ...rest } = its
    const next = judgement === null ? rest : { ...rest, [offer]: judgement }
    const isSame = judgement === 'same' || judgement === 'pack'
    // an offer that is not the same can no longer be the one to reckon with, nor can none be, once one is the same
    const { [item]: chosen, ...unchosen } = offers
    const isOver = (chosen === offer && !isSame) || (chosen === '' && isSame)
    return say('a match', {
      judged: Object.keys(next).length === 0 ? others : { ...others, [item]: next },
      ...(isOver ? { offers: unchosen } : {}),
    })
  }
  /** What is said of a supplier, whatever its figures; null takes it back. */
  function setStanding(supplier: string, standing: SupplierStanding | null): Promise<void> {
    const { [supplier]: _, ...suppliers } = now().suppliers
    return say('what you say of a supplier', {
      suppliers: standing === null ? suppliers : { ...suppliers, [supplier]: standing },
    })
  }
  return { setOffer, judge, setStanding }
}
