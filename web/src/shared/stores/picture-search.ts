import { defineStore } from 'pinia'
import { ref, shallowRef } from 'vue'
import { PictureIndex } from '@sickle/core/goods'
import { useServices, type Services } from '@/services/services'
import type { AdRow } from '@/workers/ad-methods'
import type { ShownBy } from '@/workers/picture-methods'
import { mayBeShown, shownFrom } from '../picture-copies'
import { rasterOf } from '../raster'
import { useWorkspace } from './workspace'

/** A picture that is like the one that was dropped, and what shows it. */
export interface PictureFound extends ShownBy {
  address: string
  ads: AdRow[]
  /** 0–1 */
  likeness: number
}

/** pictures that are told, and what of each sort shows one */
const [mostPictures, mostEach] = [12, 4]

/** What looks like a picture that the seller drops: items and offers. Only pictures that Sickle may have are looked at. */
export const usePictureSearch = defineStore('pictureSearch', () => {
  const services = useServices()
  const workspace = useWorkspace()
  const isOpen = ref(false)
  /** the dropped picture, as an address of this page */
  const asked = ref<string | null>(null)
  const found = shallowRef<PictureFound[] | null>(null)
  const fault = ref('')
  /** share of the pictures looked at */
  const done = ref(0)
  const index = new PictureIndex()
  const known = new Set<string>()
  let asking = 0

  /** @returns the pictures of the workspace that may be shown now: the index may know others, of data that went */
  async function learn(isWanted: () => boolean): Promise<Set<string>> {
    const [ofGoods, ofAds] = await Promise.all([
      services.engine.call('pictures', []),
      services.engine.call('adPictures', []),
    ])
    const present = new Set([...ofGoods, ...ofAds].filter(mayBeShown))
    const all = [...present].filter((a) => !known.has(a))
    for (const [i, address] of all.entries()) {
      if (!isWanted()) break
      known.add(address)
      const from = await shownFrom(address)
      const raster = from === null ? null : await rasterOf(from).catch(() => null)
      if (raster) index.add(address, raster)
      done.value = (i + 1) / all.length
    }
    return present
  }

  async function look(file: Blob): Promise<void> {
    const mine = ++asking
    if (asked.value !== null) URL.revokeObjectURL(asked.value)
    const address = URL.createObjectURL(file)
    fault.value = ''
    asked.value = address
    found.value = null
    done.value = 0
    isOpen.value = true
    const raster = await rasterOf(address).catch(() => null)
    if (raster === null) return void (fault.value = 'This file cannot be read as a picture.')
    if (workspace.version === 0) return void (fault.value = 'Nothing is gathered yet that it could look like.')
    const present = await learn(() => mine === asking && isOpen.value)
    if (mine !== asking) return
    const likest = index
      .find(raster, index.size)
      .filter((l) => present.has(l.key))
      .slice(0, mostPictures)
    const shown = await shownBy(services, likest)
    if (mine !== asking) return
    found.value = shown
  }
  return { isOpen, asked, found, fault, done, look }
})

/** What shows each of some pictures; those that nothing shows are left out. */
async function shownBy(
  { engine }: Services,
  likest: readonly { key: string; likeness: number }[],
): Promise<PictureFound[]> {
  const addresses = likest.map((l) => l.key)
  const [shown, ads] = await Promise.all([
    engine.call('showing', [addresses, mostEach]),
    engine.call('adsShowing', [addresses, mostEach]),
  ])
  return likest
    .map(({ key, likeness }, i) => ({ address: key, likeness, ...(shown[i] as ShownBy), ads: ads[i] ?? [] }))
    .filter((f) => f.items.length + f.offers.length + f.ads.length > 0)
}
