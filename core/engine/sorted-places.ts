/** Places in rising order of a column's values, and how many of the values are known: those come first. */
export interface Sorted {
  places: Int32Array
  known: number
}

/**
 * The places of values in rising order, NaN last, equal values in the order of their places: a radix sort over the bits of
 * the numbers, 16 at a time, which is linear.
 *
 * @returns `places`, and `known`: how many of them are not NaN
 * @example sortedPlaces(Float64Array.of(3, NaN, 1)).places // 2, 0, 1
 */
export function sortedPlaces(values: Float64Array): Sorted {
  const n = values.length
  // -0 and 0 are the same number, but not the same bits.
  const halves = new Uint32Array(Float64Array.from(values, (v) => v + 0).buffer)
  let low = new Uint32Array(n)
  let high = new Uint32Array(n)
  let places = new Int32Array(n)
  let known = 0
  let unknown = n
  for (let i = 0; i < n; i++) {
    if (Number.isNaN(values[i])) continue
    // Negative numbers rise with falling bits, positive ones come after them.
    const top = halves[2 * i + 1] as number
    const negative = top >>> 31
    low[known] = negative ? ~(halves[2 * i] as number) : (halves[2 * i] as number)
    high[known] = negative ? ~top : top ^ 0x80000000
    places[known++] = i
  }
  for (let i = n - 1; i >= 0; i--) if (Number.isNaN(values[i])) places[--unknown] = i
  let [low2, high2, places2] = [new Uint32Array(n), new Uint32Array(n), places.slice()]
  for (const [inHigh, shift] of [
    [false, 0],
    [false, 16],
    [true, 0],
    [true, 16],
  ] as const) {
    const starts = startsOf(inHigh ? high : low, known, shift)
    if (!starts) continue
    const digits = inHigh ? high : low
    for (let i = 0; i < known; i++) {
      const digit = ((digits[i] as number) >>> shift) & 0xffff
      const to = starts[digit] as number
      starts[digit] = to + 1
      low2[to] = low[i] as number
      high2[to] = high[i] as number
      places2[to] = places[i] as number
    }
    ;[low, low2] = [low2, low]
    ;[high, high2] = [high2, high]
    ;[places, places2] = [places2, places]
  }
  return { places, known }
}

/** Where each digit's run begins; null where all have the same digit and nothing is to be moved. */
function startsOf(digits: Uint32Array, n: number, shift: number): Uint32Array | null {
  const counts = new Uint32Array(65_536)
  for (let i = 0; i < n; i++) {
    const digit = ((digits[i] as number) >>> shift) & 0xffff
    counts[digit] = (counts[digit] as number) + 1
  }
  if (n === 0 || counts[((digits[0] as number) >>> shift) & 0xffff] === n) return null
  let sum = 0
  for (let d = 0; d < counts.length; d++) {
    const c = counts[d] as number
    counts[d] = sum
    sum += c
  }
  return counts
}
