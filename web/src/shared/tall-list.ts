/** A list of rows of one height, some of which are taller; all in CSS pixels. */
export interface TallList {
  count: number
  rowHeight: number
  /** place → how much taller that row is */
  extra: ReadonlyMap<number, number>
}

/** No browser draws an element much taller than this; a list that would be is scrolled faster than the mouse. */
export const tallestBox = 15_000_000

export function totalHeight({ count, rowHeight, extra }: TallList): number {
  return count * rowHeight + [...extra.values()].reduce((a, b) => a + b, 0)
}

/** Where a row begins. */
export function offsetOf({ rowHeight, extra }: TallList, place: number): number {
  let offset = place * rowHeight
  for (const [at, more] of extra) if (at < place) offset += more
  return offset
}

/** The row at an offset; within the list. */
export function placeAt(list: TallList, offset: number): number {
  let rest = offset
  let place = 0
  for (const [at, more] of [...list.extra].sort((a, b) => a[0] - b[0])) {
    const before = (at - place) * list.rowHeight
    if (rest < before + list.rowHeight + more) {
      if (rest >= before) return at
      break
    }
    rest -= before + list.rowHeight + more
    place = at + 1
  }
  return Math.max(0, Math.min(list.count - 1, place + Math.floor(rest / list.rowHeight)))
}

/** How many pixels of the list go by for each pixel scrolled: 1 but for very tall lists. @param view height that is seen */
export function pace(list: TallList, view: number): number {
  const total = totalHeight(list)
  return total <= tallestBox ? 1 : (total - view) / (tallestBox - view)
}
