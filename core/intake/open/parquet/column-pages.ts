import type { ColumnMetaData, DecodedArray, PageHeader, SchemaTree } from 'hyparquet'
import { assembleLists } from 'hyparquet/src/assemble.js'
import { parquetHeader } from 'hyparquet/src/column.js'
import { convert, convertWithDictionary, DEFAULT_PARSERS } from 'hyparquet/src/convert.js'
import { readDataPage, readDataPageV2 } from 'hyparquet/src/datapage.js'
import { readPlain } from 'hyparquet/src/plain.js'
import { getMaxDefinitionLevel, getMaxRepetitionLevel } from 'hyparquet/src/schema.js'
import { checkDelta, checkHeader, checkRuns } from './check-page'
import { unpackPage } from './unpack-page'

/** One column of a row group, decoded page by page, so that no more than a page of it stands in memory and none is decoded twice. */
export class ColumnPages {
  readonly #reader: { view: DataView; offset: number }
  readonly #decoder
  readonly #path: SchemaTree[]
  readonly #codec: string
  readonly #isFlat: boolean
  #valuesLeft: number
  #dictionary: DecodedArray | undefined
  /** rows of a list that may go on in the next page */
  #open: unknown[] = []

  /** @param rows of the row group: a flat column can hold no more values */
  constructor(bytes: ArrayBuffer, metadata: ColumnMetaData, path: SchemaTree[], rows: number) {
    this.#reader = { view: new DataView(bytes), offset: 0 }
    this.#path = path
    this.#codec = metadata.codec
    this.#isFlat = path.length === 2 && path[1]?.element.repetition_type !== 'REPEATED'
    this.#valuesLeft = this.#isFlat ? rows : 50_000_000
    const element = path[path.length - 1]?.element
    if (!element) throw new Error('a column is in no schema')
    this.#decoder = {
      pathInSchema: metadata.path_in_schema,
      element,
      schemaPath: path,
      parsers: DEFAULT_PARSERS,
      ...metadata,
      codec: 'UNCOMPRESSED' as const,
    }
  }

  /** The rows of the next page; null when there are none left. @throws Error with the reason */
  next(): DecodedArray | null {
    const { view } = this.#reader
    while (this.#reader.offset < view.byteLength - 1 && this.#valuesLeft > 0) {
      const header = parquetHeader(this.#reader)
      checkHeader(header, view.byteLength - this.#reader.offset, this.#valuesLeft)
      const bytes = new Uint8Array(view.buffer, view.byteOffset + this.#reader.offset, header.compressed_page_size)
      this.#reader.offset += header.compressed_page_size
      if (header.type === 'DICTIONARY_PAGE') this.#readDictionary(header, bytes)
      else if (header.type === 'DATA_PAGE' || header.type === 'DATA_PAGE_V2') return this.#readPage(header, bytes)
    }
    return null
  }

  #readDictionary(header: PageHeader, bytes: Uint8Array): void {
    const page = unpackPage(bytes, header.uncompressed_page_size, this.#codec)
    const reader = { view: viewOf(page), offset: 0 }
    const { type, element } = this.#decoder
    const values = readPlain(reader, type, header.dictionary_page_header?.num_values ?? 0, element.type_length)
    this.#dictionary = convert(values, this.#decoder)
  }

  #readPage(header: PageHeader, bytes: Uint8Array): DecodedArray {
    const one = header.data_page_header
    const two = header.data_page_header_v2
    const encoding = one?.encoding ?? two?.encoding
    const count = one?.num_values ?? two?.num_values ?? 0
    if (!encoding) throw new Error('a page has no header')
    this.#valuesLeft -= count
    const data = one ? this.#first(header, one, bytes) : this.#second(header, bytes)
    const values = convertWithDictionary(data.dataPage, this.#dictionary, encoding, this.#decoder)
    if (this.#isFlat) return assembleLists([], data.definitionLevels, data.repetitionLevels, values, this.#path)
    // A row of a list can go on in the next page, so all but the last are handed out then.
    this.#open = assembleLists(
      this.#open,
      data.definitionLevels,
      data.repetitionLevels,
      values,
      this.#path,
    ) as unknown[]
    return []
  }

  /** All rows of a column of lists or records, whose rows know no page. */
  all(): DecodedArray {
    while (this.next() !== null);
    return this.#open
  }

  #first(
    header: PageHeader,
    { encoding, num_values: values }: NonNullable<PageHeader['data_page_header']>,
    bytes: Uint8Array,
  ) {
    const page = unpackPage(bytes, header.uncompressed_page_size, this.#codec)
    let at = 0
    for (const level of [
      this.#path.length > 1 ? getMaxRepetitionLevel(this.#path) : 0,
      getMaxDefinitionLevel(this.#path),
    ]) {
      if (level === 0) continue
      const size = viewOf(page).getUint32(at, true)
      checkRuns(page.subarray(0, at + 4 + size), at + 4, widthOf(level), values)
      at += 4 + size
    }
    this.#checkValues(page, at, encoding, values)
    return readDataPage(page, header.data_page_header as NonNullable<PageHeader['data_page_header']>, this.#decoder)
  }

  /** In the second form of pages levels stand before what is packed. */
  #second(header: PageHeader, bytes: Uint8Array) {
    const two = header.data_page_header_v2 as NonNullable<PageHeader['data_page_header_v2']>
    const {
      repetition_levels_byte_length: first,
      definition_levels_byte_length: second,
      encoding,
      num_values: values,
    } = two
    const levels = first + second
    if (!(levels >= 0) || levels > bytes.length) throw new Error('a page is cut off')
    const size = header.uncompressed_page_size - levels
    const packed = bytes.subarray(levels)
    const page = two.is_compressed === false ? packed : unpackPage(packed, size, this.#codec)
    const whole = new Uint8Array(levels + page.length)
    whole.set(bytes.subarray(0, levels))
    whole.set(page, levels)
    if (getMaxRepetitionLevel(this.#path) > 0)
      checkRuns(whole.subarray(0, first), 0, widthOf(getMaxRepetitionLevel(this.#path)), values)
    if (getMaxDefinitionLevel(this.#path) > 0)
      checkRuns(whole.subarray(0, levels), first, widthOf(getMaxDefinitionLevel(this.#path)), values)
    if (!(two.num_nulls >= 0 && two.num_nulls <= values)) throw new Error('a page has more unknown values than values')
    this.#checkValues(whole, levels, encoding, values - two.num_nulls)
    const plain = {
      ...header,
      uncompressed_page_size: whole.length,
      data_page_header_v2: { ...two, is_compressed: false },
    }
    return readDataPageV2(whole, plain, this.#decoder)
  }

  /** @param values at most, unknown ones among them */
  #checkValues(page: Uint8Array, at: number, encoding: string, values: number): void {
    if (encoding.startsWith('DELTA')) return checkDelta(page, at, Math.min(values, 8 * page.length), encoding)
    if (encoding === 'RLE') return void checkBounded(page, at + 4, 1, values)
    if (encoding.endsWith('DICTIONARY')) {
      const width = page[at] ?? 0
      if (width > 32) throw new Error('a dictionary is numbered in a way that makes no sense')
      if (width > 0) checkBounded(page, at + 1, width, values)
    }
  }
}

/** Runs of values that are known: fewer than all where some are not, so that the bytes may end before the count does. */
function checkBounded(page: Uint8Array, from: number, width: number, most: number): void {
  try {
    checkRuns(page, from, width, most)
  } catch (e) {
    if ((e as Error).message !== 'a run is cut off') throw e
  }
}

function widthOf(level: number): number {
  return 32 - Math.clz32(level)
}

function viewOf(bytes: Uint8Array): DataView {
  return new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength)
}
