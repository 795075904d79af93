import type { InjectionKey } from 'vue'
import { inject } from 'vue'
import { openDatabase, type Database } from '@/storage/database'
import type { TurnTools } from '@/storage/turn'
import { Channel } from '@/workers/channel'
import type { EngineMethods } from '@/workers/engine.worker'
import type { IntakeMethods } from '@/workers/intake.worker'
import type { ScanMethods } from '@/workers/scan.worker'

/** What the stores reach the outside by; tests pass their own. */
export interface Services {
  database: () => Promise<Database>
  engine: Channel<EngineMethods>
  intake: Channel<IntakeMethods>
  /** looks at files before they come in; it can be ended at any time, as nothing is lost with it */
  opener: Channel<IntakeMethods>
  scan: Channel<ScanMethods>
  /** by which several tabs take turns; left out where there is only one */
  turnTools?: TurnTools
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

export function createServices(): Services {
  let database: Promise<Database> | null = null
  return {
    database: () => (database ??= openDatabase('sickle', () => location.reload())),
    engine: channelTo<EngineMethods>(
      new Worker(new URL('../workers/engine.worker.ts', import.meta.url), { type: 'module' }),
    ),
    intake: channelTo<IntakeMethods>(newIntake(), newIntake),
    opener: channelTo<IntakeMethods>(newIntake(), newIntake),
    scan: channelTo<ScanMethods>(new Worker(new URL('../workers/scan.worker.ts', import.meta.url), { type: 'module' })),
    turnTools: { locks: navigator.locks, channel: new BroadcastChannel('sickle') },
    now: () => Date.now(),
    newId: () => crypto.randomUUID(),
  }
}

function newIntake(): Worker {
  return new Worker(new URL('../workers/intake.worker.ts', import.meta.url), { type: 'module' })
}

function channelTo<M extends EngineMethods | IntakeMethods | ScanMethods>(
  worker: Worker,
  renew: (() => Worker) | null = null,
): Channel<M> {
  const watched = (each: Worker) => {
    each.addEventListener('error', (event) => channel.fail(event.message || 'a worker stopped'))
    return each
  }
  const channel: Channel<M> = new Channel<M>(worker, renew && (() => watched(renew())))
  watched(worker)
  return channel
}
