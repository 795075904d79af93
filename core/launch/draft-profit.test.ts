import { buildCatalog, ItemMaker, noCorrections, plainRules, type Item, type SellerRules } from '../catalog'
import { TableBuilder } from '../tables'
import type { Draft } from './draft'
import { draftProfit } from './draft-profit'
import { makeDraft } from './make-draft'
import { refreshDraft } from './refresh-draft'

/** No fees are entered: 15 % for the market and 3 % for payment are assumed. */
const rules: SellerRules = {
  ...plainRules('EUR'),
  rates: [{ from: 'GBP', to: 'EUR', rate: 1.25, day: '2026-05-01' }],
}
const corrections = noCorrections

async function pounds(): Promise<Item> {
  const listings = new TableBuilder([
    ...(['market', 'id', 'title', 'currency', 'kind'] as const).map((name) => ({ name, type: 'text' as const })),
    ...(['price', 'delivery', 'units'] as const).map((name) => ({ name, type: 'number' as const })),
  ])
  listings.add({
    market: 'Gavelhop',
    id: '1',
    title: 'Printable planner',
    currency: 'GBP',
    kind: 'digital',
    price: 80_000,
    delivery: 0,
    units: 9,
  })
  const table = listings.finish()
  const captures = [{ id: 'a', kind: 'listings' as const, capturedOn: 20_604, windowDays: 30, table }]
  return new ItemMaker(await buildCatalog(captures), rules, corrections).at(0)
}

test('a draft earns the same however it came to its price: made, made anew, or typed', async () => {
  const item = await pounds()
  const options = { rules, corrections, setPriceE4: null }
  const made = makeDraft(item, { ...options, market: 'Gavelhop', id: 'd' })
  // 8.00 GBP are 10.00 EUR; a file costs nothing, so all but 1.50 and 0.30 is earned
  expect(made).toMatchObject({ currency: 'GBP', priceE4: 80_000, profitE4: 82_000, margin: 0.82, assumed: ['fees'] })
  expect(refreshDraft(made, item, options)).toEqual(made)
  // 7.50 less 1.13 and 0.23
  const typed: Draft = { ...made, priceBy: 'hand', priceE4: 60_000 }
  expect(refreshDraft(typed, item, options)).toMatchObject({ profitE4: 61_400, profitCurrency: 'EUR' })
  expect(refreshDraft(typed, null, options)).toBe(typed)
  // without a rate nothing is known of it
  const none = { ...rules, rates: [] }
  expect(draftProfit(typed, item, { rules: none, corrections })).toEqual({
    profitE4: null,
    margin: null,
    profitCurrency: 'EUR',
    assumed: ['fees'],
  })
})
