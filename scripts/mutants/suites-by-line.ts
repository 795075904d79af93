import { spawn } from 'node:child_process'
import { asProgram } from './bundle'
import type { Reached } from './reached-lines'

/** Which test files run a line, and how long each takes, ms. */
export interface SuitesByLine {
  /** @param file path below the checkout @param line from 1 on @returns the quickest first */
  of: (file: string, line: number) => readonly string[]
  msOf: (suite: string) => number
}

/** Runs every test file alone and notes the lines that it reaches: a changed line is then tried by those alone. @throws Error where one fails as it is */
export async function suitesByLine(suites: readonly string[], together: number): Promise<SuitesByLine> {
  const ms = new Map<string, number>()
  const reached = new Map<string, string[]>()
  const queue = [...suites]
  const program = await asProgram('reached-lines')
  const work = async () => {
    for (let suite = queue.shift(); suite; suite = queue.shift()) {
      const found = await reachedBy(program, suite)
      ms.set(suite, found.ms)
      for (const [file, lines] of Object.entries(found.lines))
        for (const line of lines) reached.set(`${file}:${line}`, [...(reached.get(`${file}:${line}`) ?? []), suite])
    }
  }
  await Promise.all(Array.from({ length: together }, work))
  const msOf = (suite: string) => ms.get(suite) ?? 0
  return {
    of: (file, line) => (reached.get(`${file}:${line}`) ?? []).sort((a, b) => msOf(a) - msOf(b)),
    msOf,
  }
}

function reachedBy(program: string, suite: string): Promise<Reached> {
  const run = spawn(process.execPath, ['--no-warnings', program, suite], { stdio: ['ignore', 'pipe', 'ignore'] })
  let text = ''
  run.stdout.on('data', (piece: Buffer) => (text += piece.toString()))
  return new Promise((done, fail) =>
    run.on('close', (code) => {
      if (code !== 0) fail(new Error(`${suite} fails as it is`))
      else done(JSON.parse(text.slice(text.lastIndexOf('\n{'))) as Reached)
    }),
  )
}
