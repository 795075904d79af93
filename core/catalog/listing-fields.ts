import { isNumeric, keptFields, recordKind, type Field, type FieldType } from '../records'
import type { listings } from '../records'

/** Every field that a record of a listing has, as the compiler knows it. */
type DeclaredField = (typeof listings)['fields'][number]
type NumericType = 'money' | 'count' | 'ratio' | 'rating' | 'day' | 'lead' | 'weight'
type ValueOf<T extends FieldType> = T extends NumericType ? number : string

/** What the fields of the table say of a listing; money in E4 of its own currency. */
export type ListingValues = {
  [F in DeclaredField as F extends { merge: 'none' } ? never : F['name']]: ValueOf<F['type']> | null
}

/** What an item makes of them, by the same names. */
export type StatedValues = {
  [F in DeclaredField as F extends { item: object } ? F['name'] : never]: F extends { item: { as: infer A } }
    ? A extends 'words'
      ? string[]
      : A extends 'first'
        ? ValueOf<F['type']> | null
        : number | null
    : never
}

/** Names under which queries keep the facets that fields make. */
export type FieldFacet = Extract<DeclaredField, { item: { facet: object } }>['item']['facet']['name']

/** The fields of a listing that are kept, in the order of the table. */
export const listingFields: readonly Field[] = keptFields(recordKind('listings')).filter((f) => f.merge !== 'none')

/** Fields that an item has by itself, not only its listings. */
export const itemFields: readonly (Field & { item: NonNullable<Field['item']> })[] = listingFields.flatMap((f) =>
  f.item ? [{ ...f, item: f.item }] : [],
)

export const isFigure = (f: Field) => isNumeric(f.type)
