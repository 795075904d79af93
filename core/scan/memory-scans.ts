import type { RejectedRow } from '../intake'
import type { Table } from '../tables'
import type { ReadPage } from './read-page'
import type { ScanEntry } from './scan-entry'
import type { ScanStore } from './scan-ports'

/** What rests of scans, in memory: the twin of what rests in the browser, for tests. */
export class MemoryScans implements ScanStore {
  readonly scans = new Map<string, ScanEntry>()
  /** what scans became, by their id */
  readonly imports = new Map<string, { segments: readonly number[]; rejected: readonly RejectedRow[] }>()
  readonly segments = new Map<string, Table[]>()
  /** pages whose content is not as it was kept */
  readonly spoilt = new Set<ReadPage>()
  readonly #pages = new Map<string, Map<number, ReadPage>>()

  add(scan: ScanEntry): void {
    this.scans.set(scan.id, scan)
  }
  async read(id: string) {
    return this.scans.get(id) ?? null
  }
  async change(id: string, some: Partial<ScanEntry>) {
    const before = this.scans.get(id)
    if (!before) return null
    const after = { ...before, ...some }
    this.scans.set(id, after)
    return after
  }
  async dropSpoiltPages(id: string) {
    const pages = this.#of(id)
    const left = [...pages].filter(([, page]) => !this.spoilt.has(page))
    if (left.length === pages.size) return
    this.#pages.set(id, new Map(left))
    await this.change(id, counted(left.map(([, page]) => page)))
  }
  async pagesDone(id: string) {
    return new Set(this.#of(id).keys())
  }
  async keepPage(id: string, page: number, read: ReadPage) {
    const scan = this.scans.get(id)
    const pages = this.#of(id)
    if (!scan || pages.has(page)) return scan ?? null
    pages.set(page, read)
    return this.change(id, counted([...pages.values()]))
  }
  async *pages(id: string) {
    for (const [, page] of [...this.#of(id)].sort(([a], [b]) => a - b)) yield page
  }
  async keepSegment(id: string, at: number, table: Table) {
    const kept = this.segments.get(id) ?? []
    kept[at] = table
    this.segments.set(id, kept)
  }
  async finish(scan: ScanEntry, segments: readonly number[], rejected: readonly RejectedRow[]) {
    this.imports.set(scan.id, { segments, rejected })
    this.scans.set(scan.id, scan)
    this.#pages.delete(scan.id)
  }
  async dropSegments(id: string) {
    this.segments.delete(id)
  }
  #of(id: string): Map<number, ReadPage> {
    const pages = this.#pages.get(id) ?? new Map<number, ReadPage>()
    this.#pages.set(id, pages)
    return pages
  }
}

function counted(pages: readonly ReadPage[]) {
  const discarded: ScanEntry['discarded'] = {}
  for (const page of pages)
    for (const [limit, n] of Object.entries(page.discarded) as [keyof typeof discarded, number][])
      discarded[limit] = (discarded[limit] ?? 0) + n
  return {
    pagesDone: pages.length,
    taken: pages.reduce((n, p) => n + p.table.rows, 0),
    rejected: pages.reduce((n, p) => n + p.rejected.length, 0),
    discarded,
  }
}
