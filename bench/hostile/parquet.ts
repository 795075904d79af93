import type { FileMetaData } from 'hyparquet'
import { ByteWriter } from 'hyparquet-writer/src/bytewriter.js'
import { writeMetadata } from 'hyparquet-writer/src/metadata.js'
import { serializeTCompactProtocol } from 'hyparquet-writer/src/thrift.js'
import { gzipSync } from 'fflate'

export interface Page {
  /** thrift fields of the page header, by number */
  header: Record<string, unknown>
  body: Uint8Array
}

/** A Parquet file put together by hand, so that it can say what is not so. */
export function parquetOf(
  pages: readonly Page[],
  about: { rows: number | bigint; codec?: string; type?: string; optional?: boolean; values?: bigint },
): Uint8Array {
  const writer = new ByteWriter()
  writer.appendBytes(new TextEncoder().encode('PAR1'))
  const from = writer.offset
  for (const { header, body } of pages) {
    serializeTCompactProtocol(writer, header)
    writer.appendBytes(body)
  }
  const size = BigInt(writer.offset - from)
  const { rows, codec = 'UNCOMPRESSED', type = 'BYTE_ARRAY', optional = false } = about
  const column = {
    type,
    encodings: ['PLAIN'],
    path_in_schema: ['title'],
    codec,
    num_values: about.values ?? BigInt(rows),
    total_uncompressed_size: size,
    total_compressed_size: size,
    data_page_offset: BigInt(from),
  }
  const metadata = {
    version: 2,
    schema: [
      { name: 'root', num_children: 1 },
      {
        name: 'title',
        type,
        repetition_type: optional ? 'OPTIONAL' : 'REQUIRED',
        ...(type === 'BYTE_ARRAY' ? { converted_type: 'UTF8' } : {}),
      },
    ],
    num_rows: BigInt(rows),
    row_groups: [
      { columns: [{ file_offset: BigInt(from), meta_data: column }], total_byte_size: size, num_rows: BigInt(rows) },
    ],
    metadata_length: 0,
  }
  // the writer puts the footer's own length behind it
  writeMetadata(writer, metadata as unknown as FileMetaData)
  writer.appendBytes(new TextEncoder().encode('PAR1'))
  return writer.getBytes()
}

const varint = (n: number) => {
  const out: number[] = []
  for (let v = n >>> 0; ; v >>>= 7) {
    if (v < 128) return [...out, v]
    out.push((v & 127) | 128)
  }
}
/** a data page of the first form */
export const dataPage = (values: number, encoding: number, body: Uint8Array, unpacked = body.length): Page => ({
  header: {
    field_1: 0,
    field_2: unpacked,
    field_3: body.length,
    field_5: { field_1: values, field_2: encoding, field_3: 3, field_4: 3 },
  },
  body,
})
const dictionaryPage = (values: number, body: Uint8Array): Page => ({
  header: { field_1: 2, field_2: body.length, field_3: body.length, field_7: { field_1: values, field_2: 0 } },
  body,
})
const text = (s: string) => {
  const bytes = new TextEncoder().encode(s)
  return Uint8Array.from([bytes.length & 255, bytes.length >> 8, 0, 0, ...bytes])
}

/** Parquet files that lie, or unpack to more than they are. */
export function hostileParquet(random: () => number): [string, Uint8Array][] {
  const many = Math.floor(1e9 * (0.5 + random()))
  return [...lying(many), ...growingBeyond()]
}

function lying(many: number): [string, Uint8Array][] {
  return [
    ['footer-says-2e9-rows', parquetOf([dataPage(1, 0, text('a'))], { rows: 2_000_000_000 })],
    ['footer-says-3e7-rows', parquetOf([dataPage(1, 0, text('a'))], { rows: 30_000_000 })],
    ['page-says-2e9-values', parquetOf([dataPage(2_000_000_000, 0, text('a'))], { rows: 40_000_000 })],
    [
      'run-of-1e9',
      parquetOf([dictionaryPage(1, text('a')), dataPage(10, 8, Uint8Array.from([1, ...varint(many * 2), 0]))], {
        rows: 10,
      }),
    ],
    [
      'levels-of-1e9',
      parquetOf([dataPage(10, 0, Uint8Array.from([6, 0, 0, 0, ...varint(many * 2), 1, ...text('a')]))], {
        rows: 10,
        optional: true,
      }),
    ],
  ]
}

function growingBeyond(): [string, Uint8Array][] {
  return [
    [
      'page-unpacks-to-1-gb',
      parquetOf([dataPage(1, 0, gzipSync(new Uint8Array(200_000_000)), 1_000_000_000)], { rows: 1, codec: 'GZIP' }),
    ],
    [
      'gzip-lies-about-its-size',
      parquetOf([dataPage(1, 0, gzipSync(new Uint8Array(300_000_000)), 1000)], { rows: 1, codec: 'GZIP' }),
    ],
    [
      'dictionary-of-1e9',
      parquetOf([dictionaryPage(1_000_000_000, text('a')), dataPage(1, 8, Uint8Array.from([1, 2, 0]))], { rows: 1 }),
    ],
    [
      'delta-of-1e9-parts',
      parquetOf([dataPage(100, 5, Uint8Array.from([...varint(128), ...varint(1_000_000_000), ...varint(100), 0]))], {
        rows: 100,
        type: 'INT64',
      }),
    ],
    ['delta-texts-that-grow', parquetOf([growing()], { rows: 60_000 })],
    [
      'page-cut-off',
      parquetOf(
        [
          {
            ...dataPage(5, 0, text('abc')),
            header: {
              field_1: 0,
              field_2: 7000,
              field_3: 7000,
              field_5: { field_1: 5, field_2: 0, field_3: 3, field_4: 3 },
            },
          },
        ],
        { rows: 5 },
      ),
    ],
    [
      'column-outside-the-file',
      parquetOf([dataPage(1, 0, text('a'))], { rows: 1 }).map((b, i, all) => (i === all.length - 40 ? 255 : b)),
    ],
  ]
}

/** Each text begins as the whole one before it and adds a letter: 60,000 of them are 1.8 GB. */
function growing(): Page {
  const n = 60_000
  const zigzag = (v: number) => varint((v << 1) ^ (v >> 31))
  const block = (first: number, step: number) => {
    const bytes = [...varint(128), ...varint(1), ...varint(n), ...zigzag(first)]
    for (let i = 0; i < Math.ceil((n - 1) / 128); i++) bytes.push(...zigzag(step), 0)
    return bytes
  }
  const body = Uint8Array.from([...block(0, 1), ...block(1, 0), ...new Array<number>(n).fill(97)])
  return dataPage(n, 7, body)
}
