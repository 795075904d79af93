import { readFileSync } from 'node:fs'

/**
 * Cells of a row of docs/estimates.md: what is told there must be what is measured.
 *
 * @param section its heading @param row its first cell
 * @throws Error where there is no such row
 */
export function toldFigures(section: string, row: string): string[] {
  const text = readFileSync(new URL('../docs/estimates.md', import.meta.url), 'utf8')
  const part = text.split(/^#+ /m).find((p) => p.startsWith(`${section}\n`))
  const line = part?.split('\n').find((l) => l.startsWith(`| ${row} |`))
  if (line === undefined) throw new Error(`docs/estimates.md has no row '${row}' under '${section}'`)
  return line
    .split('|')
    .slice(2, -1)
    .map((cell) => cell.trim())
}
