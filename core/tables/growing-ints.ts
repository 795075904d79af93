/** Whole numbers one behind the other; the room for them doubles as it fills. */
export class GrowingInts {
  #ints: Int32Array
  #length: number

  constructor(from: Int32Array = new Int32Array(0)) {
    this.#ints = new Int32Array(Math.max(1024, from.length * 1.25))
    this.#ints.set(from)
    this.#length = from.length
  }

  get length(): number {
    return this.#length
  }

  push(value: number): void {
    if (this.#length === this.#ints.length) {
      const larger = new Int32Array(this.#length * 2)
      larger.set(this.#ints)
      this.#ints = larger
    }
    this.#ints[this.#length++] = value
  }

  at(index: number): number {
    return this.#ints[index] as number
  }

  addInPlace(index: number, by: number): void {
    this.#ints[index] = (this.#ints[index] as number) + by
  }

  /** All of them, in room of their own. */
  finish(): Int32Array {
    return this.#ints.slice(0, this.#length)
  }
}
