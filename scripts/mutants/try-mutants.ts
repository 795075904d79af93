// Run as a process of its own: tries changes that it is sent, and says of each whether a test failed.
import { Bundler, type Changed } from './bundle'
import { runSuite } from './run-suite'

export interface Trial extends Changed {
  suites: readonly string[]
}

const bundler = new Bundler()
const say = (message: unknown) => process.send?.(message)

async function fails(suite: string, changed: Changed): Promise<boolean> {
  try {
    await runSuite((await bundler.bundle(suite, changed)).program)
    return false
  } catch {
    return true
  }
}

process.on('unhandledRejection', () => undefined)
process.on('message', (trial: Trial) => {
  void (async () => {
    for (const suite of trial.suites) {
      say({ begins: suite })
      if (await fails(suite, trial)) return say({ isKilled: true })
    }
    say({ isKilled: false })
  })()
})
say({ isReady: true })
