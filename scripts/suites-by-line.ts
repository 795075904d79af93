import { spawn } from 'node:child_process'
import { existsSync, mkdtempSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join, relative } from 'node:path'

/** Which test files run a line, the quickest first. */
export interface SuitesByLine {
  /** @param file path below the checkout @param line from 1 on */
  of: (file: string, line: number) => readonly string[]
}

/** What V8 says was run: of each file its lines, by number, and how often each was. */
type Coverage = Record<string, { s: Record<string, number>; statementMap: Record<string, { start: { line: number } }> }>

const jest = ['--experimental-vm-modules', '--no-warnings', 'node_modules/jest/bin/jest.js', '--selectProjects', 'core']

/** Runs jest in a checkout; true where all passed. What never ends has failed. */
export function passes(at: string, options: readonly string[], mostMs = 300_000): Promise<boolean> {
  const args = [...jest, '-i', '--bail', ...options]
  const run = spawn('node', args, { cwd: at, stdio: 'ignore', timeout: mostMs, killSignal: 'SIGKILL' })
  return new Promise((done) => run.on('close', (code) => done(code === 0)))
}

/**
 * Runs every test file of the core alone and notes the lines that it reaches: a changed line is then tried by those alone.
 *
 * @throws Error when a test fails as the program stands
 */
export async function suitesByLine(at: string, suites: readonly string[], together: number): Promise<SuitesByLine> {
  const reached = new Map<string, { suite: string; ms: number }[]>()
  const queue = [...suites]
  const workers = Array.from({ length: together }, async () => {
    for (let suite = queue.shift(); suite; suite = queue.shift()) {
      const start = Date.now()
      const lines = await linesOf(at, suite)
      for (const line of lines) reached.set(line, [...(reached.get(line) ?? []), { suite, ms: Date.now() - start }])
    }
  })
  await Promise.all(workers)
  return {
    of: (file, line) => (reached.get(`${file}:${line}`) ?? []).sort((a, b) => a.ms - b.ms).map(({ suite }) => suite),
  }
}

async function linesOf(at: string, suite: string): Promise<string[]> {
  const to = mkdtempSync(join(tmpdir(), 'sickle-lines-'))
  const cover = ['--coverage', '--coverageProvider=v8', '--coverageReporters=json', `--coverageDirectory=${to}`]
  if (!(await passes(at, [...cover, '--runTestsByPath', suite]))) throw new Error(`${suite} fails as it is`)
  const file = join(to, 'coverage-final.json')
  const coverage = existsSync(file) ? (JSON.parse(readFileSync(file, 'utf8')) as Coverage) : {}
  rmSync(to, { recursive: true })
  return Object.entries(coverage).flatMap(([path, { s, statementMap }]) =>
    Object.entries(s).flatMap(([key, times]) =>
      times > 0 ? [`${relative(at, path)}:${statementMap[key]?.start.line}`] : [],
    ),
  )
}
