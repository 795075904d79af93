import { listOf, record, span, text, truth } from '../schema'

/** Rules of Worth. */
export const worthSchema = record({
  name: text(),
  parts: listOf(
    record({
      measure: text(60),
      label: text(),
      zero: span(-1e9, 1e9),
      one: span(-1e9, 1e9),
      weight: span(0, 1000),
      must: truth().optional(),
    }).test('differ', 'is worth nothing and all at the same value', (part) => {
      const { zero, one } = part as { zero?: number; one?: number }
      return zero !== one
    }),
    50,
  ),
})
