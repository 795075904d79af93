import type { Catalog } from '../catalog'
import { isSameGoods, type OwnMatch, type OwnWay } from '../own'

/** What of some listings' items is mine, may be mine, or is a gap. Places of items, each once. */
export interface Gaps {
  gaps: Int32Array
  /** the same goods as mine */
  mine: number
  /** a likely match, or mine in another pack: no gap, and shown as what it is */
  perhaps: { item: number; own: number; way: OwnWay }[]
}

/** @param rows listings of a store or of several @param matches item → what of mine it is */
export function gapsOf(
  { itemOf }: Pick<Catalog, 'itemOf'>,
  rows: ArrayLike<number>,
  matches: ReadonlyMap<number, OwnMatch>,
): Gaps {
  const gaps: number[] = []
  const perhaps: Gaps['perhaps'] = []
  const seen = new Set<number>()
  let mine = 0
  for (let i = 0; i < rows.length; i++) {
    const item = itemOf[rows[i] as number] as number
    if (seen.has(item)) continue
    seen.add(item)
    const match = matches.get(item)
    if (!match) gaps.push(item)
    else if (isSameGoods(match.way)) mine++
    else perhaps.push({ item, own: match.own, way: match.way })
  }
  return { gaps: Int32Array.from(gaps), mine, perhaps }
}
