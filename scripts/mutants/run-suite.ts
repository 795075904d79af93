import { mkdirSync, unlinkSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { pathToFileURL } from 'node:url'
import { expect } from 'expect'
import { bind } from 'jest-each'
import { folder } from './bundle'

type Step = () => unknown
interface Group {
  tests: (Group | Step)[]
  before: Step[]
  after: Step[]
}

const group = (): Group => ({ tests: [], before: [], after: [] })
let runs = 0

/**
 * Runs the tests of a bundle in this process, with Jest's own `expect` and `each` but without its sandbox, which takes ten times as long.
 *
 * @returns where the program was for a moment; coverage is told by it
 * @throws what the first test that fails throws
 */
export async function runSuite(program: string): Promise<string> {
  mkdirSync(folder, { recursive: true })
  const file = join(folder, `${process.pid}-${++runs}.mjs`)
  const address = pathToFileURL(file).href
  writeFileSync(file, program)
  const all = group()
  define(all)
  try {
    await import(address)
    await runGroup(all)
  } finally {
    unlinkSync(file)
  }
  return address
}

/** What test files find as globals. */
function define(root: Group): void {
  let at = root
  const test = (_: string, fn: Step) => void at.tests.push(fn)
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

async function runGroup({ tests, before, after }: Group): Promise<void> {
  for (const step of before) await step()
  for (const test of tests) await (typeof test === 'function' ? test() : runGroup(test))
  for (const step of after) await step()
}
