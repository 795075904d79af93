import fc from 'fast-check'
import { asTyped, readTyped } from '.'

test.each([
  ['1,200', '.', '1200'],
  ['1.200', ',', '1200'],
  ['4,50', '.', '4.50'],
  ['4.50', ',', '4.50'],
  ['1,234.56', '.', '1234.56'],
  ['1.234,56', '.', '1234.56'],
  ['1 234,5', ',', '1234.5'],
  ["1'234.5", '.', '1234.5'],
  ['€ 12,90', ',', '12.90'],
  ['12.5 %', '.', '12.5'],
  ['−3', '.', '-3'],
  ['.5', '.', '0.5'],
  ['1.125', '.', '1.125'],
  ['12,345,678', '.', '12345678'],
] as const)('%s under %s is %s', (text, decimal, plain) => {
  expect(readTyped(text, { decimal })).toEqual({ plain, fault: null })
})

test.each(['', ' ', 'abc', '1,2,3', '1.2.3', '1,23,456', '--3', '1e5', '12a', ',', '.', '9'.repeat(50)])(
  '%j is no number',
  (text) => {
    expect(readTyped(text, { decimal: '.' }).plain).toBeNull()
    expect(readTyped(text, { decimal: ',' }).plain).toBeNull()
  },
)

test('what can be read in two ways is refused with both readings', () => {
  const amount = readTyped('1.200', { decimal: '.', digits: 2 })
  expect(amount.plain).toBeNull()
  expect(amount.fault).toMatch(/1\.2 or as 1200/)
  const pieces = readTyped('1,500', { decimal: ',', whole: true })
  expect(pieces.fault).toMatch(/1\.5 or as 1500/)
  // a dinar has three digits, and the settings say what the comma is
  expect(readTyped('1.200', { decimal: '.', digits: 3 }).plain).toBe('1.200')
  expect(readTyped('1,200', { decimal: '.', digits: 2 }).plain).toBe('1200')
  expect(readTyped('2.5', { decimal: '.', whole: true }).fault).toMatch(/no whole number/)
})

test('what Intl writes in a locale of either habit is read back', () => {
  const amount = fc.integer({ min: -99_999_999, max: 99_999_999 }).map((n) => n / 100)
  fc.assert(
    fc.property(
      amount,
      fc.constantFrom(['en', '.'] as const, ['de', ','] as const, ['de-CH', '.'] as const),
      (n, [locale, decimal]) => {
        const text = new Intl.NumberFormat(locale, { minimumFractionDigits: 2, maximumFractionDigits: 2 }).format(n)
        expect(Number(readTyped(text, { decimal, digits: 2 }).plain)).toBe(n)
      },
    ),
  )
})

test('what a field shows is read as what it was', () => {
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 9_999_999 }), fc.constantFrom('.' as const, ',' as const), (n, decimal) => {
      const plain = (n / 100).toFixed(2)
      expect(readTyped(asTyped(plain, decimal), { decimal, digits: 2 }).plain).toBe(plain)
    }),
  )
})
