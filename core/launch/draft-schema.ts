import { anyText, currency, listOf, moneyE4, oneOf, orNull, record, span, text, whole } from '../schema'
import { assumptions } from '../catalog'

const signedE4 = () => span(-9e15, 9e15).integer('must be an amount')

/** A draft: one schema for the editor, both files, what rests, and backups. What a market allows is another matter: see `draftFaults`. */
export const draftParts = {
  id: text(200),
  item: anyText(4000),
  market: anyText(200),
  title: anyText(2000),
  description: anyText(50_000),
  tags: listOf(text(200), 200),
  category: anyText(2000),
  gtin: anyText(14).matches(/^(?:\d{8}|\d{12,14})?$/, 'is no barcode'),
  picture: anyText(2000),
  priceE4: moneyE4(),
  priceBy: oneOf('margin', 'hand'),
  currency: currency(),
  quantity: whole(0, 1e6),
  handlingDays: whole(0, 365),
  profitE4: orNull(signedE4()),
  profitCurrency: currency(),
  margin: orNull(span(-1e6, 1e6)),
  assumed: listOf(oneOf(...assumptions), assumptions.length),
}

export const draftSchema = record(draftParts)

export const draftsSchema = listOf(draftSchema, 1e5)

/** Drafts as they rest. A price that an earlier version kept may have been set by hand, and is left alone. */
export function draftsNow(stored: unknown): unknown {
  return Array.isArray(stored) ? stored.map(draftNow) : stored
}

function draftNow(stored: unknown): unknown {
  const { feesAssumed, ...draft } = stored as { feesAssumed?: unknown }
  return { priceBy: 'hand', assumed: feesAssumed === true ? ['fees'] : [], ...draft }
}
