const known = new Map<string, Float64Array>()

/** cos(π k (2 i + 1) / 2 n), k row by row */
function cosines(kept: number, side: number): Float64Array {
  const key = `${kept}/${side}`
  const made =
    known.get(key) ??
    Float64Array.from({ length: kept * side }, (_, at) =>
      Math.cos((Math.PI * Math.floor(at / side) * (2 * (at % side) + 1)) / (2 * side)),
    )
  known.set(key, made)
  return made
}

/** Brightness of a colour, 0–255. Source: ITU-R BT.601. */
export const brightness = (r: number, g: number, b: number): number => 0.299 * r + 0.587 * g + 0.114 * b

/**
 * The slowest coefficients of the two-dimensional cosine transform (type II, unscaled) of a square picture.
 *
 * @param grey `side` × `side`, row by row
 * @param kept how many across and down
 * @returns `kept` × `kept`, row by row; the first is the sum of all
 */
export function slowWaves(grey: Float64Array, side: number, kept: number): Float64Array {
  const waves = cosines(kept, side)
  // Along the rows first, then down the columns.
  const rows = new Float64Array(kept * side)
  for (let u = 0; u < kept; u++)
    for (let y = 0; y < side; y++) {
      let sum = 0
      for (let x = 0; x < side; x++) sum += (grey[y * side + x] as number) * (waves[u * side + x] as number)
      rows[u * side + y] = sum
    }
  const found = new Float64Array(kept * kept)
  for (let v = 0; v < kept; v++)
    for (let u = 0; u < kept; u++) {
      let sum = 0
      for (let y = 0; y < side; y++) sum += (rows[u * side + y] as number) * (waves[v * side + y] as number)
      found[v * kept + u] = sum
    }
  return found
}
