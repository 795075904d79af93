import { listOf, orNull, record, text, whole } from '../schema'

/** Something that the seller ordered of a supplier: when it was promised for, and when it came. Days since 1970. */
export interface Purchase {
  id: string
  supplier: string
  what: string
  orderedOn: number
  /** null where no day was promised */
  promisedOn: number | null
  /** null while it is on its way */
  arrivedOn: number | null
}

/** Has it not come by the day it was promised for? @param today day since 1970 */
export const isOverdue = (
  { promisedOn, arrivedOn }: Pick<Purchase, 'promisedOn' | 'arrivedOn'>,
  today: number,
): boolean => arrivedOn === null && promisedOn !== null && promisedOn < today

const day = () => whole(0, 200_000)

export const purchaseSchema = record({
  id: text(60),
  supplier: text(300),
  what: text(500),
  orderedOn: day(),
  promisedOn: orNull(day()),
  arrivedOn: orNull(day()),
})
  .test('promised', 'is promised for before it is ordered', (p) => isInTurn(p, 'promisedOn'))
  .test('arrived', 'arrives before it is ordered', (p) => isInTurn(p, 'arrivedOn'))

export const purchasesSchema = listOf(purchaseSchema, 50_000)

function isInTurn(purchase: unknown, later: 'promisedOn' | 'arrivedOn'): boolean {
  const p = purchase as Partial<Purchase> | null | undefined
  return p?.[later] == null || typeof p.orderedOn !== 'number' || p[later] >= p.orderedOn
}
