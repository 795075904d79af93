// Run as a process of its own, once a test file: prints which lines of the core each of its tests reaches, and how long that takes, as JSON.
import { Session } from 'node:inspector/promises'
import { eachMapping, TraceMap } from '@jridgewell/trace-mapping'
import { Bundler } from './bundle'
import { kept } from './kept'
import { runSuite } from './run-suite'

/** What a test reaches: file → lines, from 1 on. @field at its place in the file, null: what is run before any test */
export interface Reached {
  at: number | null
  ms: number
  lines: Record<string, number[]>
}

const session = new Session()
const bundler = new Bundler()
const { program, map } = await bundler.bundle(process.argv[2] as string, null)
await bundler.end()
const reached = await kept(program, look)
process.stdout.write(`\n${JSON.stringify(reached)}`, () => process.exit())

async function look(): Promise<Reached[]> {
  session.connect()
  await session.post('Profiler.enable')
  await session.post('Profiler.startPreciseCoverage', { callCount: true, detailed: true })
  const places = placesOf()
  const list: Reached[] = []
  let start = Date.now()
  await runSuite(program, {
    onDone: async (at, address) => {
      const ms = Date.now() - start
      list.push({ at, ms, lines: linesOf(places, await rangesOf(address)) })
      start = Date.now()
    },
  })
  return list
}

/** How often each part of the program was run since this was last asked. */
async function rangesOf(address: string) {
  const { result } = await session.post('Profiler.takePreciseCoverage')
  return (
    result
      .filter(({ url }) => url === address)
      .flatMap(({ functions }) => functions.flatMap((f) => f.ranges))
      // ranges lie within each other: the innermost counts
      .sort((a, b) => a.startOffset - b.startOffset || b.endOffset - a.endOffset)
  )
}

interface Place {
  file: string
  line: number
  offset: number
}

/** What of the program comes from which line of the core. */
function placesOf(): Place[] {
  const lineStarts = [0, ...Array.from(program.matchAll(/\n/g), ({ index }) => index + 1)]
  const places: Place[] = []
  eachMapping(new TraceMap(map), ({ source, originalLine, generatedLine, generatedColumn }) => {
    const from = source?.indexOf('core/') ?? -1
    if (!source || from < 0 || originalLine === null) return
    const offset = (lineStarts[generatedLine - 1] as number) + generatedColumn
    places.push({ file: source.slice(from), line: originalLine, offset })
  })
  return places
}

function linesOf(places: readonly Place[], ranges: Awaited<ReturnType<typeof rangesOf>>): Record<string, number[]> {
  const isRun = new Uint8Array(program.length)
  for (const { startOffset, endOffset, count } of ranges) isRun.fill(count > 0 ? 1 : 0, startOffset, endOffset)
  const lines = new Map<string, Set<number>>()
  for (const { file, line, offset } of places)
    if (isRun[offset]) lines.set(file, (lines.get(file) ?? new Set()).add(line))
  return Object.fromEntries([...lines].map(([file, set]) => [file, [...set]]))
}
