import writeBook from 'write-excel-file/node'
import type { DemoFile } from '@sickle/standins'

export interface ServedFile {
  name: string
  label: string
  answers: DemoFile['answers']
  bytes: Uint8Array
}

/** Puts the demo's files into bytes: text in its encoding, rows as a spreadsheet. */
export async function demoBytes(files: readonly DemoFile[]): Promise<ServedFile[]> {
  return Promise.all(
    files.map(async ({ name, label, answers, ...file }) => ({ name, label, answers, bytes: await bytesOf(file) })),
  )
}

async function bytesOf({ content, encoding }: Pick<DemoFile, 'content' | 'encoding'>): Promise<Uint8Array> {
  if (typeof content !== 'string') {
    const rows = content.rows.map((row) => row.map((value) => (value === null ? null : { value })))
    return writeBook(rows, { sheet: content.sheet }).toBuffer()
  }
  // Latin-1 and Windows-1252 agree on all the demo's letters but the euro sign, which it does not use.
  return encoding === 'utf-8' ? Buffer.from(content, 'utf8') : Buffer.from(content, 'latin1')
}
