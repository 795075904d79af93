import { placesOf } from '../tables'

/** Sets that grow together (union by the lower number), each with at most one barcode, and one brand but for what a barcode joined. */
export class Groups {
  readonly #parent: Int32Array
  /** numbers of barcodes and brands, -1 where none is known; those of a set at its root */
  readonly #labels: readonly Int32Array[]

  /** Each by itself. @param labels copied, not kept */
  constructor(...labels: Int32Array[]) {
    this.#parent = placesOf(labels[0]?.length ?? 0)
    this.#labels = labels.map((list) => list.slice())
  }

  /** As they stand. @param groupOf group of each, 0 upwards; -1 for those that stand by themselves */
  static from(groupOf: Int32Array, ...labels: Int32Array[]): Groups {
    const groups = new Groups(...labels)
    // of those that went there may be more numbers than there are listings
    let most = 0
    for (const group of groupOf) most = Math.max(most, group + 1)
    const firsts = new Int32Array(most).fill(-1)
    groupOf.forEach((group, i) => {
      if (group < 0) return
      if ((firsts[group] as number) < 0) firsts[group] = i
      else groups.joinAnyway(firsts[group] as number, i)
    })
    return groups
  }

  /** Not together yet, and not kept apart by different barcodes or brands. */
  mayJoin(a: number, b: number): boolean {
    const [x, y] = [this.root(a), this.root(b)]
    if (x === y) return false
    for (const of of this.#labels) if ((of[x] as number) >= 0 && (of[y] as number) >= 0 && of[x] !== of[y]) return false
    return true
  }

  /** Whether its set has a barcode (the first of the labels). */
  hasLabel(i: number): boolean {
    return (this.#labels[0]?.[this.root(i)] ?? -1) >= 0
  }

  join(a: number, b: number): void {
    if (this.mayJoin(a, b)) this.joinAnyway(a, b)
  }

  joinAnyway(a: number, b: number): void {
    const [x, y] = [this.root(a), this.root(b)]
    if (x === y) return
    const [keep, give] = x < y ? [x, y] : [y, x]
    this.#parent[give] = keep
    for (const of of this.#labels) if ((of[keep] as number) < 0) of[keep] = of[give] as number
  }

  root(i: number): number {
    const parent = this.#parent
    let at = i
    while (parent[at] !== at) {
      parent[at] = parent[parent[at] as number] as number
      at = parent[at] as number
    }
    return at
  }

  /** For each the number of its set, 0 upwards in order of first appearance. */
  numbered(): Int32Array {
    const numbers = new Int32Array(this.#parent.length).fill(-1)
    let next = 0
    return this.#parent.map((_, i) => {
      const root = this.root(i)
      if ((numbers[root] as number) < 0) numbers[root] = next++
      return numbers[root] as number
    })
  }
}
