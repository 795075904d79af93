import {
  calendarDay,
  dayNumber,
  dayOfIso,
  gtinCheckDigit,
  isoDay,
  isValidGtin,
  normaliseGtin,
  shownGtin,
  weekday,
} from '.'

// 0036000291452 and 4006381333931: from memory, as in method.md. 95012346 and 9501101530003: examples of the GS1 General
// Specifications (from memory); 9780306406157: the example of the ISBN standard's users' manual (from memory).
test.each(['0036000291452', '036000291452', '4006381333931', '95012346', '9501101530003', '9780306406157'])(
  '%s has a right check digit',
  (digits) => {
    expect(isValidGtin(digits)).toBe(true)
  },
)
test.each(['4006381333932', '400638133393', '', 'abc', '0000000000000'])('%p is none', (digits) => {
  expect(isValidGtin(digits)).toBe(false)
  expect(normaliseGtin(digits)).toBeNull()
})

test('a spreadsheet that lost the leading zeros is put right', () => {
  expect(normaliseGtin('36000291452')).toBe('00036000291452')
  expect(normaliseGtin('978-0-306-40615-7')).toBe('09780306406157')
  expect(shownGtin('00036000291452')).toBe('0036000291452')
})

test('every single wrong digit is found (a property of the GS1 weights)', () => {
  const body = '400638133393'
  const right = body + String(gtinCheckDigit(body))
  for (let i = 0; i < 13; i++) {
    for (let d = 1; d < 10; d++) {
      const wrong = right.slice(0, i) + String((Number(right[i]) + d) % 10) + right.slice(i + 1)
      expect(isValidGtin(wrong)).toBe(false)
    }
  }
})

test('days agree with the calendar', () => {
  expect(dayNumber(1970, 1, 1)).toBe(0)
  expect(dayNumber(2026, 2, 31)).toBeNull()
  expect(
    [dayNumber(2024, 2, 29), dayNumber(2025, 2, 29), dayNumber(2000, 2, 29), dayNumber(1900, 2, 29)].map(
      (d) => d !== null,
    ),
  ).toEqual([true, false, true, false])
  // 2026-05-31 is a Sunday (Python's datetime).
  expect(weekday(dayOfIso('2026-05-31') ?? NaN)).toBe(6)
  expect(weekday(-1)).toBe(2)
  for (const iso of ['1969-12-31', '2000-02-29', '2026-11-25']) expect(isoDay(dayOfIso(iso) ?? NaN)).toBe(iso)
})

test('the calendar by whole numbers agrees with the platform’s, over four centuries and before 1970', () => {
  for (let day = -150_000; day < 150_000; day += 17) {
    const date = new Date(day * 86_400_000)
    expect(calendarDay(day)).toEqual({ month: date.getUTCFullYear() * 12 + date.getUTCMonth(), of: date.getUTCDate() })
  }
})
