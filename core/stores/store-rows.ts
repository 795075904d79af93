/** The listings of each store: `rows` from `starts[store]` up to `starts[store + 1]`, in the order of the catalog. */
export interface StoreRows {
  starts: Int32Array
  rows: Int32Array
}

/** @param storeOf listing → store, -1 where it names none */
export function rowsByStore(storeOf: Int32Array, count: number): StoreRows {
  const starts = new Int32Array(count + 1)
  for (let row = 0; row < storeOf.length; row++) {
    const store = storeOf[row] as number
    if (store >= 0) starts[store + 1]!++
  }
  for (let store = 0; store < count; store++) starts[store + 1]! += starts[store] as number
  const rows = new Int32Array(starts[count] as number)
  const next = starts.slice()
  for (let row = 0; row < storeOf.length; row++) {
    const store = storeOf[row] as number
    if (store >= 0) rows[next[store]!++] = row
  }
  return { starts, rows }
}

/** Rows of one store, a view. */
export function rowsOfStore({ starts, rows }: StoreRows, store: number): Int32Array {
  return rows.subarray(starts[store], starts[store + 1])
}
