import { Problem, toProblemMessage, type ProblemMessage } from '@sickle/core/problem'

/** What crosses between the page and a worker. */
type ToWorker = { type: 'call'; id: number; method: string; args: unknown[] } | { type: 'cancel'; id: number }
type FromWorker =
  | { type: 'progress'; id: number; value: unknown }
  | { type: 'done'; id: number; value: unknown }
  | { type: 'failed'; id: number; problem: ProblemMessage }

/** What a worker's method gets beside its arguments. */
export interface CallContext {
  signal: AbortSignal
  progress: (value: unknown) => void
}

// eslint-disable-next-line @typescript-eslint/no-explicit-any -- each method states its own arguments
export type Methods = Record<string, (context: CallContext, ...args: any[]) => unknown>

type Args<F> = F extends (context: CallContext, ...args: infer A) => unknown ? A : never
type Result<F> = F extends (...args: never[]) => infer R ? Awaited<R> : never

export interface CallOptions {
  signal?: AbortSignal
  onProgress?: (value: unknown) => void
  /** how long a call that is cancelled may take to stop by itself before its worker is ended, ms (default: it is waited for) */
  graceMs?: number
}

export interface Port {
  postMessage(message: unknown): void
  addEventListener(type: 'message', listener: (event: MessageEvent) => void): void
  /** ends the worker behind it, whatever it is at */
  terminate?(): void
}

/** The worker's side: answers calls, hands on cancelling, carries code and details of a Problem back. */
export function serve(port: Port, methods: Methods): void {
  const running = new Map<number, AbortController>()
  port.addEventListener('message', (event: MessageEvent<ToWorker>) => {
    const message = event.data
    if (message.type === 'cancel') return running.get(message.id)?.abort()
    const { id, method, args } = message
    const controller = new AbortController()
    running.set(id, controller)
    const answer = (reply: FromWorker) => port.postMessage(reply)
    const context: CallContext = {
      signal: controller.signal,
      progress: (value) => answer({ type: 'progress', id, value }),
    }
    Promise.resolve()
      .then(() => {
        const run = Object.hasOwn(methods, method) ? methods[method] : undefined
        if (!run) throw new Error(`there is no method ${method}`)
        return run(context, ...args)
      })
      .then((value) => answer({ type: 'done', id, value }))
      .catch((error: unknown) => answer({ type: 'failed', id, problem: toProblemMessage(error) }))
      .finally(() => running.delete(id))
  })
}

/** The page's side. */
export class Channel<M extends Methods> {
  #port: Port
  readonly #renew: (() => Port) | null
  #next = 1
  readonly #waiting = new Map<
    number,
    { resolve: (v: unknown) => void; reject: (e: unknown) => void; onProgress?: (v: unknown) => void }
  >()

  /** @param renew starts a worker in place of one that had to be ended */
  constructor(port: Port, renew: (() => Port) | null = null) {
    this.#port = port
    this.#renew = renew
    this.#listen(port)
  }

  #listen(port: Port): void {
    port.addEventListener('message', (event: MessageEvent<FromWorker>) => {
      if (port === this.#port) this.#receive(event.data)
    })
  }

  /** Ends the worker, with all it is at, and starts another. What was asked of it fails with this problem. */
  restart(problem: Problem): void {
    if (!this.#renew) return
    this.#port.terminate?.()
    this.#port = this.#renew()
    this.#listen(this.#port)
    for (const { reject } of this.#waiting.values()) reject(problem)
    this.#waiting.clear()
  }

  call<K extends keyof M & string>(
    method: K,
    args: Args<M[K]>,
    { signal, onProgress, graceMs }: CallOptions = {},
  ): Promise<Result<M[K]>> {
    const id = this.#next++
    return new Promise((resolve, reject) => {
      // whatever ends the call, its listener goes with it: a signal may outlive many calls
      const ended =
        <V>(settle: (value: V) => void) =>
        (value: V) => {
          signal?.removeEventListener('abort', cancel)
          settle(value)
        }
      this.#waiting.set(id, { resolve: ended(resolve as (v: unknown) => void), reject: ended(reject), onProgress })
      const cancel = () => {
        if (!this.#waiting.has(id)) return
        this.#port.postMessage({ type: 'cancel', id })
        if (graceMs !== undefined)
          setTimeout(() => this.#waiting.has(id) && this.restart(new Problem('cancelled')), graceMs)
      }
      signal?.addEventListener('abort', cancel, { once: true })
      this.#port.postMessage({ type: 'call', id, method, args })
    })
  }

  /** A worker that died takes every open call with it. */
  fail(text: string): void {
    for (const { reject } of this.#waiting.values()) reject(new Problem('unexpected', { text }))
    this.#waiting.clear()
  }

  #receive(message: FromWorker): void {
    const call = this.#waiting.get(message.id)
    if (!call) return
    if (message.type === 'progress') return call.onProgress?.(message.value)
    this.#waiting.delete(message.id)
    if (message.type === 'done') call.resolve(message.value)
    else call.reject(new Problem(message.problem.code, message.problem.details))
  }
}
