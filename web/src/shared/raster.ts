import type { Raster } from '@sickle/core/goods'

/** longest side of what is looked at */
const longest = 96

/** A picture's pixels on white, no larger than is looked at. @throws where it cannot be read */
export async function rasterOf(address: string): Promise<Raster> {
  const image = new Image()
  image.src = address
  await image.decode()
  // a drawing may have no size of its own
  const [w, h] = [image.naturalWidth || longest, image.naturalHeight || longest]
  const scale = longest / Math.max(w, h)
  const canvas = document.createElement('canvas')
  canvas.width = Math.max(1, Math.round(w * scale))
  canvas.height = Math.max(1, Math.round(h * scale))
  const context = canvas.getContext('2d')
  if (!context) throw new Error('no canvas')
  context.fillStyle = 'white'
  context.fillRect(0, 0, canvas.width, canvas.height)
  context.drawImage(image, 0, 0, canvas.width, canvas.height)
  const { data, width, height } = context.getImageData(0, 0, canvas.width, canvas.height)
  return { rgba: data, width, height }
}
