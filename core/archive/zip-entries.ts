import type { Problem } from '../problem'

/** A file that is read by pieces. */
export interface ArchiveSource {
  name: string
  size: number
  slice(start: number, end: number): { arrayBuffer(): Promise<ArrayBuffer> }
}

/** Makes the problem that an archive is damaged in this way; who opens it knows what it is called. */
export type Damaged = (reason: string) => Problem

/** One file inside a zip archive, by the archive's own directory. */
export interface ZipEntry {
  name: string
  /** where its local header begins, bytes */
  at: number
  packedBytes: number
  /** as the archive says: not to be trusted */
  bytes: number
  isDeflated: boolean
  /** CRC-32 of what it unpacks to */
  sum: number
}

const [endMark, entryMark, localMark, end64Mark] = [0x06054b50, 0x02014b50, 0x04034b50, 0x06064b50]
const [endSize, mostComment, mostEntries, mostDirectory] = [22, 65_535, 200_000, 64_000_000]

/**
 * The directory of a zip archive (APPNOTE 6.3, sections 4.3.12 and 4.3.16), read from the file's end without reading the rest.
 *
 * @throws what `broken` makes
 */
export async function zipEntries(file: ArchiveSource, broken: Damaged): Promise<Map<string, ZipEntry>> {
  const tailFrom = Math.max(0, file.size - endSize - mostComment)
  const tail = await viewOf(file, tailFrom, file.size)
  let end = tail.byteLength - endSize
  while (end >= 0 && tail.getUint32(end, true) !== endMark) end--
  if (end < 0) throw broken('it has no directory')
  let [size, at] = [tail.getUint32(end + 12, true), tail.getUint32(end + 16, true)]
  if (at === 0xffffffff) [size, at] = await directory64(file, tail, end, broken)
  if (size > mostDirectory || at + size > file.size) throw broken('its directory lies')
  const view = await viewOf(file, at, at + size)
  const entries = new Map<string, ZipEntry>()
  for (let pos = 0; pos + 46 <= view.byteLength && view.getUint32(pos, true) === entryMark;) {
    const [nameSize, extraSize, commentSize] = [28, 30, 32].map((o) => view.getUint16(pos + o, true)) as [
      number,
      number,
      number,
    ]
    const nameAt = pos + 46
    if (nameAt + nameSize + extraSize > view.byteLength || entries.size > mostEntries)
      throw broken('its directory is damaged')
    const name = new TextDecoder().decode(new Uint8Array(view.buffer, view.byteOffset + nameAt, nameSize))
    const method = view.getUint16(pos + 10, true)
    const entry = {
      name,
      isDeflated: method === 8,
      sum: view.getUint32(pos + 16, true),
      ...sizes(view, pos, nameAt + nameSize, extraSize),
    }
    if ((view.getUint16(pos + 8, true) & 1) === 1 || (method !== 0 && method !== 8))
      throw broken('it is encrypted or packed in a way that is not read')
    entries.set(name, entry)
    pos = nameAt + nameSize + extraSize + commentSize
  }
  return entries
}

/** Sizes and place of an entry; where they do not fit 32 bits they stand in the extra field (section 4.5.3). */
function sizes(view: DataView, pos: number, extraAt: number, extraSize: number) {
  const values = [view.getUint32(pos + 24, true), view.getUint32(pos + 20, true), view.getUint32(pos + 42, true)]
  for (let at = extraAt; at + 4 <= extraAt + extraSize;) {
    const [id, length] = [view.getUint16(at, true), view.getUint16(at + 2, true)]
    if (id === 1) {
      let from = at + 4
      values.forEach((v, i) => {
        if (v !== 0xffffffff || from + 8 > at + 4 + length) return
        values[i] = Number(view.getBigUint64(from, true))
        from += 8
      })
    }
    at += 4 + length
  }
  const [bytes = 0, packedBytes = 0, place = 0] = values
  return { bytes, packedBytes, at: place }
}

async function directory64(
  file: ArchiveSource,
  tail: DataView,
  end: number,
  broken: Damaged,
): Promise<[number, number]> {
  if (end < 20) throw broken('its directory is damaged')
  const at = Number(tail.getBigUint64(end - 20 + 8, true))
  if (at + 56 > file.size) throw broken('its directory lies')
  const head = await viewOf(file, at, at + 56)
  if (head.getUint32(0, true) !== end64Mark) throw broken('its directory is damaged')
  return [Number(head.getBigUint64(40, true)), Number(head.getBigUint64(48, true))]
}

/** Where the packed bytes of an entry lie in the file. @throws what `broken` makes */
export async function placeOf(
  file: ArchiveSource,
  entry: ZipEntry,
  broken: Damaged,
): Promise<{ from: number; to: number }> {
  const head = await viewOf(file, entry.at, entry.at + 30)
  if (head.byteLength < 30 || head.getUint32(0, true) !== localMark)
    throw broken(`${entry.name} is not where its directory says`)
  const from = entry.at + 30 + head.getUint16(26, true) + head.getUint16(28, true)
  if (from + entry.packedBytes > file.size) throw broken(`${entry.name} is cut off`)
  return { from, to: from + entry.packedBytes }
}

async function viewOf(file: ArchiveSource, from: number, to: number): Promise<DataView> {
  return new DataView(await file.slice(from, Math.min(to, file.size)).arrayBuffer())
}
