import { AlikePairs } from './alike-pairs'
import { sameFrom } from './title-index'
import { signatureKey, titleSignature, type TitleSignature } from './title-signature'

/** The listings to be joined, asked for one by one. */
export interface ListingNames {
  count: number
  title: (listing: number) => string | null
  gtin: (listing: number) => string | null
  /** where the goods bear one; two different brands are never joined by words */
  brand?: (listing: number) => string | null
}

export interface JoinOptions {
  onProgress?: (done: number) => Promise<void>
  /** listings that a person said stand alone */
  apart?: ReadonlySet<number>
  /** pairs that a person said are the same goods, whatever barcodes and titles say */
  together?: readonly (readonly [number, number])[]
}

/**
 * Puts listings of the same goods together: by barcode, by titles that say the same, and by titles that are alike beyond
 * doubt. Two different barcodes are never joined, nor two brands (unless a barcode says so), nor packs of different size.
 *
 * @param onProgress hears the share done; it may take its time, which lets others work
 * @returns for each listing the number of its item, 0 upwards in order of first appearance
 */
export async function joinListings(
  { count, title, gtin, brand = () => null }: ListingNames,
  { onProgress = async () => {}, apart = new Set(), together = [] }: JoinOptions = {},
): Promise<Int32Array> {
  const gtins = Array.from({ length: count }, (_, i) => gtin(i))
  const brands = Array.from({ length: count }, (_, i) => brand(i)?.trim().toLowerCase() ?? null)
  const groups = new Groups(gtins, brands)
  const byKey = new Map<string, number>()
  const signatures: TitleSignature[] = []
  const firstOf: number[] = []
  for (let i = 0; i < count; i++) {
    if (i % 500 === 0) await onProgress((0.6 * i) / count)
    if (apart.has(i)) continue
    const signature = titleSignature(title(i) ?? '')
    const code = gtins[i] ?? null
    if (code !== null) groups.joinAnyway(i, keep(byKey, `gtin ${code}`, i))
    if (signature.words.length < 2) continue
    const key = signatureKey(signature)
    const first = byKey.get(key)
    if (first !== undefined) groups.join(i, first)
    else {
      byKey.set(key, i)
      signatures.push(signature)
      firstOf.push(i)
    }
  }
  await joinAlike(groups, signatures, firstOf, (done) => onProgress(0.6 + 0.4 * done))
  for (const [a, b] of together) groups.joinAnyway(a, b)
  return groups.numbered()
}

function keep(map: Map<string, number>, key: string, i: number): number {
  const first = map.get(key)
  if (first !== undefined) return first
  map.set(key, i)
  return i
}

/**
 * Joins titles that are alike beyond doubt. Only those that state the same sizes, colours and pack are compared, so each
 * such bunch is searched by itself, with words weighed over all titles.
 */
async function joinAlike(
  groups: Groups,
  signatures: TitleSignature[],
  firstOf: number[],
  onProgress: (done: number) => Promise<void>,
): Promise<void> {
  const pairs = new AlikePairs(signatures)
  const bunches = new Map<string, number[]>()
  signatures.forEach((s, i) => {
    const figures = [s.sizes.join(), s.colours.join(), s.pack].join('\u0001')
    const bunch = bunches.get(figures)
    if (bunch) bunch.push(i)
    else bunches.set(figures, [i])
  })
  let done = 0
  for (const bunch of bunches.values()) {
    const search = pairs.search(bunch, {
      least: sameFrom,
      worthwhile: (a, b) => groups.mayJoin(firstOf[a] as number, firstOf[b] as number),
      onPair: (a, b) => groups.join(firstOf[a] as number, firstOf[b] as number),
    })
    let place = 0
    for (const _ of search) await onProgress((done + 200 * place++) / signatures.length)
    done += bunch.length
  }
}

/** Sets that grow together, each with at most one barcode, and one brand but for what a barcode joined. */
class Groups {
  readonly #parent: Int32Array
  /** barcodes and brands; those of a set at its root */
  readonly #labels: readonly (string | null)[][]

  constructor(...labels: (string | null)[][]) {
    this.#parent = Int32Array.from(labels[0] ?? [], (_, i) => i)
    this.#labels = labels.map((list) => [...list])
  }

  /** Not together yet, and not kept apart by different barcodes or brands. */
  mayJoin(a: number, b: number): boolean {
    const [x, y] = [this.#root(a), this.#root(b)]
    return (
      x !== y && this.#labels.every((of) => (of[x] ?? null) === null || (of[y] ?? null) === null || of[x] === of[y])
    )
  }

  join(a: number, b: number): void {
    if (this.mayJoin(a, b)) this.joinAnyway(a, b)
  }

  joinAnyway(a: number, b: number): void {
    const [x, y] = [this.#root(a), this.#root(b)]
    if (x === y) return
    const [keep, give] = x < y ? [x, y] : [y, x]
    this.#parent[give] = keep
    for (const of of this.#labels) of[keep] = of[keep] ?? of[give] ?? null
  }

  numbered(): Int32Array {
    const numbers = new Map<number, number>()
    return Int32Array.from(this.#parent, (_, i) => {
      const root = this.#root(i)
      if (!numbers.has(root)) numbers.set(root, numbers.size)
      return numbers.get(root) as number
    })
  }

  #root(i: number): number {
    let at = i
    while (this.#parent[at] !== at) {
      this.#parent[at] = this.#parent[this.#parent[at] as number] as number
      at = this.#parent[at] as number
    }
    return at
  }
}
