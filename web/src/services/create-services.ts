import { ref } from 'vue'
import { openDatabase } from '@/storage/database'
import type { Database } from '@/storage/schema'
import { Channel } from '@/workers/channel'
import type { EngineMethods } from '@/workers/engine-methods'
import engineAddress from '@/workers/engine.worker?worker&url'
import type { IntakeMethods } from '@/workers/intake-methods'
import intakeAddress from '@/workers/intake.worker?worker&url'
import { ownWorker } from '@/workers/own-worker'
import type { ScanMethods } from '@/workers/scan-methods'
import scanAddress from '@/workers/scan.worker?worker&url'
import type { Services } from './services'

export function createServices(): Services {
  let database: Promise<Database> | null = null
  const isBlocked = ref(false)
  async function open(): Promise<Database> {
    const tabs = { onNewer: () => location.reload(), onBlocked: () => void (isBlocked.value = true) }
    return openDatabase('sickle', tabs).finally(() => (isBlocked.value = false))
  }
  return {
    database: () => (database ??= open()),
    isBlocked,
    engine: channelTo<EngineMethods>(ownWorker(engineAddress)),
    intake: channelTo<IntakeMethods>(newIntake(), newIntake),
    opener: channelTo<IntakeMethods>(newIntake(), newIntake),
    scan: channelTo<ScanMethods>(ownWorker(scanAddress)),
    lockTools: { locks: navigator.locks, channel: new BroadcastChannel('sickle') },
    journal: localStorage,
    now: () => Date.now(),
    newId: () => crypto.randomUUID(),
  }
}

function newIntake(): Worker {
  return ownWorker(intakeAddress)
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
