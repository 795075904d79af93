import {
  blankInputs,
  costNames,
  costParts,
  costSchemas,
  feeScheduleSchema,
  ofRules,
  ownCostSchema,
  scheduleFromJson,
  scheduleToJson,
  type CostInputs,
} from '.'
import { firstFault } from '../schema'

const line = {
  id: 'sale',
  label: 'Market fee',
  kind: 'market',
  base: 'price',
  percent: 12,
  fixed: '0.30',
  stepsApply: 'marginal',
  per: 'order',
}
const file = {
  format: 'sickle-fees',
  version: 1,
  market: 'Marrowgate',
  currency: 'EUR',
  validFrom: '2026-01-01',
  lines: [line],
}
const withLine = (some: object) => ({ ...file, lines: [line, { ...line, id: 'two', ...some }] })

test('a fee file that leaves out what a fee need not have is taken', () => {
  expect(scheduleFromJson(file)).toEqual({
    market: 'Marrowgate',
    currency: 'EUR',
    validFrom: '2026-01-01',
    lines: [
      {
        id: 'sale',
        label: 'Market fee',
        kind: 'market',
        base: 'price',
        withTax: false,
        ratio: 0.12,
        fixedE4: 3000,
        minE4: null,
        maxE4: null,
        steps: [],
        stepsApply: 'marginal',
        per: 'order',
      },
    ],
  })
})

test.each([
  [null, 'it is no fee schedule'],
  [[], 'it is no fee schedule'],
  ['fees', 'it is no fee schedule'],
  [{ ...file, format: 'other' }, 'it is no fee schedule'],
  [{ ...file, market: undefined }, 'market is missing'],
  [{ ...file, market: '' }, 'market is missing'],
  [{ ...file, market: { name: 'x' } }, 'market must be a text'],
  [{ ...file, market: 'x'.repeat(201) }, 'market is longer than 200 letters'],
  [{ ...file, currency: 'EURO' }, 'currency is longer than 3 letters'],
  [{ ...file, currency: 'QQQ' }, 'currency is no currency of ISO 4217'],
  [{ ...file, validFrom: 'soon' }, 'valid from must be a day such as 2026-05-31'],
  [{ ...file, lines: { 0: line } }, 'lines must be a list'],
  [{ ...file, lines: [null] }, 'line 1 is missing'],
  [{ ...file, lines: ['12 %'] }, 'line 1 must be an object'],
  [{ ...file, lines: [line, line] }, 'lines must have an id of its own each'],
  [withLine({ percent: 'ten' }), 'percentage of line 2 must be a number'],
  [withLine({ percent: 101 }), 'percentage of line 2 must be from 0 to 100 %'],
  [withLine({ percent: undefined }), 'percentage of line 2 is missing'],
  [withLine({ fixed: '-0.30' }), 'fixed of line 2 must be an amount of 0 or more'],
  [withLine({ fixed: 'free' }), 'fixed of line 2 must be a number'],
  [withLine({ fixed: '1e999' }), 'fixed of line 2 must be a number'],
  [withLine({ min: '5.00', max: '1.00' }), 'line 2 has a least that is above its most'],
  [withLine({ kind: 'bribe' }), 'kind of line 2 must be one of market, payment, listing'],
  [withLine({ per: 'year' }), 'per of line 2 must be one of order, item, listing, month'],
  [withLine({ steps: [{ from: '10.00' }] }), 'percentage of step 1 of line 2 is missing'],
  [withLine({ note: 'x' }), 'line 2 has parts that are not known: note'],
  [{ ...file, owner: 'me' }, 'it has parts that are not known: owner'],
])('the fee file %j is refused: %s', (json, reason) => {
  expect(() => scheduleFromJson(json)).toThrow(reason)
  expect(() => scheduleFromJson(json)).toThrow(expect.objectContaining({ code: 'schedule-invalid' }))
})

test('an amount of a fee file may be written without quotes, and no other value for one', () => {
  const [, read] = scheduleFromJson(
    withLine({ fixed: 0.3, min: 2, max: 5.25, steps: [{ from: 10, percent: 4 }] }),
  ).lines
  expect(read).toMatchObject({
    fixedE4: 3_000,
    minE4: 20_000,
    maxE4: 52_500,
    steps: [{ fromE4: 100_000, ratio: 0.04 }],
  })
  const [, none] = scheduleFromJson(withLine({ fixed: null, min: null, max: undefined })).lines
  expect(none).toMatchObject({ fixedE4: 0, minE4: null, maxE4: null })
  for (const min of [true, {}, [], -1, NaN])
    expect(() => scheduleFromJson(withLine({ min }))).toThrow(expect.objectContaining({ code: 'schedule-invalid' }))
})

test('goods that are made and sent have costs that a file does not have, and the others are asked of both', () => {
  const sent = costNames.filter((name) => costParts[name].goods)
  expect(sent).toEqual(
    expect.arrayContaining(['supplierDeliveryE4', 'postageOutE4', 'storageMonths', 'recoveredRatio']),
  )
  for (const name of ['fees', 'taxRatio', 'advertisingE4', 'commissionRatio', 'returnRatio'] as const)
    expect(sent).not.toContain(name)
})

test('what the form keeps and what the file brings is judged by the same schema', () => {
  const kept = scheduleFromJson(file)
  expect(firstFault(feeScheduleSchema, kept)).toBeNull()
  expect(firstFault(feeScheduleSchema, { ...kept, lines: [{ ...kept.lines[0], ratio: 1.2 }] })).toEqual({
    where: 'percentage of line 1',
    what: 'must be from 0 to 100 %',
  })
})

const many = (n: number, some: (i: number) => object) => Array.from({ length: n }, (_, i) => ({ ...line, ...some(i) }))
const steps = (n: number) => Array.from({ length: n }, (_, i) => ({ from: `${i}`, percent: 1 }))
test.each([
  ['an id', (n: number) => withLine({ id: 'x'.repeat(n) }), 80],
  ['a label', (n: number) => withLine({ label: 'x'.repeat(n) }), 80],
  ['steps', (n: number) => withLine({ steps: steps(n) }), 50],
  ['lines', (n: number) => ({ ...file, lines: many(n, (i) => ({ id: `${i}` })) }), 100],
])('%s may be so long and no longer', (_, of, most) => {
  expect(() => scheduleFromJson(of(most))).not.toThrow()
  expect(() => scheduleFromJson(of(most + 1))).toThrow(/long|many|more than/)
})
test.each([
  [null, '1.00'],
  ['1.00', null],
  ['1.00', '1.00'],
])('a fee may have a least of %s and a most of %s', (min, max) => {
  expect(() => scheduleFromJson(withLine({ min, max }))).not.toThrow()
})
test('a schedule as a file says of what make it is', () => {
  expect(scheduleToJson(scheduleFromJson(file))).toMatchObject({
    format: 'sickle-fees',
    version: 1,
    market: 'Marrowgate',
  })
  expect(scheduleFromJson(withLine({ fixed: null })).lines[1]?.fixedE4).toBe(0)
})

test('a sale without any cost is a right one, part by part', () => {
  const blank = blankInputs('EUR')
  for (const [name, part] of Object.entries(costSchemas))
    expect([name, firstFault(part, blank[name as keyof CostInputs])]).toEqual([name, null])
  const ones = ['packSold', 'packBought', 'orderQuantity', 'salesPerListing', 'salesPerMonth']
  const zeros = Object.keys(blank).filter((name) => /(E4|Ratio|Kg|Months)$/.test(name))
  expect(Object.fromEntries([...ones.map((n) => [n, 1]), ...zeros.map((n) => [n, 0])])).toEqual(
    Object.fromEntries(Object.entries(blank).filter(([, value]) => typeof value === 'number')),
  )
  expect(blank).toMatchObject({ tiers: null, fees: [], importTaxRecoverable: true, pricesIncludeTax: true })
  expect(firstFault(ownCostSchema, {})).toBeNull()
  expect(firstFault(ownCostSchema, { postageOutE4: 24_500, tiers: [{ from: 1, priceE4: 0 }] })).toBeNull()
})

test('a rule holds all but what goes with the item, its offer and its market', () => {
  const own = ['currency', 'tiers', 'fees', 'packSold', 'packBought', 'supplierDeliveryE4', 'chargedKg']
  const blank = blankInputs('EUR')
  expect(Object.keys(ofRules(blank)).sort()).toEqual(
    Object.keys(blank)
      .filter((name) => !own.includes(name))
      .sort(),
  )
})

test.each([
  ['packSold', 5000],
  ['packBought', 5000],
  ['orderQuantity', 1e6],
  ['chargedKg', 1e5],
  ['storageMonths', 1200],
  ['dutyRatio', 5],
  ['discountRatio', 0.99],
  ['commissionRatio', 1],
  ['salesPerMonth', 1e6],
])('%s may be %d and no more', (name, most) => {
  expect(firstFault(ownCostSchema, { [name]: most })).toBeNull()
  expect(firstFault(ownCostSchema, { [name]: most + 1 })).not.toBeNull()
})
test('a supplier may have a hundred prices', () => {
  const tiers = (n: number) => Array.from({ length: n }, (_, i) => ({ from: i + 1, priceE4: 1 }))
  expect(firstFault(ownCostSchema, { tiers: tiers(100) })).toBeNull()
  expect(firstFault(ownCostSchema, { tiers: tiers(101) })).not.toBeNull()
  expect(firstFault(ownCostSchema, { chargedKg: 0, storageMonths: 0, tiers: [{ from: 1e9, priceE4: 0 }] })).toBeNull()
  expect(firstFault(ownCostSchema, { tiers: [{ from: 1e9 + 1, priceE4: 0 }] })).not.toBeNull()
})

test.each([
  [{ taxRatio: -0.01 }, 'tax', 'must be from 0 to 100 %'],
  [{ taxRatio: 1.2 }, 'tax', 'must be from 0 to 100 %'],
  [{ taxRatio: '0.2' }, 'tax', 'must be a number'],
  [{ taxRatio: null }, 'tax', 'is missing'],
  [{ discountRatio: 1 }, 'discount', 'must be from 0 to 99 %'],
  [{ dutyRatio: 5.1 }, 'duty', 'must be from 0 to 500 %'],
  [{ postageOutE4: -1 }, 'postage out', 'must be an amount of 0 or more'],
  [{ postageOutE4: 0.5 }, 'postage out', 'must be an amount'],
  [{ postageOutE4: Infinity }, 'postage out', 'must be a number'],
  [{ postageOutE4: 1e16 }, 'postage out', 'is too large an amount'],
  [{ packingE4: [] }, 'packing', 'must be a number'],
  [{ packSold: 0 }, 'pack sold', 'must be from 1 to 5000'],
  [{ packSold: 1.5 }, 'pack sold', 'must be a whole number'],
  [{ orderQuantity: 0 }, 'order quantity', 'must be from 1 to 1000000'],
  [{ salesPerListing: 0 }, 'sales per listing', 'must be from 1 to 1000000'],
  [{ storageMonths: -1 }, 'storage months', 'must be from 0 to 1200'],
  [{ pricesIncludeTax: 'yes' }, 'prices include tax', 'must be yes or no'],
  [{ currency: 'EURO' }, 'currency', 'is longer than 3 letters'],
  [{ tiers: [{ from: 0, priceE4: 1 }] }, 'from of tier 1', 'must be from 1 to 1000000000'],
  [{ tiers: [{ from: 1, priceE4: '4.71' }] }, 'price of tier 1', 'must be a number'],
  [{ tiers: 'cheap' }, 'tiers', 'must be a list'],
  [{ bribeE4: 100 }, '', 'has parts that are not known: bribeE4'],
  [JSON.parse('{"constructor":1}') as object, '', 'has parts that are not known: constructor'],
])('the cost %j is refused', (costs, where, what) => {
  expect(firstFault(ownCostSchema, costs)).toEqual({ where, what })
})
