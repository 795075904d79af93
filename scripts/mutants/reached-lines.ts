// Run as a process of its own, once a test file: prints which lines of the core it reaches, and how long it takes, as JSON.
import { Session } from 'node:inspector/promises'
import { eachMapping, TraceMap } from '@jridgewell/trace-mapping'
import { Bundler } from './bundle'
import { runSuite } from './run-suite'

/** What a test file reaches: file → lines, from 1 on. */
export interface Reached {
  ms: number
  lines: Record<string, number[]>
}

const session = new Session()
session.connect()
await session.post('Profiler.enable')
await session.post('Profiler.startPreciseCoverage', { callCount: true, detailed: true })
const bundler = new Bundler()
const { program, map } = await bundler.bundle(process.argv[2] as string, null)
await bundler.end()
const start = Date.now()
const address = await runSuite(program)
const ms = Date.now() - start
const { result } = await session.post('Profiler.takePreciseCoverage')
const ranges = result
  .filter(({ url }) => url === address)
  .flatMap(({ functions }) => functions.flatMap((f) => f.ranges))
  .sort((a, b) => a.startOffset - b.startOffset || b.endOffset - a.endOffset)
// ranges lie within each other: the innermost counts
const isRun = new Uint8Array(program.length)
for (const { startOffset, endOffset, count } of ranges) isRun.fill(count > 0 ? 1 : 0, startOffset, endOffset)

const lineStarts = [0, ...Array.from(program.matchAll(/\n/g), ({ index }) => index + 1)]
const lines = new Map<string, Set<number>>()
eachMapping(new TraceMap(map), ({ source, originalLine, generatedLine, generatedColumn }) => {
  const from = source?.indexOf('core/') ?? -1
  if (!source || from < 0 || originalLine === null) return
  if (!isRun[(lineStarts[generatedLine - 1] as number) + generatedColumn]) return
  const file = source.slice(from)
  lines.set(file, (lines.get(file) ?? new Set()).add(originalLine))
})
const reached: Reached = { ms, lines: Object.fromEntries([...lines].map(([file, set]) => [file, [...set]])) }
process.stdout.write(`\n${JSON.stringify(reached)}`, () => process.exit())
