// Measures the search by picture on a pack that scripts/fixtures/pictures.py wrote, half by half. Run: npx tsx scripts/picture-search.ts PACK
import { readFileSync } from 'node:fs'
import { PictureIndex } from '../core/goods'
import { readPack } from '../core/goods/fixtures/read-pack'

const index = new PictureIndex()
const tally = new Map<string, { of: number; first: number; five: number }>()
for (const { of, way, ...raster } of readPack(readFileSync(process.argv[2] ?? ''))) {
  if (way === undefined) {
    index.add(String(of), raster)
    continue
  }
  const key = `${of % 2 === 0 ? 'tuned' : 'kept aside'}, ${way}`
  const found = index.find(raster, 5).map((f) => f.key)
  const t = tally.get(key) ?? { of: 0, first: 0, five: 0 }
  t.of++
  if (found[0] === String(of)) t.first++
  if (found.includes(String(of))) t.five++
  tally.set(key, t)
}
console.log(`${index.size} pictures`)
for (const [key, { of, first, five }] of [...tally].sort())
  console.log(
    `${key}: ${of} asked, first ${((100 * first) / of).toFixed(1)} %, of the first five ${((100 * five) / of).toFixed(1)} %`,
  )
