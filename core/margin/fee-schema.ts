import { currency, isoDay, listOf, moneyE4, oneOf, orNull, ratio, record, text, truth } from '../schema'

/** The parts of a fee line, each of which a form has a field for. Money in E4, ratios plain. */
export const feeLineParts = {
  id: text(80),
  label: text(80),
  kind: oneOf('market', 'payment', 'listing'),
  base: oneOf('price', 'price and postage'),
  withTax: truth(),
  ratio: ratio(),
  fixedE4: moneyE4(),
  minE4: orNull(moneyE4()),
  maxE4: orNull(moneyE4()),
  steps: listOf(record({ fromE4: moneyE4(), ratio: ratio() }), 50),
  stepsApply: oneOf('marginal', 'whole'),
  per: oneOf('order', 'item', 'listing', 'month'),
}

const feeLineSchema = record(feeLineParts).test('order', 'has a least that is above its most', (line) => {
  const { minE4, maxE4 } = line as { minE4?: number | null; maxE4?: number | null }
  return minE4 == null || maxE4 == null || minE4 <= maxE4
})

/** The fees of one market: one schema for the form, the file and what rests. */
export const feeScheduleSchema = record({
  market: text(),
  currency: currency(),
  validFrom: isoDay(),
  lines: listOf(feeLineSchema, 100).test('ids', 'must have an id of its own each', (lines) => {
    const ids = ((lines ?? []) as { id?: unknown }[]).map((l) => l?.id)
    return new Set(ids).size === ids.length
  }),
})
