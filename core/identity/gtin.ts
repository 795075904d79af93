/**
 * Global Trade Item Numbers: 8, 12, 13 or 14 digits, the last a check digit (GS1 General Specifications, section 7.9:
 * from the right, digits weigh 3, 1, 3, …; the check digit brings the sum to a multiple of ten).
 */
export function isValidGtin(digits: string): boolean {
  if (!/^(\d{8}|\d{12}|\d{13}|\d{14})$/.test(digits) || /^0+$/.test(digits)) return false
  return gtinCheckDigit(digits.slice(0, -1)) === Number(digits.at(-1))
}

/** The check digit for all digits before it. */
export function gtinCheckDigit(body: string): number {
  let sum = 0
  for (let i = 0; i < body.length; i++) sum += Number(body[body.length - 1 - i]) * (i % 2 === 0 ? 3 : 1)
  return (10 - (sum % 10)) % 10
}

/**
 * Any spelling of a GTIN or ISBN-13 as 14 digits, or null where it is none. Leading zeros that a spreadsheet lost are put
 * back: the check digit counts from the right, so they never change it.
 *
 * @example normaliseGtin('36000291452') // '00036000291452'
 */
export function normaliseGtin(text: string): string | null {
  const digits = text.replace(/[\s-]/g, '')
  if (!/^\d{7,14}$/.test(digits)) return null
  const padded = digits.padStart(14, '0')
  if (/^0+$/.test(padded) || gtinCheckDigit(padded.slice(0, -1)) !== Number(padded.at(-1))) return null
  return padded
}

/** The form people read: 13 digits, or 14 where the first is not zero. */
export function shownGtin(gtin14: string): string {
  return gtin14.startsWith('0') ? gtin14.slice(1) : gtin14
}
