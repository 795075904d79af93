import { numbers, textAt, textColumn, type Table } from '../tables'

export interface Mover {
  /** place of the item */
  place: number
  /** units more (or fewer) in the window than at the pace before, as the growth rate says */
  moved: number
}

/**
 * Items that move most in units: rising ones whose stage of life says so, and fading ones. A growth rate alone would put
 * the smallest first.
 *
 * @param most how many of each
 */
export function movers(figures: Table, most: number): { rising: Mover[]; fading: Mover[] } {
  const [units, growth] = [numbers(figures, 'units'), numbers(figures, 'growth')]
  const stages = textColumn(figures, 'stages')
  const rising: Mover[] = []
  const fading: Mover[] = []
  for (let place = 0; place < figures.rows; place++) {
    const stage = textAt(stages, place)
    const [u, g] = [units[place] as number, growth[place] as number]
    if (stage === null || Number.isNaN(u) || !(g > -1)) continue
    const moved = (u * g) / (1 + g)
    if ((stage === 'Sprouting' || stage === 'Ripening') && moved > 0) keep(rising, { place, moved }, most, 1)
    if ((stage === 'Fading' || stage === 'Flash') && moved < 0) keep(fading, { place, moved }, most, -1)
  }
  return { rising, fading }
}

/** Puts a mover in its place in a short list that is in order, the last falling out. */
function keep(list: Mover[], mover: Mover, most: number, sign: number): void {
  let at = list.length
  while (at > 0 && (list[at - 1] as Mover).moved * sign < mover.moved * sign) at--
  if (at >= most) return
  list.splice(at, 0, mover)
  if (list.length > most) list.pop()
}
