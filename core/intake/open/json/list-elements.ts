import { joined } from '../joined'
import { Problem, stopIfCancelled } from '../../../problem'
import { limits, type SlicedSource } from '../opened-file'

const [quote, backslash, openList, closeList, openRecord, closeRecord] = [34, 92, 91, 93, 123, 125]
const piece = 1_000_000

/** Elements of a list, a piece of the file at a time, each as its bytes; and the share of the file that is read. */
export interface Elements {
  elements: Uint8Array[]
  done: number
}

/**
 * The records of a list inside a JSON file, cut out one by one without building the others. Plain values between them are passed over.
 *
 * @param from the byte behind the list's '['
 * @throws Problem 'row-too-long', 'cancelled'
 */
export async function* listElements(file: SlicedSource, from: number, signal?: AbortSignal): AsyncGenerator<Elements> {
  let left = new Uint8Array(0)
  let row = 0
  for (let at = from, size = piece; at < file.size;) {
    stopIfCancelled(signal)
    const next = new Uint8Array(await file.slice(at, Math.min(file.size, at + size)).arrayBuffer())
    at += next.length
    const bytes = joined(left, next)
    const { elements, used, isOver } = cut(bytes)
    row += elements.length
    left = bytes.slice(used)
    if (left.length > limits.rowMegabytes * 1e6)
      throw new Problem('row-too-long', { file: file.name, row: row + 1, megabytes: limits.rowMegabytes })
    // as much again as is there, so that a long record is not gone over from its beginning each time
    size = Math.max(piece, left.length)
    yield { elements, done: isOver ? 1 : Math.min(0.999, at / file.size) }
    if (isOver) return
  }
}

/** Whole elements at the beginning of some bytes; what is begun only is left for later. */
function cut(bytes: Uint8Array): { elements: Uint8Array[]; used: number; isOver: boolean } {
  const elements: Uint8Array[] = []
  let depth = 0
  let start = 0
  let used = 0
  for (let i = 0; i < bytes.length; i++) {
    const b = bytes[i]
    if (b === quote) {
      const end = textEnd(bytes, i + 1)
      if (end < 0) return { elements, used: depth === 0 ? i : used, isOver: false }
      i = end
      if (depth === 0) used = i + 1
    } else if (b === openRecord || b === openList) {
      if (depth++ === 0) {
        start = i
        used = i
      }
    } else if (b === closeRecord || b === closeList) {
      if (depth === 0) return { elements, used: i, isOver: true }
      if (--depth === 0) {
        elements.push(bytes.subarray(start, i + 1))
        used = i + 1
      }
    } else if (depth === 0) used = i + 1
  }
  return { elements, used, isOver: false }
}

/** The quote that ends a text: one before which no odd number of backslashes stands. */
function textEnd(bytes: Uint8Array, from: number): number {
  for (let at = bytes.indexOf(quote, from); at >= 0; at = bytes.indexOf(quote, at + 1)) {
    let escapes = at
    while (escapes > from && bytes[escapes - 1] === backslash) escapes--
    if ((at - escapes) % 2 === 0) return at
  }
  return -1
}
