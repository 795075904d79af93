import { strToU8, zipSync } from 'fflate'
import { createHash } from 'node:crypto'
import { randomOf } from '../million'
import { hostileParquet } from './parquet'
import { hostileBooks } from './spreadsheet'
import { asBytes, hostileTexts } from './texts'

export interface HostileFile {
  name: string
  bytes: Uint8Array
}

/** Every hostile file that is named, once; the seed varies what may vary. */
export function namedHostile(seed: number): HostileFile[] {
  const random = randomOf(seed)
  return [
    ...hostileBooks(random).map(([name, bytes]) => ({ name: `${name}.xlsx`, bytes })),
    ...hostileParquet(random).map(([name, bytes]) => ({ name: `${name}.parquet`, bytes })),
    ...asBytes(hostileTexts(random)).map(([name, bytes]) => ({ name, bytes })),
    ...hostileBackups().map(([name, bytes]) => ({ name: `${name}.sickle`, bytes })),
  ]
}

/** The named ones, and then copies of them with bytes turned, until there are as many as wanted. */
export function* hostileFiles(count: number, seed = 20_261_126): Generator<HostileFile> {
  const random = randomOf(seed)
  const named = namedHostile(seed)
  for (let n = 0; n < count; n++) {
    const { name, bytes } = named[n % named.length] as HostileFile
    if (n < named.length) yield { name, bytes }
    // the largest are cut: each whole once more would only take time
    else
      yield {
        name,
        bytes: turned(bytes.length > 3_000_000 ? bytes.slice(0, 200_000 + random() * 200_000) : bytes, random),
      }
  }
}

/** A copy with a few bytes turned; the names of formats at the beginning stay, so that it is read as what it was. */
function turned(bytes: Uint8Array, random: () => number): Uint8Array {
  const out = bytes.slice()
  for (let i = Math.floor(random() * 12); i > 0; i--)
    out[4 + Math.floor(random() * Math.max(1, out.length - 8))] = Math.floor(random() * 256)
  return out
}

const sealed = (files: Record<string, Uint8Array>) => {
  const entries = Object.fromEntries(
    Object.entries(files).map(([path, bytes]) => [path, createHash('sha256').update(bytes).digest('hex')]),
  )
  return zipSync({
    'manifest.json': strToU8(JSON.stringify({ format: 'sickle-backup', version: 2, entries })),
    ...files,
  })
}
const entry = {
  id: 'a',
  file: 'x.csv',
  kind: 'listings',
  from: 'M',
  rows: 2,
  taken: 2,
  rejected: 0,
  doubts: 0,
  capturedOn: 20_000,
  windowDays: 30,
  importedAt: 1,
  fileBytes: 9,
  segments: [2],
  demo: false,
}

/** Backups whose sums are right and whose contents are not. */
export function hostileBackups(): [string, Uint8Array][] {
  const doubles = (...v: number[]) => new Uint8Array(new Float64Array(v).buffer)
  // its directory says 4 GB; nobody has to unpack them to find out
  const bomb = zipSync({ 'manifest.json': strToU8('{}') })
  const view = new DataView(bomb.buffer)
  view.setUint32(view.getUint32(bomb.length - 22 + 16, true) + 24, 0xfffffff0, true)
  return [
    ['unpacks-to-4-gb', bomb],
    ['documents-null', sealed({ 'documents/settings.json': strToU8('null') })],
    ['documents-broken', sealed({ 'documents/rules.json': strToU8('{"homeCurrency":') })],
    ['import-null', sealed({ 'imports/a.json': strToU8('null') })],
    [
      'import-without-figures',
      sealed({ 'imports/a.json': strToU8(JSON.stringify({ entry: { ...entry, rows: null }, rejects: null })) }),
    ],
    [
      'price-without-end',
      sealed({
        'imports/a.json': strToU8(JSON.stringify({ entry, rejects: null })),
        'columns/a/0/price.f64': doubles(1, Infinity),
      }),
    ],
    [
      'words-broken',
      sealed({
        'imports/a.json': strToU8(JSON.stringify({ entry, rejects: null })),
        'columns/a/0/title.i32': new Uint8Array(8),
        'columns/a/0/title.words.json': strToU8('[oops'),
      }),
    ],
    [
      'segments-of-1e9',
      sealed({
        'imports/a.json': strToU8(JSON.stringify({ entry: { ...entry, segments: [1e9] }, rejects: null })),
        'columns/a/0/price.f64': doubles(1, 2),
      }),
    ],
  ]
}
