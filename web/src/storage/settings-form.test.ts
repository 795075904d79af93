import { plainRules, rulesNow, rulesSchema } from '@sickle/core/catalog'
import { firstFault } from '@sickle/core/schema'
import { settingsNow, settingsSchema, usualSettings } from './settings-form'

const says = (fault: ReturnType<typeof firstFault>) => fault && `${fault.where || 'it'} ${fault.what}`

test('usual settings are right ones, and those of an earlier version are brought up', () => {
  expect(firstFault(settingsSchema, usualSettings())).toBeNull()
  expect(settingsNow({ theme: 'dark', since: 'removed' })).toEqual({ ...usualSettings(), theme: 'dark' })
})

const usual = usualSettings()
test.each([
  [null, 'it is missing'],
  [[], 'it must be an object'],
  ['dark', 'it must be an object'],
  [{ ...usual, theme: 'loud' }, 'theme must be one of light, dark'],
  [{ ...usual, theme: undefined }, 'theme is missing'],
  [{ ...usual, theme: 1 }, 'theme must be one of light, dark'],
  [{ ...usual, decimal: ';' }, 'decimal must be one of ., ,'],
  [{ ...usual, decimal: '' }, 'decimal must be one of ., ,'],
  [{ ...usual, sideFolded: 'yes' }, 'side folded must be yes or no'],
  [{ ...usual, sideFolded: 0 }, 'side folded must be yes or no'],
  [{ ...usual, sideFolded: undefined }, 'side folded is missing'],
  [{ ...usual, strips: 'units' }, 'strips must be a list'],
  [{ ...usual, strips: {} }, 'strips must be a list'],
  [{ ...usual, strips: [7] }, 'strip 1 must be a text'],
  [{ ...usual, strips: [''] }, 'strip 1 is missing'],
  [{ ...usual, strips: Array.from({ length: 9 }, () => 'units') }, 'strips holds more than 8 entries'],
  [{ ...usual, columns: [] }, 'columns must name a column'],
  [{ ...usual, columns: null }, 'columns is missing'],
  [{ ...usual, columns: [null] }, 'column 1 is missing'],
  [{ ...usual, columns: ['x'.repeat(61)] }, 'column 1 is longer than 60 letters'],
  [{ ...usual, password: 'x' }, 'it has parts that are not known: password'],
  [JSON.parse('{"__proto__":{}}') as object, 'it has parts that are not known: __proto__'],
])('the settings %j are refused: %s', (settings, reason) => {
  expect(says(firstFault(settingsSchema, settings))).toBe(reason)
})

const rules = plainRules('EUR')
const rate = { from: 'GBP', to: 'EUR', rate: 1.2, day: '2026-05-01' }
const schedule = { market: 'M', currency: 'EUR', validFrom: '2026-01-01', lines: [] }
const part = { measure: 'profit', label: 'Profit', zero: 0, one: 5, weight: 3 }
test('plain rules are right ones; costs that came later stand as in a fresh workspace', () => {
  expect(firstFault(rulesSchema, { ...rules, rates: [rate], schedules: [schedule] })).toBeNull()
  const { salesPerMonth: _, ...costs } = rules.costs
  expect(rulesNow({ ...rules, costs, worth: undefined })).toEqual(rules)
})
test.each([
  [{}, 'supply is missing'],
  [{ ...rules, homeCurrency: 'euro' }, 'home currency is longer than 3 letters'],
  [{ ...rules, rates: [{ ...rate, rate: 0 }] }, 'rate of rate 1 must be from 0.000001 to 1000000000'],
  [{ ...rules, rates: [{ ...rate, rate: '1.2' }] }, 'rate of rate 1 must be a number'],
  [{ ...rules, rates: [{ ...rate, to: 'GBP' }] }, 'rate 1 must be between two currencies'],
  [{ ...rules, rates: [{ ...rate, day: '1 May' }] }, 'day of rate 1 must be a day such as 2026-05-31'],
  [{ ...rules, rates: [rate, null] }, 'rate 2 is missing'],
  [{ ...rules, schedules: [schedule, schedule] }, 'schedules has two schedules of one market'],
  [{ ...rules, schedules: {} }, 'schedules must be a list'],
  [{ ...rules, costs: { ...rules.costs, taxRatio: 2 } }, 'tax of costs must be from 0 to 100 %'],
  [{ ...rules, costs: { ...rules.costs, tiers: null } }, 'costs has parts that are not known: tiers'],
  [{ ...rules, costs: [] }, 'costs must be an object'],
  [{ ...rules, minProfitE4: -1 }, 'min profit must be an amount of 0 or more'],
  [{ ...rules, stepE4: NaN }, 'step must be a number'],
  [{ ...rules, worth: undefined }, 'worth is missing'],
  [{ ...rules, worth: { name: '', parts: [] } }, 'name of worth is missing'],
  [
    { ...rules, worth: { name: 'x', parts: [{ ...part, one: 0 }] } },
    'part 1 of worth is worth nothing and all at the same value',
  ],
  [
    { ...rules, worth: { name: 'x', parts: [{ ...part, weight: -1 }] } },
    'weight of part 1 of worth must be from 0 to 1000',
  ],
  [{ ...rules, worth: { name: 'x', parts: [{ ...part, must: 1 }] } }, 'must of part 1 of worth must be yes or no'],
  [{ ...rules, colour: 'red' }, 'it has parts that are not known: colour'],
])('the rules of money %# are refused: %s', (wrong, reason) => {
  expect(says(firstFault(rulesSchema, wrong))).toBe(reason)
})
