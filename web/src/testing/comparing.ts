import { useJobs } from '@/shared/stores/jobs'
import { useOwn } from '@/shared/stores/own'
import { useQuery } from '@/shared/stores/query'
import { useWorkspace } from '@/shared/stores/workspace'
import { until } from './until'
import { bringAll, testBench } from './workbench'

const catalogue = 'SKU,EAN,Title,My price\n1,4006381333931,Balcony hooks,12.00\n2,,Oak stool,9.00\n'

/** A workspace whose comparison of what I sell stands still until it is let go. */
export async function comparing() {
  const bench = testBench()
  await bringAll(bench)
  await bench.bring('mine.csv', catalogue, { kind: 'catalogue', currency: 'EUR' })
  const { engine } = bench.services
  const call = engine.call.bind(engine) as (name: string, args: unknown[], options?: object) => Promise<unknown>
  const asked: { name: string; args: unknown[] }[] = []
  let go = () => undefined as void
  engine.call = (async (
    name: string,
    args: unknown[],
    options?: { signal?: AbortSignal; onProgress?: (done: unknown) => void },
  ) => {
    asked.push({ name, args })
    if (name === 'mine') {
      options?.onProgress?.(0.24)
      await new Promise<void>((done, fail) => {
        go = done
        options?.signal?.addEventListener('abort', () => fail(new DOMException('stopped', 'AbortError')))
      })
      options?.onProgress?.(1)
    }
    return call(name, args, options)
  }) as never
  const [own, query, jobs] = [useOwn(), useQuery(), useJobs()]
  /** how often something was asked of the engine */
  const timesAsked = (name: string) => asked.filter((a) => a.name === name).length
  await useWorkspace().reload()
  await until(() => timesAsked('mine') === 1, 'the comparison')
  return { own, query, jobs, go: () => go(), asked, timesAsked, app: bench.app }
}
