import { shallowRef } from 'vue'
import { isOwnPicture } from './own-picture'

/** Small copies of pictures that stand elsewhere: fetched through Sickle's server, kept in this browser, and only while the seller wants them. */

/** hosts that the server may fetch from; none while the seller does not want pictures from elsewhere */
export const pictureHosts = shallowRef<readonly string[]>([])

const store = 'sickle-pictures'
/** longest side of a copy, pixels, and how many are fetched at once */
const [longest, mostAtOnce] = [240, 4]
const route = (address: string) => `/api/pictures?address=${encodeURIComponent(address)}`

/** Turns pictures from elsewhere on or off; with them go their copies. @returns the hosts they may come from */
export async function wantPictures(isWanted: boolean): Promise<readonly string[]> {
  if (!isWanted) {
    pictureHosts.value = []
    made.clear()
    if ('caches' in globalThis) await caches.delete(store)
    return []
  }
  const answer = await fetch('/api/pictures/hosts')
  pictureHosts.value = answer.ok ? ((await answer.json()) as string[]) : []
  return pictureHosts.value
}

/** Whether a picture may be had: Sickle's own, or one of a host that is listed. */
export function mayBeShown(address: string | null): address is string {
  if (isOwnPicture(address)) return true
  if (address === null || pictureHosts.value.length === 0 || !URL.canParse(address)) return false
  const { protocol, host } = new URL(address)
  return /^https?:$/.test(protocol) && pictureHosts.value.includes(host)
}

const made = new Map<string, Promise<string | null>>()

/** Where a picture can be shown from on this page; null where it cannot be had. */
export function shownFrom(address: string): Promise<string | null> {
  if (isOwnPicture(address)) return Promise.resolve(address)
  const known = made.get(address) ?? inTurn(() => copyOf(address)).catch(() => null)
  made.set(address, known)
  return known
}

async function copyOf(address: string): Promise<string | null> {
  const kept = await caches.open(store)
  const known = await kept.match(route(address))
  if (known) return URL.createObjectURL(await known.blob())
  const answer = await fetch(route(address))
  if (!answer.ok) return null
  const small = await shrunk(await answer.blob())
  await kept.put(route(address), new Response(small, { headers: { 'content-type': small.type } }))
  return URL.createObjectURL(small)
}

async function shrunk(picture: Blob): Promise<Blob> {
  const image = await createImageBitmap(picture)
  const scale = Math.min(1, longest / Math.max(image.width, image.height))
  const [width, height] = [image.width, image.height].map((side) => Math.max(1, Math.round(side * scale)))
  const canvas = document.createElement('canvas')
  Object.assign(canvas, { width, height })
  canvas.getContext('2d')?.drawImage(image, 0, 0, width ?? 1, height ?? 1)
  image.close()
  return new Promise((resolve, reject) =>
    canvas.toBlob((blob) => (blob ? resolve(blob) : reject(new Error('no copy'))), 'image/webp', 0.85),
  )
}

let running = 0
const waiting: (() => void)[] = []

async function inTurn<T>(run: () => Promise<T>): Promise<T> {
  if (running >= mostAtOnce) await new Promise<void>((go) => waiting.push(go))
  running++
  try {
    return await run()
  } finally {
    running--
    waiting.shift()?.()
  }
}
