import { spawn } from 'node:child_process'
import { asProgram } from './bundle'
import type { Reached } from './reached-lines'

/** Tests of one file that reach a line. @field tests their places in the file, null: all of them @field ms how long they take */
export interface Suite {
  file: string
  tests: readonly number[] | null
  ms: number
}

/** Which tests run a line. */
export interface SuitesByLine {
  /** @param file path below the checkout @param line from 1 on @returns the quickest first */
  of: (file: string, line: number) => readonly Suite[]
}

/** Runs every test file alone and notes the lines that each test reaches: a changed line is then tried by those alone. @throws Error where one fails as it is */
export async function suitesByLine(suites: readonly string[], together: number): Promise<SuitesByLine> {
  const reached = new Map<string, Suite[]>()
  const queue = [...suites]
  const program = await asProgram('reached-lines')
  const work = async () => {
    for (let suite = queue.shift(); suite; suite = queue.shift()) {
      for (const [place, found] of byPlace(suite, await reachedBy(program, suite)))
        reached.set(place, [...(reached.get(place) ?? []), found])
    }
  }
  await Promise.all(Array.from({ length: together }, work))
  return { of: (file, line) => (reached.get(`${file}:${line}`) ?? []).sort((a, b) => a.ms - b.ms) }
}

/** The tests that reach each line; one that is run before any test is reached by all of them. */
function byPlace(file: string, list: readonly Reached[]): Map<string, Suite> {
  const sum = (parts: readonly Reached[]) => parts.reduce((ms, part) => ms + part.ms, 0)
  const before = sum(list.filter(({ at }) => at === null))
  const places = new Map<string, Suite>()
  for (const { at, ms, lines } of list)
    for (const [source, numbers] of Object.entries(lines))
      for (const line of numbers) {
        const place = `${source}:${line}`
        const known = places.get(place) ?? { file, tests: [], ms: before }
        if (at === null || known.tests === null) places.set(place, { file, tests: null, ms: sum(list) })
        else places.set(place, { file, tests: [...known.tests, at], ms: known.ms + ms })
      }
  return places
}

function reachedBy(program: string, suite: string): Promise<Reached[]> {
  const run = spawn(process.execPath, ['--no-warnings', program, suite], { stdio: ['ignore', 'pipe', 'ignore'] })
  let text = ''
  run.stdout.on('data', (piece: Buffer) => (text += piece.toString()))
  return new Promise((done, fail) =>
    run.on('close', (code) => {
      if (code !== 0) fail(new Error(`${suite} fails as it is`))
      else done(JSON.parse(text.slice(text.lastIndexOf('\n['))) as Reached[])
    }),
  )
}
