import { hierarchy, interpolateNumber, partition, scaleLinear } from 'd3'
import type { Branch } from '@sickle/core/engine'

export interface IcicleCell {
  branch: Branch
  x: number
  y: number
  width: number
  height: number
  /** 0–1 between the worst and the best of the branches shown; null where nothing is known */
  shade: number | null
}

export interface Icicle {
  cells: IcicleCell[]
  /** share of listings sold at either end of the shade; null where no branch has one */
  shades: [number, number] | null
}

/**
 * The branches below one as an icicle: a level a row, the width of a branch is its sales, its shade how large a share of its
 * listings sold. A branch that sells nothing still has a sliver to be seen by.
 *
 * @param levels rows shown, the branch itself first
 */
export function icicle(
  tree: readonly Branch[],
  from: string,
  size: { width: number; height: number; levels: number },
): Icicle {
  const { width, height, levels } = size
  const root = tree.find((b) => b.path === from)
  if (!root || root.items === 0) return { cells: [], shades: null }
  const children = new Map<string, Branch[]>()
  for (const b of tree) if (b.parent !== null) children.set(b.parent, [...(children.get(b.parent) ?? []), b])
  const sliver = root.revenueE4 / 200 + 1
  const nodes = hierarchy(root, (b) => children.get(b.path))
    .sum((b) => (children.has(b.path) ? 0 : Math.max(b.revenueE4, sliver)))
    .sort((a, b) => (b.value ?? 0) - (a.value ?? 0))
  const depth = Math.min(levels, nodes.height + 1)
  const laid = partition<Branch>().size([width, nodes.height + 1])(nodes)
  const seen = laid.descendants().filter((n) => n.depth < depth)
  const ratios = seen.flatMap((n) => n.data.sellThrough?.ratio ?? [])
  const shades: [number, number] | null = ratios.length === 0 ? null : [Math.min(...ratios), Math.max(...ratios)]
  const shade = shades && scaleLinear(shades, [0, 1]).interpolate(interpolateNumber)
  const row = height / depth
  return {
    shades,
    cells: seen.map((n) => {
      const ratio = n.data.sellThrough?.ratio
      return {
        branch: n.data,
        x: n.x0,
        y: n.depth * row,
        width: n.x1 - n.x0,
        height: row,
        shade: ratio === undefined || !shade ? null : shade(ratio),
      }
    }),
  }
}
