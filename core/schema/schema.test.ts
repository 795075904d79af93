import {
  byName,
  checked,
  currency,
  firstFault,
  isoDay,
  listOf,
  moneyE4,
  oneOf,
  orNull,
  ratio,
  record,
  text,
  whole,
} from '.'

const schema = record({
  name: text(),
  share: ratio(),
  priceE4: orNull(moneyE4()),
  packs: byName(whole(1, 9), 3),
  lines: listOf(record({ kind: oneOf('a', 'b') }), 2),
  currency: currency(),
  day: isoDay(),
})
const good = {
  name: 'x',
  share: 0.5,
  priceE4: null,
  packs: { 'a.b|"c"': 2 },
  lines: [{ kind: 'a' }],
  currency: 'EUR',
  day: '2026-05-31',
}
const says = (value: unknown) => {
  const fault = firstFault(schema, value)
  return fault && `${fault.where} ${fault.what}`.trim()
}

test('what fits is handed on as it is', () => {
  expect(says(good)).toBeNull()
  expect(checked(schema, good, () => new Error('never'))).toBe(good)
})

test.each([
  [{ ...good, name: '' }, 'name is missing'],
  [{ ...good, name: ' ' }, 'name is blank'],
  [{ ...good, name: 7 }, 'name must be a text'],
  [{ ...good, share: '0.5' }, 'share must be a number'],
  [{ ...good, share: NaN }, 'share must be a number'],
  [{ ...good, share: 1.01 }, 'share must be from 0 to 100 %'],
  [{ ...good, priceE4: undefined }, 'price is missing'],
  [{ ...good, priceE4: -1 }, 'price must be an amount of 0 or more'],
  [{ ...good, priceE4: 0.5 }, 'price must be an amount'],
  [{ ...good, packs: null }, 'packs is missing'],
  [{ ...good, packs: [] }, 'packs must be an object'],
  [{ ...good, packs: { 'a.b|"c"': 0 } }, "a.b|'c' of packs must be from 1 to 9"],
  [{ ...good, packs: { a: 1, b: 1, c: 1, d: 1 } }, 'packs holds more than 3 entries'],
  [{ ...good, lines: {} }, 'lines must be a list'],
  [{ ...good, lines: [{ kind: 'a' }, { kind: 'c' }] }, 'kind of line 2 must be one of a, b'],
  [{ ...good, lines: [{ kind: 'a', more: 1 }] }, 'line 1 has parts that are not known: more'],
  [{ ...good, currency: 'EURO' }, 'currency is longer than 3 letters'],
  [{ ...good, currency: 'XQZ' }, 'currency is no currency of ISO 4217'],
  [{ ...good, day: '2026-02-30' }, 'day must be a day such as 2026-05-31'],
  [{ ...good, day: '2026-05-31T10:00' }, 'day is longer than 10 letters'],
  [JSON.parse('{"__proto__":{"name":"x"}}') as unknown, 'has parts that are not known: __proto__'],
  [[], 'must be an object'],
  ['text', 'must be an object'],
  [null, 'is missing'],
])('%j is refused: %s', (value, reason) => {
  expect(says(value)).toBe(reason)
  expect(() => checked(schema, value, (why) => new Error(why))).toThrow(reason)
})
