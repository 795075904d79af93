import { defineStore } from 'pinia'
import { ref } from 'vue'
import { Problem } from '@sickle/core/problem'
import { sweepUnfinished } from '@/storage/imports'
import { WriteLock, type News, type Role } from '@/storage/write-lock'
import { useServices } from '@/services/services'

/** Whether this tab writes or follows another one, and what the tabs tell each other. */
export const useWriteLock = defineStore('writeLock', () => {
  const services = useServices()
  const role = ref<Role>('writer')
  const listeners = new Set<(news: News) => void>()
  const losing = new Set<() => void>()
  const gaining = new Set<() => void>()
  const writeLock = new WriteLock(
    services.lockTools ?? {},
    (next) => void changed(next),
    (news) => listeners.forEach((listen) => listen(news)),
  )

  async function changed(next: Role): Promise<void> {
    role.value = next
    if (next === 'follower') losing.forEach((stop) => stop())
    else {
      await sweepUnfinished(await services.database())
      gaining.forEach((begin) => begin())
    }
  }
  async function begin(): Promise<void> {
    role.value = await writeLock.begin()
  }
  const takeOver = () => writeLock.takeOver()
  const onNews = (listen: (news: News) => void) => void listeners.add(listen)
  /** what has to stop when another tab takes over */
  const onLoss = (stop: () => void) => void losing.add(stop)
  /** what is to be done once this tab may write */
  const onGain = (begin: () => void) => void gaining.add(begin)
  const tell = (news: News) => writeLock.tell(news)

  /** @throws Problem 'tab-follows' */
  function assertWriter(): void {
    if (role.value !== 'writer') throw new Problem('tab-follows')
  }
  return { role, begin, takeOver, onNews, onLoss, onGain, tell, assertWriter }
})
