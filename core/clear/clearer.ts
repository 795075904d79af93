import { categoryParts } from '../identity'
import type { ClearEntry } from './clear-entry'
import { PhraseIndex } from './phrase-index'
import type { ListingStatus } from './status-of'

/** What is to be listed, or is listed already. */
export interface Listed {
  gtin: string | null
  brand: string | null
  category: string | null
  /** 'Market/number' of each listing, and what it says */
  listings: readonly { key: string; title: string; tags: string | null }[]
}

/** Whether something may be listed, and what says so. */
export interface Clearance {
  status: ListingStatus
  /** the entries that say so, the strictest first */
  because: ClearEntry[]
}

/** The strictest first: where two lines speak of one thing, that one counts. */
export const statusOrder: readonly ListingStatus[] = ['restricted', 'needs approval', 'allowed', 'unknown']

/** All lists at once, ready to be asked about many things. Entries are found, not tried one by one. */
export class Clearer {
  readonly entries: readonly ClearEntry[]
  readonly #byGtin = new Map<string, number[]>()
  readonly #byKey = new Map<string, number[]>()
  readonly #byBranch = new Map<string, number[]>()
  readonly #byBrand = new Map<string, number[]>()
  /** brands stand as they are; other words in any form */
  readonly #names: PhraseIndex
  readonly #phrases: PhraseIndex

  constructor(entries: readonly ClearEntry[]) {
    this.entries = entries
    const [names, phrases]: [number, string][][] = [[], []]
    entries.forEach((entry, at) => {
      if (entry.gtin !== null) put(this.#byGtin, entry.gtin, at)
      if (entry.id !== null) put(this.#byKey, `${entry.market ?? '?'}/${entry.id}`, at)
      for (const branch of branchesOf(entry)) put(this.#byBranch, branch, at)
      if (entry.sort === 'brand') put(this.#byBrand, folded(entry.what), at)
      // an answer about one item speaks of no other that is called alike
      const isNamed = entry.sort === 'item' && entry.gtin === null && entry.id === null
      if (entry.sort === 'brand' || isNamed) names?.push([at, entry.what])
      if (entry.sort === 'phrase') phrases?.push([at, entry.what])
    })
    this.#names = new PhraseIndex(names ?? [], false)
    this.#phrases = new PhraseIndex(phrases ?? [], true)
  }

  /** Entries that a barcode is named by. */
  ofGtin = (gtin: string): readonly number[] => this.#byGtin.get(gtin) ?? none
  /** Entries that name a listing, as 'Market/number'. */
  ofKey = (key: string): readonly number[] => this.#byKey.get(key) ?? none
  /** Entries that name a brand. */
  ofBrand = (brand: string): readonly number[] => this.#byBrand.get(folded(brand)) ?? none

  /** Entries that name a category or one above it. */
  ofCategory(category: string): number[] {
    if (this.#byBranch.size === 0) return []
    const parts = foldedParts(category)
    return parts.flatMap((_, i) => this.#byBranch.get(parts.slice(0, i + 1).join('/')) ?? [])
  }

  /** Whether any entry names a listing. */
  get namesListings(): boolean {
    return this.#byKey.size > 0
  }

  /** Whether any entry speaks of words at all. */
  get readsTexts(): boolean {
    return !this.#names.isEmpty || !this.#phrases.isEmpty
  }

  /** Calls with every entry whose words a text has. */
  forEachInText(text: string, found: (entry: number) => void): void {
    this.#names.forEachIn(text, found)
    this.#phrases.forEachIn(text, found)
  }

  /** The same of a text as it rests, UTF-8 from one byte up to another. */
  forEachInBytes(bytes: Uint8Array, from: number, to: number, found: (entry: number) => void): void {
    this.#names.forEachInBytes(bytes, from, to, found)
    this.#phrases.forEachInBytes(bytes, from, to, found)
  }

  /**
   * What is said of an item: by its barcode, one of its listings, its brand, its category or one above it, or words in its titles or tags. What
   * nothing speaks of is 'unknown', never 'allowed'.
   */
  clear({ gtin, brand, category, listings }: Listed): Clearance {
    const found = new Set<number>([
      ...(gtin === null ? none : this.ofGtin(gtin)),
      ...(brand === null ? none : this.ofBrand(brand)),
      ...(category === null ? none : this.ofCategory(category)),
    ])
    for (const { key, title, tags } of listings) {
      for (const entry of this.ofKey(key)) found.add(entry)
      this.forEachInText(title, (entry) => found.add(entry))
      for (const tag of tags?.split('|') ?? []) this.forEachInText(tag, (entry) => found.add(entry))
    }
    const because = [...found].sort((a, b) => a - b).map((at) => this.entries[at] as ClearEntry)
    because.sort((a, b) => statusOrder.indexOf(a.status) - statusOrder.indexOf(b.status))
    return { status: because[0]?.status ?? 'unknown', because }
  }
}

const none: readonly number[] = []

function put(map: Map<string, number[]>, key: string, at: number): void {
  const list = map.get(key)
  if (list) list.push(at)
  else map.set(key, [at])
}

const folded = (text: string) => (text.toLowerCase().match(/[\p{L}\p{N}]+/gu) ?? []).join(' ')
const foldedParts = (path: string) => categoryParts(path.toLowerCase())

function branchesOf({ sort, what, category }: ClearEntry): string[] {
  const paths = [...(category === null ? [] : [category]), ...(sort === 'category' ? [what] : [])]
  return paths.map((path) => foldedParts(path).join('/')).filter((branch) => branch !== '')
}
