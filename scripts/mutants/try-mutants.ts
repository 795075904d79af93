// Run as a process of its own: tries changes that it is sent, and says of each whether a test failed.
import { Bundler, type Changed } from './bundle'
import { runSuite } from './run-suite'
import type { Suite } from './suites-by-line'

export interface Trial extends Changed {
  suites: readonly Suite[]
}

const bundler = new Bundler()
const say = (message: unknown) => process.send?.(message)

async function fails({ file, tests }: Suite, changed: Changed): Promise<boolean> {
  const wanted = tests === null ? null : new Set(tests)
  try {
    const { program } = await bundler.bundle(file, changed)
    await runSuite(program, { isWanted: (at) => wanted?.has(at) ?? true })
    return false
  } catch {
    return true
  }
}

process.on('unhandledRejection', () => undefined)
process.on('message', (trial: Trial) => {
  void (async () => {
    for (const suite of trial.suites) {
      say({ begins: suite.ms })
      if (await fails(suite, trial)) return say({ isKilled: true })
    }
    say({ isKilled: false })
  })()
})
say({ isReady: true })
