import { mkdirSync, unlinkSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { pathToFileURL } from 'node:url'
import { expect } from 'expect'
import { bind } from 'jest-each'
import { folder } from './bundle'

type Step = () => unknown
interface Group {
  tests: (Group | Test)[]
  before: Step[]
  after: Step[]
}

/** @field at its place among all tests of the file, from 0 */
interface Test {
  at: number
  run: Step
}

/** How a bundle is run. */
export interface Running {
  /** whether a test is run, by its place among all of the file */
  isWanted?: (at: number) => boolean
  /** told when the file stands and after each test; `null` is what stands outside of tests. @param address where the program was for a moment */
  onDone?: (at: number | null, address: string) => Promise<void>
}

const group = (): Group => ({ tests: [], before: [], after: [] })
let runs = 0

/**
 * Runs the tests of a bundle in this process, with Jest's own `expect` and `each` but without its sandbox, which takes ten times as long.
 *
 * @throws what the first test that fails throws
 */
export async function runSuite(program: string, running: Running = {}): Promise<void> {
  mkdirSync(folder, { recursive: true })
  const file = join(folder, `${process.pid}-${++runs}.mjs`)
  const address = pathToFileURL(file).href
  writeFileSync(file, program)
  const all = group()
  define(all)
  const done = async (at: number | null) => running.onDone?.(at, address)
  try {
    await import(address)
    await done(null)
    await runGroup(all, running.isWanted ?? (() => true), done)
  } finally {
    unlinkSync(file)
  }
}

/** What test files find as globals. */
function define(root: Group): void {
  let [at, tests] = [root, 0]
  const test = (_: string, run: Step) => void at.tests.push({ at: tests++, run })
  const describe = (_: string, fn: Step) => {
    const [outer, inner] = [at, group()]
    outer.tests.push(inner)
    at = inner
    fn()
    at = outer
  }
  Object.assign(globalThis, {
    expect,
    test: Object.assign(test, { each: bind(test as never) }),
    describe: Object.assign(describe, { each: bind(describe as never) }),
    beforeAll: (fn: Step) => void at.before.push(fn),
    afterAll: (fn: Step) => void at.after.push(fn),
  })
}

async function runGroup(
  { tests, before, after }: Group,
  isWanted: (at: number) => boolean,
  done: (at: number | null) => Promise<void>,
): Promise<void> {
  for (const step of before) await step()
  if (before.length > 0) await done(null)
  for (const test of tests) {
    if ('tests' in test) await runGroup(test, isWanted, done)
    else if (isWanted(test.at)) {
      await test.run()
      await done(test.at)
    }
  }
  for (const step of after) await step()
}
