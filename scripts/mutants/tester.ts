import { fork, type ChildProcess } from 'node:child_process'
import type { Trial } from './try-mutants'

type Said = { isReady: true } | { begins: number } | { isKilled: boolean }

/** changes after which a process is ended and another begun: what was imported is never let go */
const mostTrials = 150

/** A process that tries changes; one that never ends, or takes the process down, is killed as well. */
export class Tester {
  readonly #program: string
  #process: ChildProcess | null = null
  #trials = 0

  /** @param program `try-mutants` */
  constructor(program: string) {
    this.#program = program
  }

  async isKilled(trial: Trial): Promise<boolean> {
    if (trial.suites.length === 0) return false
    if (this.#trials++ % mostTrials === 0) this.end()
    const tester = (this.#process ??= await begun(this.#program))
    return new Promise((done) => {
      let timer: NodeJS.Timeout | undefined
      const finish = (isKilled: boolean) => {
        clearTimeout(timer)
        tester.removeAllListeners()
        done(isKilled)
      }
      tester.on('exit', () => {
        this.#process = null
        finish(true)
      })
      tester.on('message', (said: Said) => {
        clearTimeout(timer)
        if ('isKilled' in said) finish(said.isKilled)
        else if ('begins' in said) timer = setTimeout(() => tester.kill('SIGKILL'), 10_000 + 6 * said.begins)
      })
      tester.send(trial)
    })
  }

  end(): void {
    this.#process?.kill('SIGKILL')
    this.#process = null
  }
}

function begun(program: string): Promise<ChildProcess> {
  const tester = fork(program, {
    execArgv: ['--no-warnings', '--max-old-space-size=3000'],
    stdio: ['ignore', 'ignore', 'ignore', 'ipc'],
  })
  return new Promise((done) => tester.once('message', () => done(tester)))
}
