import { picturePrint, printSide, type PicturePrint } from '@sickle/core/goods'
import { isOwnPicture } from './own-picture'

const known = new Map<string, Promise<PicturePrint | null>>()

/** The print of a picture by its address; null where it cannot be read. Each is read once. */
export function printOf(address: string): Promise<PicturePrint | null> {
  const made = known.get(address) ?? read(address)
  known.set(address, made)
  return made
}

async function read(address: string): Promise<PicturePrint | null> {
  if (!isOwnPicture(address)) return null
  try {
    const image = new Image(printSide, printSide)
    image.src = address
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
