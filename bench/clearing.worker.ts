import { Clearer, clearEntries, clearItems, unknownCode, type Listed } from '@sickle/core/clear'
import { PackedWords, packWords, TableBuilder, type Table } from '@sickle/core/tables'

const [titles, phrases, items, lines, sample] = [1_000_000, 10_000, 2_000, 5_000, 100]

/** A source of chance that needs nothing from outside (mulberry32). */
function chance(seed: number): () => number {
  let state = seed
  return () => {
    state = (state + 0x6d2b79f5) >>> 0
    let t = Math.imul(state ^ (state >>> 15), state | 1)
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61)
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296
  }
}
const random = chance(11)

/** Made-up words that have no other forms, rare ones as rare as in titles. */
const vocabulary = Array.from(
  { length: 20_000 },
  (_, i) => `${i.toString(26).replace(/\d/g, (d) => 'klmnopqrst'[+d]!)}zax`,
)
const word = () => vocabulary[Math.floor(vocabulary.length * random() ** 3)]!
const words = (n: number) => Array.from({ length: n }, word).join(' ')

const list = (many: number) =>
  clearEntries([
    {
      day: 20_604,
      records: Array.from({ length: many }, (_, i) => ({
        market: 'Farholt',
        what: i % 4 === 0 ? `${vocabulary[vocabulary.length - 1 - i]}` : words(2 + (i % 2)),
        sort: 'phrase',
        status: i % 3 === 0 ? 'ask first' : 'restricted',
      })),
    },
  ])

function listings(): Table {
  const builder = new TableBuilder(['market', 'id', 'title'].map((name) => ({ name, type: 'text' as const })))
  for (let i = 0; i < titles; i++) builder.add({ market: 'Farholt', id: String(i), title: words(8) })
  // as they rest: a million texts by themselves would take many times the memory
  const { rows, columns } = builder.finish()
  const packed = Object.entries(columns).map(([name, column]) => [
    name,
    column.type === 'text' ? { ...column, words: new PackedWords(packWords(column.words)) } : column,
  ])
  return { rows, columns: Object.fromEntries(packed) as Table['columns'] }
}

/** What everybody would write first: each phrase as a regular expression, each tried on each title. */
function plainLoop(some: readonly string[], what: readonly string[]): { ms: number; met: boolean[] } {
  const patterns = what.map((phrase) => new RegExp(`\\b${phrase}\\b`, 'i'))
  const began = performance.now()
  const met = some.map((title) => patterns.some((pattern) => pattern.test(title)))
  return { ms: performance.now() - began, met }
}

async function phrasesInTitles() {
  const table = listings()
  const entries = list(phrases)
  const began = performance.now()
  const clearer = new Clearer(entries)
  const itemOf = Int32Array.from({ length: titles }, (_, i) => i)
  const codes = await clearItems(clearer, table, { itemOf, items: titles })
  const ms = performance.now() - began
  const column = table.columns.title
  const some = Array.from({ length: sample }, (_, i) =>
    column?.type === 'text' ? (column.words.at(column.codes[i] as number) ?? '') : '',
  )
  const plain = plainLoop(
    some,
    entries.map((e) => e.what),
  )
  const agree = plain.met.filter((met, i) => met === (codes[i] as number) < unknownCode).length
  return { ms, plainMs: (plain.ms / sample) * titles, agree, met: codes.filter((c) => c < unknownCode).length }
}

function itemsAgainstLines(): number {
  const many: Listed[] = Array.from({ length: items }, (_, i) => ({
    gtin: null,
    brand: null,
    category: 'Garden / Birds',
    listings: [0, 1, 2, 3].map((l) => ({
      key: `Farholt/${i}-${l}`,
      title: words(8),
      tags: words(5).replaceAll(' ', '|'),
    })),
  }))
  const entries = list(lines)
  const began = performance.now()
  const clearer = new Clearer(entries)
  for (const item of many) clearer.clear(item)
  return performance.now() - began
}

const itemsMs = itemsAgainstLines()
void phrasesInTitles().then((found) => postMessage({ ...found, itemsMs, sample }))
