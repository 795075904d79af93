import { picturePrint, printSide, type PicturePrint } from '@sickle/core/goods'
import { mayBeShown, shownFrom } from './picture-copies'

const known = new Map<string, Promise<PicturePrint | null>>()

/** The print of a picture by its address; null where it cannot be read. Each is read once. */
export function printOf(address: string): Promise<PicturePrint | null> {
  // one that may not be had now may be had later
  if (!mayBeShown(address)) return Promise.resolve(null)
  const made = known.get(address) ?? read(address)
  known.set(address, made)
  return made
}

async function read(address: string): Promise<PicturePrint | null> {
  if (!mayBeShown(address)) return null
  try {
    const from = await shownFrom(address)
    if (from === null) return null
    const image = new Image(printSide, printSide)
    image.src = from
    await image.decode()
    const canvas = document.createElement('canvas')
    canvas.width = canvas.height = printSide
    const context = canvas.getContext('2d')
    if (!context) return null
    context.fillStyle = 'white'
    context.fillRect(0, 0, printSide, printSide)
    context.drawImage(image, 0, 0, printSide, printSide)
    return picturePrint(context.getImageData(0, 0, printSide, printSide).data)
  } catch {
    return null // not there
  }
}
