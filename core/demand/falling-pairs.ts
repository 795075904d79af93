/** values that are sorted by insertion, which is quicker for few */
const block = 12

/**
 * Pairs of which the later is smaller, n log n; sorts `x` on the way: short blocks by insertion, then merged upwards.
 *
 * @param scratch room as long as x, where there is some at hand
 */
export function fallingPairsInPlace(x: number[], scratch: number[] = []): number {
  const n = x.length
  let count = 0
  for (let from = 0; from < n; from += block) count += byInsertion(x, from, Math.min(n, from + block))
  for (let width = block; width < n; width *= 2) {
    for (let from = 0; from + width < n; from += 2 * width) {
      count += byMerging(x, scratch, from, from + width, Math.min(n, from + 2 * width))
    }
  }
  return count
}

function byInsertion(x: number[], from: number, to: number): number {
  let count = 0
  for (let i = from + 1; i < to; i++) {
    const value = x[i] as number
    let j = i - 1
    while (j >= from && (x[j] as number) > value) {
      x[j + 1] = x[j] as number
      j--
    }
    x[j + 1] = value
    count += i - 1 - j
  }
  return count
}

function byMerging(x: number[], scratch: number[], from: number, middle: number, to: number): number {
  let count = 0
  let left = from
  let right = middle
  for (let k = from; k < to; k++) {
    if (right >= to || (left < middle && (x[left] as number) <= (x[right] as number))) scratch[k] = x[left++] as number
    else {
      count += middle - left
      scratch[k] = x[right++] as number
    }
  }
  for (let k = from; k < to; k++) x[k] = scratch[k] as number
  return count
}

/** How often each value of a sorted list is there, in its order. */
export function runsOf(sorted: readonly number[]): number[] {
  const runs: number[] = []
  let before = NaN
  for (const value of sorted) {
    if (value === before) runs[runs.length - 1] = (runs.at(-1) as number) + 1
    else runs.push(1)
    before = value
  }
  return runs
}
