import { anyText, listOf, moneyE4, orNull, record, text, whole } from '../schema'

/** A design that the seller prints on several blanks. Money in E4 of the home currency. */
export interface Design {
  id: string
  name: string
  market: string
  blanks: DesignBlank[]
}

/** One blank that a design is printed on. */
export interface DesignBlank {
  /** key of the blank's offer */
  offer: string
  /** how many of its areas are printed */
  prints: number
  /** null: what the wanted margin asks */
  priceE4: number | null
}

export const designsSchema = listOf(
  record({
    id: text(60),
    name: text(200),
    market: anyText(200),
    blanks: listOf(record({ offer: text(4000), prints: whole(1, 50), priceE4: orNull(moneyE4()) }), 500).test(
      'once',
      'names a blank twice',
      (blanks) => {
        const keys = ((blanks ?? []) as Partial<DesignBlank>[]).map((b) => b?.offer)
        return new Set(keys).size === keys.length
      },
    ),
  }),
  5000,
).test('names', 'has two designs of one name', (designs) => {
  const names = ((designs ?? []) as Partial<Design>[]).map((d) => d?.name?.toLowerCase())
  return new Set(names).size === names.length
})
