import { chromium, type Page } from '@playwright/test'
import { openIntakeWorker, type IntakeCall } from '../intake-worker'
import { orphans, peakOfRenderers } from '../left-behind'
import type { Line } from '../report'
import { hostileFiles, type HostileFile } from '.'

interface Outcome {
  name: string
  result: string
  ms: number
}

/** how long a file may take to be opened or refused, and a stopped import to stop, ms */
const [mostMs, stopMs] = [10_000, 2_000]

/**
 * Hostile files through the built intake in headless Chromium, one worker for all: each must be opened, or refused with its reason,
 * within ten seconds, and one that goes on must stop when it is told to. Restoring what is no backup must change nothing.
 */
export async function benchHostile(base: string, executablePath: string, count = 1000): Promise<Line[]> {
  const browser = await chromium.launch({
    executablePath,
    args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking'],
  })
  try {
    const page = await browser.newPage()
    await page.goto(`${base}/gather`)
    await page.getByRole('button', { name: 'Load the demo' }).waitFor()
    await openIntakeWorker(page)
    const outcomes: Outcome[] = []
    let largest = 0
    for (const file of hostileFiles(count)) {
      largest = Math.max(largest, file.bytes.length)
      const outcome = await send(page, file)
      outcomes.push(outcome)
      if (process.env.SICKLE_HOSTILE)
        console.error(`${outcome.ms.toFixed(0).padStart(6)} ms ${outcome.name}: ${outcome.result}`)
      else if (isFault(outcome))
        console.error(`hostile: ${outcome.name}: ${outcome.result}, ${outcome.ms.toFixed(0)} ms`)
    }
    const faults = outcomes.filter(isFault).length
    const hung = outcomes.filter((o) => o.result.startsWith('hang')).length
    const slowest = Math.max(...outcomes.map((o) => o.ms))
    const peak = peakOfRenderers()
    const left = await orphans(page)
    const line = (name: string, ours: number, unit: string, target: string, met: boolean) =>
      ({ name, ours, unit, peer: null, target, met }) satisfies Line
    return [
      line(`hostile: of ${outcomes.length} files, unforeseen`, faults - hung, 'files', '0', faults === hung),
      line('hostile: hung', hung, 'files', '0', hung === 0),
      line('hostile: slowest file to be opened or refused', slowest, 'ms', '<= 10000 ms', slowest <= mostMs),
      line(
        'hostile: peak memory of the tab beyond the largest file',
        peak - largest / 1e6,
        'MB',
        '<= 1000 MB',
        peak - largest / 1e6 <= 1000,
      ),
      line('hostile: columns left behind without an import', left, 'columns', '0', left === 0),
    ]
  } finally {
    await browser.close()
  }
}

function isFault({ result }: Outcome): boolean {
  return !(result === 'taken' || result === 'stopped' || result.startsWith('refused'))
}

async function send(page: Page, { name, bytes }: HostileFile): Promise<Outcome> {
  const address = `/hostile/${encodeURIComponent(name)}`
  await page.route(`**${address}`, (route) =>
    route.fulfill({ body: Buffer.from(bytes), contentType: 'application/octet-stream' }),
  )
  const outcome = await page.evaluate(
    async ({ address, name, mostMs, stopMs }) => {
      type Answer = Awaited<IntakeCall['answer']>
      const call = (window as unknown as { callIntake: (m: string, a: unknown[]) => IntakeCall }).callIntake
      const file = new File([await (await fetch(address)).blob()], name)
      const within = (promise: Promise<Answer>, ms: number) =>
        Promise.race([promise, new Promise<null>((r) => setTimeout(() => r(null), ms))])
      const said = (answer: Answer | null) => {
        if (answer === null) return 'hang'
        if (answer.type === 'done') return 'taken'
        const code = answer.problem?.code ?? ''
        return code === 'unexpected' || code === 'crash'
          ? `${code} ${answer.problem?.details?.text ?? ''}`
          : `refused ${code}`
      }
      const start = performance.now()
      if (name.endsWith('.sickle')) {
        const answer = await within(call('restore', [file]).answer, mostMs)
        return { result: said(answer), ms: performance.now() - start }
      }
      const plan = await within(call('plan', [file, null, Date.now(), null]).answer, mostMs)
      const ms = performance.now() - start
      if (plan?.type !== 'done') return { result: said(plan), ms }
      const { proposal } = plan.value as { proposal: { mapping: Record<string, unknown> } }
      const { market, supplier, currency } = proposal.mapping
      const mapping = {
        ...proposal.mapping,
        market: market ?? 'X',
        supplier: supplier ?? 'Y',
        currency: currency ?? 'EUR',
      }
      const run = call('run', [file, null, mapping, { id: crypto.randomUUID(), now: Date.now(), demo: false }])
      const first = await within(run.answer, mostMs)
      if (first !== null) return { result: said(first), ms }
      run.stop()
      const stopped = await within(run.answer, stopMs)
      return { result: stopped === null ? 'hang after cancel' : 'stopped', ms }
    },
    { address, name, mostMs, stopMs },
  )
  await page.unroute(`**${address}`)
  return { name, ...outcome }
}
