import { deltaBinaryUnpack } from 'hyparquet/src/delta.js'
import { readVarInt } from 'hyparquet/src/thrift.js'
import type { PageHeader } from 'hyparquet'

/** Bounds within which a page is unpacked and read: well above what writers make, well below what a tab can hold. */
export const pageBounds = { bytes: 192_000_000, values: 20_000_000, text: 256_000_000 }

/** What a page's header says, looked at before anything is unpacked. @throws Error with the reason */
export function checkHeader(header: PageHeader, bytesLeft: number, valuesLeft: number): void {
  const { compressed_page_size: packed, uncompressed_page_size: unpacked } = header
  if (!(packed >= 0) || packed > bytesLeft) throw new Error('a page is cut off')
  if (!(unpacked >= 0) || unpacked > pageBounds.bytes)
    throw new Error(`a page unpacks to ${Math.round(unpacked / 1e6)} MB`)
  const values = header.data_page_header?.num_values ?? header.data_page_header_v2?.num_values ?? 0
  if (!(values >= 0) || values > Math.min(valuesLeft, pageBounds.values))
    throw new Error('a page holds more rows than the file says')
  const known = header.dictionary_page_header?.num_values ?? 0
  if (!(known >= 0) || known > Math.max(unpacked, 1)) throw new Error('a dictionary is longer than its page')
}

/**
 * Goes over the runs of a run-length or bit-packed stream without writing them out: a run that is longer than what is left would
 * fill memory before anybody noticed.
 *
 * @returns where the stream's runs end
 * @throws Error with the reason
 */
export function checkRuns(bytes: Uint8Array, from: number, width: number, values: number): number {
  const reader = { view: viewOf(bytes), offset: from }
  for (let seen = 0; seen < values;) {
    if (reader.offset >= bytes.length) throw new Error('a run is cut off')
    const header = readVarInt(reader)
    const isPacked = (header & 1) === 1
    const count = isPacked ? (header >>> 1) * 8 : header >>> 1
    // packed runs are padded to eights, and their writers may leave room behind
    if (count === 0 || count > values - seen + (isPacked ? 512 : 0)) throw new Error('a run is longer than its page')
    reader.offset += isPacked ? (count / 8) * width : (width + 7) >> 3
    seen += count
  }
  return reader.offset
}

/** Values whose encoding tells how much comes of them. @throws Error with the reason */
export function checkDelta(bytes: Uint8Array, from: number, values: number, encoding: string): void {
  const reader = { view: viewOf(bytes), offset: from }
  if (values === 0) return
  checkDeltaHead(reader)
  if (encoding !== 'DELTA_BYTE_ARRAY') return
  // Each text begins as the one before does: short bytes can stand for very long texts.
  const prefixes = new Int32Array(values)
  deltaBinaryUnpack(reader, values, prefixes)
  checkDeltaHead(reader)
  const suffixes = new Int32Array(values)
  deltaBinaryUnpack(reader, values, suffixes)
  let all = 0
  for (let i = 0; i < values; i++) all += (prefixes[i] as number) + (suffixes[i] as number)
  if (all > pageBounds.text) throw new Error(`the texts of a page unpack to ${Math.round(all / 1e6)} MB`)
}

function checkDeltaHead(reader: { view: DataView; offset: number }): void {
  const at = reader.offset
  const [block, parts] = [readVarInt(reader), readVarInt(reader)]
  if (!(block > 0 && block <= 1 << 20 && parts > 0 && parts <= 1024))
    throw new Error('its differences are packed in a way that makes no sense')
  reader.offset = at
}

function viewOf(bytes: Uint8Array): DataView {
  return new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength)
}
