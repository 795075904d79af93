import type { Mapping } from '@sickle/core/intake'
import { scheduleFromJson } from '@sickle/core/margin'
import { plainRules, type SellerRules } from '@sickle/core/catalog'
import { toE4, type Rate } from '@sickle/core/money'
import type { OriginCosts } from '@sickle/core/supply'
import { Problem } from '@sickle/core/problem'
import type { Services } from '@/services/services'
import { count } from '@/shared/format'
import type { JobContext } from '@/shared/stores/jobs'
import { showProgress } from './gather-store'

interface DemoIndex {
  files: {
    name: string
    label: string
    answers: { market?: string; supplier?: string; currency?: string }
    size: number
  }[]
  rules: {
    schedules: unknown[]
    rates: Rate[]
    costs: Record<string, number | string | boolean>
    imports: OriginCosts[]
  }
}

/** The list of demo files and the demo shop's rules. @throws Problem 'demo-missing' */
export async function demoIndex(): Promise<DemoIndex> {
  const response = await fetch('/demo/index.json').catch((cause: unknown) => {
    throw new Problem('demo-missing', {}, { cause })
  })
  if (!response.ok) throw new Problem('demo-missing')
  return (await response.json()) as DemoIndex
}

/** Brings one demo file in the way a user's file comes in; only the questions are answered beforehand. */
export async function bringDemoFile(
  services: Services,
  file: DemoIndex['files'][number],
  { signal, report }: JobContext,
): Promise<void> {
  const response = await fetch(`/demo/files/${file.name}`, { signal })
  if (!response.ok) throw new Problem('demo-missing')
  const source = new File([await response.blob()], file.name)
  const { proposal, file: summary } = await services.intake.call('plan', [source, null, services.now()])
  const { market, supplier, currency } = file.answers
  const mapping: Mapping = {
    ...proposal.mapping,
    // the demo's days are right whatever the clock of this machine says
    latestDay: null,
    market: market ?? proposal.mapping.market,
    supplier: supplier ?? proposal.mapping.supplier,
    currency: proposal.mapping.currency ?? currency ?? null,
  }
  const about = { id: services.newId(), now: services.now(), demo: true }
  const { entry } = await services.intake.call('run', [source, summary.sheet, mapping, about], {
    signal,
    onProgress: (p) => showProgress(p, report),
  })
  report(1, `${count(entry.taken)} rows taken`)
}

/** The demo shop's rules: fees of its markets, rates and its own costs. */
export function demoRules({ rules }: DemoIndex): SellerRules {
  const { homeCurrency, minProfit, step, postageOut, packing, costPerReturn, ...ratios } = rules.costs
  const base = plainRules(String(homeCurrency))
  const e4 = (text: unknown) => toE4(Number(text))
  return {
    ...base,
    rates: rules.rates,
    schedules: rules.schedules.map(scheduleFromJson),
    costs: {
      ...base.costs,
      ...ratios,
      postageOutE4: e4(postageOut),
      packingE4: e4(packing),
      costPerReturnE4: e4(costPerReturn),
    },
    minProfitE4: e4(minProfit),
    stepE4: e4(step),
    supply: { ...base.supply, imports: rules.imports },
  }
}
