import type { GoodsKind } from '@sickle/core/catalog'
import { costNames, costParts, type CostInputs, type CostPart } from '@sickle/core/margin'

export interface CostField {
  name: keyof CostInputs
  label: string
  type: NonNullable<CostPart['format']>
}

/** The costs a seller can change of an item of some kind, in the order in which they arise. */
export function costFields(kind: GoodsKind): readonly CostField[] {
  return costNames.flatMap((name) => {
    const { label, asked = label, format, goods = false } = costParts[name]
    return format === undefined || (kind === 'digital' && goods) ? [] : [{ name, label: asked, type: format }]
  })
}
