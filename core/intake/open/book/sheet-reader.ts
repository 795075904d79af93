import { isoDay } from '../../../identity'
import { limits, type NumberedRow } from '../opened-file'
import type { Cell } from '../../../notation'
import type { XmlHandler, XmlTag } from './xml-scanner'

export interface SheetContext {
  /** a shared text by its number */
  textAt: (index: number) => string
  /** is a number under this cell style a day? */
  isDay: (style: number) => boolean
  /** days count from 1904 */
  from1904: boolean
}

/** no cell of a spreadsheet holds more (ECMA-376 as spreadsheet programs keep it); what is longer is cut */
export const longestText = 32_767

/** Takes a sheet's XML apart into rows of cells; rows without cells make none. */
export class SheetReader implements XmlHandler {
  wantsText = false
  /** rows read since they were last taken */
  rows: NumberedRow[] = []
  /** filled cells beyond the columns that are read */
  beyond = 0
  /** formulas whose result the file does not keep */
  unkept = 0
  /** the most cells that one row holds */
  widest = 0
  readonly #context: SheetContext
  #row = 0
  #column = 0
  #cells: Cell[] = []
  #filled = 0
  #type = ''
  #style = -1
  #value: string | null = null
  #formula: string | null = null
  /** the element whose text is read: v, t or f */
  #in = ''
  #phonetic = false

  constructor(context: SheetContext) {
    this.#context = context
  }

  open(name: string, tag: XmlTag): void {
    switch (name) {
      case 'row': {
        const at = Number(tag.attribute('r'))
        this.#row = at > 0 && Number.isSafeInteger(at) ? at : this.#row + 1
        this.#column = 0
        this.#cells = []
        this.#filled = 0
        break
      }
      case 'c': {
        const place = tag.attribute('r')
        this.#column = place === null ? this.#column + 1 : columnOf(place)
        this.#type = tag.attribute('t') ?? 'n'
        this.#style = Number(tag.attribute('s') ?? -1)
        this.#value = null
        this.#formula = null
        break
      }
      case 'rPh':
        this.#phonetic = true
        break
      case 'v':
      case 't':
      case 'f':
        if (this.#phonetic) break
        this.#in = name
        this.wantsText = true
        if (name === 'f') this.#formula ??= ''
    }
  }

  text(text: string): void {
    if (this.#in === 'f') this.#formula = ((this.#formula ?? '') + text).slice(0, 80)
    else if ((this.#value?.length ?? 0) < longestText) this.#value = ((this.#value ?? '') + text).slice(0, longestText)
  }

  close(name: string): void {
    switch (name) {
      case 'v':
      case 't':
      case 'f':
        this.wantsText = false
        this.#in = ''
        break
      case 'rPh':
        this.#phonetic = false
        break
      case 'c':
        this.#put(this.#cell())
        break
      case 'row':
        if (this.#filled === 0) break
        this.widest = Math.max(this.widest, this.#filled)
        this.rows.push({ row: this.#row, cells: this.#cells })
    }
  }

  #put(cell: Cell): void {
    if (cell === null || this.#column < 1) return
    this.#filled++
    if (this.#column > limits.columns) return void this.beyond++
    while (this.#cells.length < this.#column - 1) this.#cells.push(null)
    this.#cells[this.#column - 1] = cell
  }

  #cell(): Cell {
    const value = this.#value
    if (value === null) {
      if (this.#formula === null) return null
      this.unkept++
      return `=${this.#formula}`
    }
    switch (this.#type) {
      case 's':
        return this.#context.textAt(Number(value))
      case 'b':
        return value.trim() === '1' || value.trim() === 'true'
      case 'n':
        return this.#number(value)
      case 'str':
      case 'inlineStr':
        return unescaped(value)
      default:
        return value // an error such as #N/A, or an ISO 8601 day
    }
  }

  #number(value: string): Cell {
    const number = Number(value)
    if (value.trim() === '' || !Number.isFinite(number)) return value.trim() === '' ? null : value
    if (!this.#context.isDay(this.#style)) return number
    const serial = Math.floor(number) + (this.#context.from1904 ? 1462 : 0)
    // A time of day, or a figure that is no day although it is dressed as one, stays what it is.
    return serial >= 61 && serial < 2_958_466 ? isoDay(serial - 25_569) : number
  }
}

/** 'AB12' → 28; 0 where it is no such place */
function columnOf(place: string): number {
  let column = 0
  for (let i = 0; i < place.length && i < 4; i++) {
    const code = place.charCodeAt(i) & ~32
    if (code < 65 || code > 90) break
    column = column * 26 + code - 64
  }
  return column
}

/** Characters that XML cannot hold are written _x000D_. */
export function unescaped(text: string): string {
  return text.includes('_x')
    ? text.replace(/_x([\dA-Fa-f]{4})_/g, (_, hex: string) => String.fromCharCode(parseInt(hex, 16)))
    : text
}
