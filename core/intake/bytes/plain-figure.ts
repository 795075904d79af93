const powers = [1, 10, 100, 1000, 10_000]
const zero = 48

/**
 * `12.50` and its like in ten-thousandths, digit by digit: at most eleven digits, at most four of them decimals.
 *
 * @param decimal the byte of the decimal mark
 * @returns NaN for anything else, which is read as it is elsewhere
 */
export function plainFigure(bytes: Uint8Array, start: number, end: number, decimal: number): number {
  let whole = 0
  let digits = 0
  let decimals = 0
  let marks = 0
  for (let i = start; i < end; i++) {
    const b = bytes[i] as number
    const digit = b - zero
    if (digit >= 0 && digit <= 9) {
      whole = whole * 10 + digit
      digits++
      decimals += marks
    } else if (b === decimal && digits > 0 && marks === 0) marks = 1
    else return NaN
  }
  if (digits === 0 || digits > 11 || decimals > 4 || (marks === 1 && decimals === 0)) return NaN
  return whole * (powers[4 - decimals] as number)
}
