/** 0, 1, 2 … : each row as itself. */
export function placesOf(rows: number): Int32Array {
  const places = new Int32Array(rows)
  for (let i = 0; i < rows; i++) places[i] = i
  return places
}
