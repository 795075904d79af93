import { PNG } from 'pngjs'
import { chance } from '@sickle/standins'
import type { FetchedPicture } from './fetch-picture'

const side = 96

/** A picture that the stand-in market has at an address: drawn from the address alone, so the same address shows the same. */
export function standinPicture(address: string): FetchedPicture {
  const random = chance([...address].reduce((sum, c) => (sum * 31 + c.charCodeAt(0)) % 1_000_003, 7))
  const [ground, thing] = [0, 1].map((n) => [0, 1, 2].map(() => random.whole(n === 0 ? 190 : 20, n === 0 ? 250 : 170)))
  const discs = Array.from({ length: 4 }, () => ({
    x: random.between(0.25, 0.75) * side,
    y: random.between(0.25, 0.75) * side,
    r: random.between(0.08, 0.25) * side,
  }))
  const png = new PNG({ width: side, height: side })
  for (let y = 0; y < side; y++)
    for (let x = 0; x < side; x++) {
      const colour = discs.some((d) => Math.hypot(x - d.x, y - d.y) < d.r) ? thing : ground
      png.data.set([...(colour ?? []), 255], (y * side + x) * 4)
    }
  return { type: 'image/png', bytes: PNG.sync.write(png) }
}
