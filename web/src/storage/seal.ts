import { hashText, hashWord } from '@sickle/core/tables'

/** A record at rest with the check sum of all it holds and of the place it holds it at, so that a swapped one is found out too. */
export type Sealed<T> = T & { seal: number }

/** @param place names store and key */
export function sealed<T extends object>(place: readonly unknown[], record: T): Sealed<T> {
  const { seal: _, ...bare } = record as T & { seal?: number }
  return { ...(bare as T), seal: sealOf(place, bare) }
}

/** Whether a record is just as it was kept. */
export function isSound(place: readonly unknown[], record: unknown): boolean {
  if (typeof record !== 'object' || record === null) return false
  const { seal, ...bare } = record as { seal?: unknown }
  return typeof seal === 'number' && seal === sealOf(place, bare)
}

/** MurmurHash3 over everything a structured clone keeps: 32 bits, against accidents and not against intent. */
export function sealOf(place: readonly unknown[], value: unknown): number {
  return mixed(mixed(0, place), value)
}

/** One number for each sort of value, so that '1', 1 and [1] differ. */
const sort = { nothing: 1, number: 2, text: 3, truth: 4, bytes: 5, list: 6, parts: 7, map: 8 } as const
const figure = new Float64Array(1)
const figureWords = new Int32Array(figure.buffer)

function mixed(hash: number, value: unknown): number {
  if (value === null || value === undefined) return hashWord(hash, sort.nothing)
  if (typeof value === 'number') {
    figure[0] = value
    return hashWord(hashWord(hashWord(hash, sort.number), figureWords[0] as number), figureWords[1] as number)
  }
  if (typeof value === 'string') return hashWord(hashWord(hash, sort.text), hashText(value))
  if (typeof value !== 'object') return hashWord(hashWord(hash, sort.truth), hashText(JSON.stringify(value) ?? ''))
  if (ArrayBuffer.isView(value)) return ofBytes(hash, value)
  if (Array.isArray(value)) return value.reduce<number>(mixed, hashWord(hashWord(hash, sort.list), value.length))
  if (isMap(value)) return [...value].reduce<number>(mixed, hashWord(hash, sort.map))
  const parts = Object.entries(value)
    .filter(([, part]) => part !== undefined)
    .sort(([a], [b]) => (a < b ? -1 : 1))
  return parts.reduce<number>(mixed, hashWord(hashWord(hash, sort.parts), parts.length))
}

// by their name rather than their class, which differs between realms
const nameOf = (value: object) => Object.prototype.toString.call(value)
const isMap = (value: object): value is Iterable<unknown> => ['[object Map]', '[object Set]'].includes(nameOf(value))

/** Kind, length and content of a typed array, four bytes at a time. */
function ofBytes(hash: number, view: ArrayBufferView): number {
  let h = hashWord(hashWord(hashWord(hash, sort.bytes), hashText(nameOf(view))), view.byteLength)
  const bytes = new Uint8Array(view.buffer, view.byteOffset, view.byteLength)
  const whole = bytes.length >> 2
  const aligned = view.byteOffset % 4 === 0 ? bytes : bytes.slice()
  const words = new Int32Array(aligned.buffer, aligned.byteOffset, whole)
  for (let i = 0; i < whole; i++) h = hashWord(h, words[i] as number)
  for (let i = whole * 4; i < bytes.length; i++) h = hashWord(h, bytes[i] as number)
  return h
}
