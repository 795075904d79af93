import { inject, type InjectionKey, type Ref } from 'vue'
import type { Database } from '@/storage/schema'
import type { LockTools } from '@/storage/write-lock'
import type { Channel } from '@/workers/channel'
import type { EngineMethods } from '@/workers/engine-methods'
import type { IntakeMethods } from '@/workers/intake-methods'
import type { ScanMethods } from '@/workers/scan-methods'

/** What the stores reach the outside by; tests pass their own. */
export interface Services {
  database: () => Promise<Database>
  /** a tab of an older version holds the workspace, and this one waits for it to be closed */
  isBlocked?: Readonly<Ref<boolean>>
  engine: Channel<EngineMethods>
  intake: Channel<IntakeMethods>
  /** looks at files before they come in; it can be ended at any time, as nothing is lost with it */
  opener: Channel<IntakeMethods>
  scan: Channel<ScanMethods>
  /** by which several tabs take turns; left out where there is only one */
  lockTools?: LockTools
  /** kept at once and through a reload, for what is still being written; left out where the platform has none */
  journal?: Pick<Storage, 'getItem' | 'setItem' | 'removeItem'>
  /** the clock, ms */
  now: () => number
  newId: () => string
}

export const servicesKey: InjectionKey<Services> = Symbol('services')

export function useServices(): Services {
  const services = inject(servicesKey)
  if (!services) throw new Error('services are not provided')
  return services
}
