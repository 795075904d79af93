import type { RejectedRow } from '../intake'
import { isNumeric } from '../records'
import { Problem } from '../problem'
import { appendRows, numberAt, numbers, TableBuilder, textAt, textColumn, type Table } from '../tables'
import { identities } from './contract'
import type { ScanEntry } from './scan-entry'
import { kindOfPlan } from './scan-plan'
import type { ScanStore } from './scan-ports'

/** rows that could not be taken, of which so many are kept to be shown */
const mostRejected = 20_000

/**
 * Makes an import of the pages that rest, in parts of some 50,000 rows; a record that stood on two pages is taken once, where it stood
 * first. One without a record becomes no import.
 *
 * @throws Problem 'cancelled' where the scan is gone; the parts that were kept go again
 */
export async function mergePages(
  id: string,
  { store, now, segmentRows = 50_000 }: { store: ScanStore; now: number; segmentRows?: number },
): Promise<ScanEntry> {
  const scan = await store.read(id)
  if (!scan) throw new Problem('cancelled')
  const { fields } = kindOfPlan(scan.plan)
  const specs = fields.map((f) => ({ name: f.name, type: isNumeric(f.type) ? ('number' as const) : ('text' as const) }))
  const seen = new Set<string>()
  const rejected: RejectedRow[] = []
  const segments: number[] = []
  let builder = new TableBuilder(specs)
  const close = async () => {
    await store.keepSegment(id, segments.length, builder.finish())
    segments.push(builder.rows)
    builder = new TableBuilder(specs)
  }
  try {
    for await (const page of store.pages(id)) {
      const keyOf = keyReader(page.table, identities[scan.plan.list ?? 'listings'])
      appendRows(builder, page.table, (row) => isNew(seen, keyOf(row)))
      if (rejected.length < mostRejected) rejected.push(...page.rejected)
      if (builder.rows >= segmentRows) await close()
    }
    if (builder.rows > 0) await close()
    const done: ScanEntry = { ...scan, state: 'done', taken: seen.size, endedAt: now }
    if (seen.size === 0) return (await store.change(id, done)) ?? done
    await store.finish(done, segments, rejected)
    return done
  } catch (thrown) {
    await store.dropSegments(id)
    throw thrown
  }
}

/** What a row is known by, in one text. */
function keyReader(table: Table, names: readonly string[]): (row: number) => string {
  const columns = names.map((name) => [textColumn(table, name), numbers(table, name)] as const)
  return (row) => JSON.stringify(columns.map(([text, number]) => textAt(text, row) ?? numberAt(number, row)))
}

function isNew(seen: Set<string>, id: string): boolean {
  if (seen.has(id)) return false
  seen.add(id)
  return true
}
