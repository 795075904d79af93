import fc from 'fast-check'
import { zipSync } from 'fflate'
import { Problem } from '../problem'
import { crc32, unpackEntry, zipEntries, type ArchiveSource } from '.'

const broken = (reason: string) => new Problem('file-xlsx-broken', { file: 'x.zip', reason })
const archive = (bytes: Uint8Array): ArchiveSource => ({
  name: 'x.zip',
  size: bytes.length,
  slice: (from, to) => ({ arrayBuffer: () => Promise.resolve(bytes.slice(from, to).buffer) }),
})
async function unpackAll(bytes: Uint8Array): Promise<Record<string, number[]>> {
  const file = archive(bytes)
  const out: Record<string, number[]> = {}
  for (const entry of (await zipEntries(file, broken)).values()) {
    const all: number[] = []
    for await (const { bytes: piece } of unpackEntry(file, entry, broken)) all.push(...piece)
    out[entry.name] = all
  }
  return out
}
const reasonOf = (work: Promise<unknown>) =>
  work.then(
    () => 'read',
    (e: Problem) => `${e.code}: ${String(e.details.reason)}`,
  )

test('what a kept library packs is unpacked as it was, packed or only stored', async () => {
  const files = fc.dictionary(fc.stringMatching(/^[a-z/]{1,12}\.xml$/), fc.uint8Array({ maxLength: 3000 }), {
    minKeys: 1,
    maxKeys: 5,
  })
  await fc.assert(
    fc.asyncProperty(files, fc.constantFrom(0 as const, 6 as const), async (content, level) => {
      const got = await unpackAll(zipSync(content, { level }))
      expect(got).toEqual(Object.fromEntries(Object.entries(content).map(([n, b]) => [n, [...b]])))
    }),
    { numRuns: 80 },
  )
})

test('a comment behind the directory does not hide it', async () => {
  const bytes = zipSync({ 'a.xml': Uint8Array.of(1, 2, 3) })
  const longer = new Uint8Array(bytes.length + 500)
  longer.set(bytes)
  new DataView(longer.buffer).setUint16(bytes.length - 2, 500, true)
  expect(await unpackAll(longer)).toEqual({ 'a.xml': [1, 2, 3] })
})

test('sizes that stand in the extra field, as writers of streams put them, are read there', async () => {
  const bytes = zipSync({ 'a.xml': [new Uint8Array(40).fill(7), { extra: { 1: new Uint8Array(24) } }] })
  const view = new DataView(bytes.buffer)
  const at = view.getUint32(bytes.length - 22 + 16, true)
  const [packed, size, place] = [20, 24, 42].map((o) => view.getUint32(at + o, true)) as [number, number, number]
  const extra = at + 46 + 'a.xml'.length + 4
  ;[size, packed, place].forEach((v, i) => view.setBigUint64(extra + i * 8, BigInt(v), true))
  ;[20, 24, 42].forEach((o) => view.setUint32(at + o, 0xffffffff, true))
  expect(await unpackAll(bytes)).toEqual({ 'a.xml': new Array(40).fill(7) })
})

test('what is damaged is refused with its reason', async () => {
  const whole = zipSync({ 'a.xml': new Uint8Array(5000).map((_, i) => i % 251) })
  const at = new DataView(whole.buffer).getUint32(whole.length - 22 + 16, true)
  const changed = (place: number, value: number, bits: 16 | 32 = 32) => {
    const bytes = whole.slice()
    const view = new DataView(bytes.buffer)
    if (bits === 32) view.setUint32(place, value, true)
    else view.setUint16(place, value, true)
    return bytes
  }
  expect(await reasonOf(unpackAll(new Uint8Array(0)))).toBe('file-xlsx-broken: it has no directory')
  expect(await reasonOf(unpackAll(whole.slice(0, -30)))).toBe('file-xlsx-broken: it has no directory')
  expect(await reasonOf(unpackAll(changed(whole.length - 22 + 16, 0xfffffff0)))).toBe(
    'file-xlsx-broken: its directory lies',
  )
  expect(await reasonOf(unpackAll(changed(at + 42, 9)))).toBe('file-xlsx-broken: a.xml is not where its directory says')
  expect(await reasonOf(unpackAll(changed(at + 20, 0xffffff)))).toBe('file-xlsx-broken: a.xml is cut off')
  expect(await reasonOf(unpackAll(changed(at + 8, 1, 16)))).toMatch(/encrypted/)
  expect(await reasonOf(unpackAll(changed(at + 10, 12, 16)))).toMatch(/packed in a way that is not read/)
  expect(await reasonOf(unpackAll(changed(35, 0xffffffff)))).toBe('file-xlsx-broken: a.xml cannot be unpacked')
  expect(await reasonOf(unpackAll(changed(at + 16, 0x12345678)))).toBe(
    'file-xlsx-broken: a.xml was changed: its sum does not fit',
  )
})

test('the check sum is that of the standard (from memory: the sum of 123456789 in every table of CRCs)', () => {
  const bytes = new TextEncoder().encode('123456789')
  expect(crc32(bytes)).toBe(0xcbf43926)
  expect(crc32(bytes.subarray(4), crc32(bytes.subarray(0, 4)))).toBe(0xcbf43926)
  expect(crc32(new Uint8Array(0))).toBe(0)
})

test('unpacking stops when it is told to', async () => {
  const bytes = zipSync({ 'a.xml': new Uint8Array(3_000_000).map((_, i) => (i * 7919) % 253) })
  const file = archive(bytes)
  const [entry] = [...(await zipEntries(file, broken)).values()]
  const stop = new AbortController()
  const run = async () => {
    for await (const { done } of unpackEntry(file, entry!, broken, stop.signal)) if (done > 0) stop.abort()
  }
  await expect(run()).rejects.toMatchObject({ code: 'cancelled' })
})
