import { Problem } from '../../problem'
import { detectEncoding, looksBinary } from './decode-text'
import { limits, type FileSource, type OpenedFile, type OpenOptions } from './opened-file'
import { openBook } from './book/open-book'
import { openDelimited } from './open-delimited'
import { openJson } from './json/open-json'
import { openNdjson } from './json/open-ndjson'
import { openParquet } from './parquet/open-parquet'

/**
 * Opens any file Sickle can read, by what is in it (the name's ending is not trusted).
 *
 * @param sheet which sheet of a spreadsheet; the fullest table where null
 * @throws Problem 'file-empty', 'file-binary', 'file-old-spreadsheet', 'file-too-large', 'file-no-table', 'file-wide' and those of the formats
 */
export async function openFile(
  file: FileSource,
  sheet: string | null = null,
  options: OpenOptions = {},
): Promise<OpenedFile> {
  if (file.size === 0) throw new Problem('file-empty', { file: file.name })
  const head = new Uint8Array(await file.slice(0, 64_000).arrayBuffer())
  const opened = await openByContent(file, head, sheet, options)
  if (opened.sample.length === 0) throw new Problem('file-no-table', { file: file.name })
  if (opened.headings.length > limits.columns) {
    throw new Problem('file-wide', { file: file.name, columns: opened.headings.length, limit: limits.columns })
  }
  return opened
}

async function openByContent(
  file: FileSource,
  head: Uint8Array,
  sheet: string | null,
  options: OpenOptions,
): Promise<OpenedFile> {
  if (head[0] === 0x50 && head[1] === 0x4b && head[2] === 3) {
    checkSize(file, 'spreadsheet', limits.bookMegabytes)
    return openBook(file, sheet, options)
  }
  if (startsWith(head, 'PAR1')) {
    checkSize(file, 'Parquet', limits.parquetMegabytes)
    return openParquet(file, options)
  }
  if (head[0] === 0xd0 && head[1] === 0xcf && head[2] === 0x11) {
    throw new Problem('file-old-spreadsheet', { file: file.name })
  }
  checkSize(file, 'text', limits.textMegabytes)
  if (looksBinary(head)) throw new Problem('file-binary', { file: file.name })
  const encoding = detectEncoding(head, head.length === file.size)
  const start = new TextDecoder(encoding).decode(head).trimStart()
  if (start === '') throw new Problem('file-empty', { file: file.name })
  if (start[0] !== '{' && start[0] !== '[') return openDelimited(file, encoding)
  if (isNdjson(start, head.length === file.size)) return openNdjson(file, encoding)
  checkSize(file, 'JSON', limits.jsonMegabytes)
  return openJson(file, encoding, options)
}

function startsWith(head: Uint8Array, mark: string): boolean {
  return [...mark].every((c, i) => head[i] === c.charCodeAt(0))
}

function checkSize(file: FileSource, kind: string, limit: number): void {
  const megabytes = Math.ceil(file.size / 1_000_000)
  if (megabytes > limit) throw new Problem('file-too-large', { file: file.name, megabytes, kind, limit })
}

/** One whole record on the first line, and another below it (or nothing more at all). */
function isNdjson(start: string, whole: boolean): boolean {
  const [first = '', second = ''] = start.split(/\r?\n/, 2)
  if (!first.startsWith('{') || !first.trimEnd().endsWith('}')) return false
  if (second !== '' && !second.startsWith('{')) return false
  if (second === '' && whole && start.trimEnd() === first.trimEnd()) return false
  try {
    JSON.parse(first)
    return true
  } catch (e) {
    if (e instanceof SyntaxError) return false
    throw e
  }
}
