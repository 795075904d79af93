import { plainNumber, type NumberStyle } from './number-style'

/** Units of weight in grams and of length in centimetres; the pound and the inch by the agreement of 1959, exact. */
const grams: Record<string, number> = { mg: 0.001, g: 1, kg: 1000, oz: 28.349523125, lb: 453.59237 }
const centimetres: Record<string, number> = { mm: 0.1, cm: 1, m: 100, in: 2.54, ft: 30.48 }

/** What a unit is also called. */
const forms: [string, RegExp][] = [
  ['mg', /^(?:mg|milligram\p{L}*)$/u],
  ['kg', /^(?:kgs?|kilos?|kilogram\p{L}*)$/u],
  ['g', /^(?:gr?s?|gm|gram\p{L}*)$/u],
  ['oz', /^(?:oz|ounces?|unzen?|onces?|onzas?|once)$/u],
  ['lb', /^(?:lbs?|pounds?|pfund)$/u],
  ['mm', /^(?:mm|millim\p{L}*)$/u],
  ['cm', /^(?:cms?|centim\p{L}*)$/u],
  ['in', /^(?:in|ins|inch(?:es)?|zoll|pouces?|pulgadas?|pollici|["”″])$/u],
  ['ft', /^(?:ft|feet|foot)$/u],
  ['m', /^(?:m|met(?:er|re)s?|metros?|metri)$/u],
]
const unitOf = (word: string) => forms.find(([, form]) => form.test(word.toLowerCase()))?.[0] ?? null

/** The unit of weight or length that words name, such as a heading's 'Weight (kg)'; the last of several, null where they name none. */
export function unitIn(words: string): string | null {
  const units = (words.match(/\p{L}+|["”″]/gu) ?? []).flatMap((word) => unitOf(word) ?? [])
  return units.at(-1) ?? null
}

const figure = String.raw`\d+(?:[.,'  ]\d+)*`

/**
 * A weight in grams.
 *
 * @param bare unit of a plain figure; null where nobody says it
 * @returns null where it is no weight, or of no unit
 */
export function gramsOf(text: string, style: NumberStyle, bare: string | null): number | null {
  const parts = new RegExp(`^(${figure}) ?(\\p{L}+)?\\.?$`, 'u').exec(text.trim())
  const plain = parts && plainNumber(parts[1] as string, style)
  const factor = grams[(parts?.[2] ? unitOf(parts[2]) : bare) ?? '']
  return plain === null || factor === undefined ? null : Number((Number(plain) * factor).toPrecision(12))
}

/** Three lengths in centimetres. */
export type Box = readonly [length: number, width: number, height: number]

/**
 * The size of a parcel: '30 x 20 x 10 cm', '12 × 8 × 4 in', 'L 300 W 200 H 100 mm'.
 *
 * @param bare unit where none stands beside the figures; null where nobody says it
 * @returns null where it does not name three lengths and a unit
 */
export function boxOf(text: string, style: NumberStyle, bare: string | null): Box | null {
  const found = (text.match(new RegExp(figure, 'gu')) ?? []).map((n) => plainNumber(n, style))
  // letters that name a side are no units
  const unit = unitIn(text.replace(/\b[lwhdbt]\b|[x×*]/giu, ' ')) ?? bare
  const factor = centimetres[unit ?? '']
  if (found.length !== 3 || factor === undefined) return null
  const sides = found.flatMap((n) =>
    n === null || Number(n) <= 0 ? [] : [Number((Number(n) * factor).toPrecision(12))],
  )
  return sides.length === 3 ? (sides as unknown as Box) : null
}

/** A size as it is kept and written. */
export const boxText = (box: Box): string => `${box.join(' x ')} cm`
