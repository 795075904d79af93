import { zipSync, strToU8 } from 'fflate'
import { randomOf } from './million'

type Random = () => number
const whole = (random: Random, below: number) => Math.floor(random() * below)

/** Damage of the kinds that files meet: cut short, bits turned, pieces lost, doubled, swapped in from elsewhere, or hostile values. */
const ways: ((bytes: Uint8Array, random: Random, other: Uint8Array) => Uint8Array)[] = [
  (b, r) => b.slice(0, whole(r, b.length)),
  (b, r) => {
    const out = b.slice()
    for (let i = 0, n = 1 + whole(r, 30); i < n; i++) out[whole(r, out.length)] = whole(r, 256)
    return out
  },
  (b, r) => {
    const from = whole(r, b.length)
    return joined(b.slice(0, from), b.slice(from + whole(r, 2000)))
  },
  (b, r) => {
    const from = whole(r, b.length)
    return joined(b.slice(0, from), b.slice(from, from + 3000), b.slice(from))
  },
  (b, r, other) => {
    const from = whole(r, b.length)
    return joined(b.slice(0, from), other.slice(whole(r, other.length)))
  },
  (b, r) => {
    const at = whole(r, b.length)
    return joined(b.slice(0, at), strToU8(nasty[whole(r, nasty.length)] ?? ''), b.slice(at))
  },
  (b, r) => {
    const at = b.length - 1 - whole(r, Math.min(b.length, 64))
    const out = b.slice()
    out[at] = 255 - (out[at] ?? 0)
    return out
  },
]

const nasty = [
  '"',
  '""",',
  '\u0000\u0000',
  '\ufeff',
  '\r',
  '\n\n\n\n',
  '1e999',
  '-0',
  'NaN',
  '99999999999999999999999999',
  '=1+1',
  '<script>',
  '__proto__',
  '{"__proto__":{"x":1}}',
  ']}',
  '['.repeat(500),
  ','.repeat(5000),
  '\ud800',
  '٣٤٥',
  '２０２６',
  '31.12.99999',
  '0000-00-00',
  '9'.repeat(400),
  'a'.repeat(70_000),
  '\t;|,',
]

/** Files that are hostile as a whole. */
const hostile: ((random: Random) => { name: string; bytes: Uint8Array })[] = [
  () => ({ name: 'deep.json', bytes: strToU8('['.repeat(200_000)) }),
  () => ({ name: 'wide.csv', bytes: strToU8(`${'a,'.repeat(60_000)}\n${'1,'.repeat(60_000)}\n`) }),
  () => ({ name: 'quotes.csv', bytes: strToU8(`Item ID,Title,Price\n${'"'.repeat(300_001)}`) }),
  () => ({ name: 'one-line.csv', bytes: strToU8('x'.repeat(3_000_000)) }),
  () => ({
    name: 'bomb.xlsx',
    bytes: zipSync({ 'xl/worksheets/sheet1.xml': new Uint8Array(60_000_000) }, { level: 9 }),
  }),
  () => ({
    name: 'proto.json',
    bytes: strToU8('[{"__proto__":{"id":"1"},"constructor":"x","toString":"y","price":3,"title":"t"}]'),
  }),
  (r) => ({
    name: 'noise.parquet',
    bytes: joined(
      strToU8('PAR1'),
      Uint8Array.from({ length: 5000 }, () => whole(r, 256)),
      strToU8('PAR1'),
    ),
  }),
  (r) => ({ name: 'noise.bin', bytes: Uint8Array.from({ length: 20_000 }, () => whole(r, 256)) }),
]

function joined(...parts: Uint8Array[]): Uint8Array {
  const out = new Uint8Array(parts.reduce((n, p) => n + p.length, 0))
  let at = 0
  for (const p of parts) {
    out.set(p, at)
    at += p.length
  }
  return out
}

/** Damaged copies of whole files, and hostile ones now and then; the same seed gives the same files. */
export function* damaged(files: { name: string; bytes: Uint8Array }[], count: number, seed: number) {
  const random = randomOf(seed)
  for (let i = 0; i < count; i++) {
    if (random() < 0.02) {
      yield hostile[whole(random, hostile.length)]?.(random) ?? { name: 'none', bytes: new Uint8Array() }
      continue
    }
    const { name, bytes } = files[i % files.length] as (typeof files)[number]
    const other = files[whole(random, files.length)]?.bytes ?? bytes
    let out = bytes
    for (let n = 1 + whole(random, 3); n > 0; n--) out = ways[whole(random, ways.length)]?.(out, random, other) ?? out
    yield { name, bytes: out }
  }
}
