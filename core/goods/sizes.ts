import { emptied } from './emptied'
import { remembered } from './remembered'
import { asciiPattern, isAscii, titlePattern } from './title-patterns'

interface Unit {
  forms: string
  base: string
  factor: number
  isImperial?: boolean
}

/** Units in which titles give sizes, each with what it is kept in; one entry a unit, its spellings together. */
const units: Record<string, Unit> = {
  mm: { forms: 'mm|millimet(?:er|re)s?', base: 'mm', factor: 1 },
  cm: { forms: 'cms?|centimet(?:er|re)s?', base: 'mm', factor: 10 },
  m: { forms: 'm|mtr?|met(?:er|re|ro|ri)s?', base: 'mm', factor: 1000 },
  in: { forms: 'in|inch(?:es)?|zoll|pouces?|pulgadas?|pollici|"|”|″', base: 'mm', factor: 25.4, isImperial: true },
  ft: { forms: 'ft|feet|foot', base: 'mm', factor: 304.8, isImperial: true },
  yd: { forms: 'yds?|yards?', base: 'mm', factor: 914.4, isImperial: true },
  ml: { forms: 'ml|millilit(?:er|re)s?', base: 'ml', factor: 1 },
  cl: { forms: 'cl', base: 'ml', factor: 10 },
  l: { forms: 'l|ltr|lit(?:er|re|ro|ri)s?', base: 'ml', factor: 1000 },
  floz: { forms: 'fl\\.? ?oz', base: 'ml', factor: 29.57, isImperial: true },
  gal: { forms: 'gal|gallons?', base: 'ml', factor: 3785, isImperial: true },
  g: { forms: 'g|gr|grams?|gramm', base: 'g', factor: 1 },
  kg: { forms: 'kgs?|kilos?|kilograms?', base: 'g', factor: 1000 },
  oz: { forms: 'oz|ounces?', base: 'g', factor: 28.35, isImperial: true },
  lb: { forms: 'lbs?|pounds?', base: 'g', factor: 453.6, isImperial: true },
  w: { forms: 'w|watts?', base: 'w', factor: 1 },
  kw: { forms: 'kw', base: 'w', factor: 1000 },
  v: { forms: 'v|volts?', base: 'v', factor: 1 },
  ah: { forms: 'ah', base: 'mah', factor: 1000 },
  mah: { forms: 'mah', base: 'mah', factor: 1 },
  mb: { forms: 'mb', base: 'mb', factor: 1 },
  gb: { forms: 'gb', base: 'mb', factor: 1000 },
  tb: { forms: 'tb', base: 'mb', factor: 1_000_000 },
  hz: { forms: 'hz', base: 'hz', factor: 1 },
  ghz: { forms: 'ghz', base: 'hz', factor: 1e9 },
  lm: { forms: 'lm|lumens?', base: 'lm', factor: 1 },
  psi: { forms: 'psi', base: 'psi', factor: 1 },
  bar: { forms: 'bar', base: 'bar', factor: 1 },
  gsm: { forms: 'gsm', base: 'gsm', factor: 1 },
  k: { forms: 'kelvin', base: 'kelvin', factor: 1 },
}
const anyUnit = Object.values(units)
  .map((u) => u.forms)
  .sort((a, b) => b.length - a.length)
  .join('|')
const unitFor = (text: string) => Object.values(units).find((u) => new RegExp(`^(?:${u.forms})$`).test(text)) ?? null

/** What is measured, behind a size: it is the same size without it. */
const measured =
  '(?: (?:thick|long|wide|high|tall|deep|diameter|dick|lang|breit|hoch|tief|durchmesser|epaisseur|longueur|largeur|hauteur|diametre|largo|ancho|alto|diametro|lungo|largo|dik|hoog|lange|dlugosci)(?![\\p{L}\\d]))?'
const number = '\\d{1,9}(?:[.,]\\d{1,9})?'
const behind = `(?:${anyUnit})(?![\\p{L}\\d])`
const by = ' ?[x×*] ?'

/** How figures stand in titles, as patterns of one alphabet. */
const figuresIn = (pattern: typeof titlePattern) => ({
  /** '40 x 14 cm', '40 cm x 14 cm', '26 x 1.95' with its unit behind */
  sides: pattern(
    `(?<![\\d.,])${number}(?: ?${behind})?${by}${number}(?: ?${behind})?(?:${by}${number})? ?(?:${anyUnit})(?![\\p{L}\\d])${measured}`,
    'g',
  ),
  bareSides: pattern(`(?<![\\p{L}\\d.,])${number}${by}${number}(?:${by}${number})?(?![\\p{L}\\d])`, 'g'),
  size: pattern(`(?<![\\d.,])${number} ?(?:${anyUnit})(?![\\p{L}\\d])${measured}`, 'g'),
  // '100er LED' has 100 of them; '7pockets' is '7 pockets'; '9000pa' is '9000 pa'; a number after letters, or a short one before one or two, is a name ('A4', '3d')
  alone: pattern(
    '(?<![\\p{L}\\p{N}])(?:\\d+(?:[.,]\\d+)?er(?![a-z\\d])|(?<!\\d[.,])(?:\\d{1,9}(?=\\p{L}{3})|(?:\\d{1,9}[.,]\\d{1,3}|\\d{3,9}(?!p(?!\\p{L})))(?=\\p{L}))|\\d+(?:[.,]\\d+)?(?![\\p{L}\\p{N}]))',
    'g',
  ),
})
const [inAscii, inAny] = [figuresIn(asciiPattern), figuresIn(titlePattern)]
const digit = /\d/
/** the first is quicker, and seldom holds where the second does not */
const severalSides = [/[x×*] ?\d/, /\d[^\dx×*]{0,7}[x×*] ?\d/]

/** The figures that a title gives, and where they stand: '600mm' for 60 cm, '400x140mm', the longest side first; '7#' for those without a unit. */
export class TitleSizes {
  readonly sizes: string[] = []
  /** where each figure begins and ends, in the order of the title */
  readonly places: number[] = []

  /** For another title. */
  clear(): void {
    emptied(this.sizes)
    emptied(this.places)
  }

  /** @param text case folded @param isPlain it is plain ASCII */
  read(text: string, isPlain = isAscii(text)): this {
    if (!digit.test(text)) return this
    const figures = isPlain ? inAscii : inAny
    if (severalSides.every((sides) => sides.test(text))) {
      this.#take(text, figures.sides)
      this.#take(text, figures.bareSides)
    }
    this.#take(text, figures.size)
    // Any other figure ('zone 7', '12 cells') tells goods apart as a size does.
    this.#take(text, figures.alone)
    return this
  }

  #take(text: string, re: RegExp): void {
    re.lastIndex = 0
    for (let found = re.exec(text); found !== null; found = re.exec(text)) {
      const end = this.#add(found.index, re.lastIndex)
      if (end > 0) re.lastIndex = end
      else this.#say(sizeIn(found[0]))
    }
  }

  #say(size: string): void {
    if (!this.sizes.includes(size)) this.sizes.push(size)
  }

  /** @returns the end of what stands there already, which is not taken twice; 0 where nothing does */
  #add(from: number, to: number): number {
    const places = this.places
    let at = places.length
    while (at > 0 && (places[at - 2] as number) >= to) at -= 2
    const before = at > 0 ? (places[at - 1] as number) : 0
    if (before > from) return before
    if (at === places.length) places.push(from, to)
    else places.splice(at, 0, from, to)
    return 0
  }
}

const anyMeasured = titlePattern(measured, 'g')

/** Sides from the longest on, in the base of the unit behind them: 1 kg and 1000 g are the same size. */
const sizeIn = remembered((found) => {
  const text = found.replace(anyMeasured, '')
  const figures = text.match(/\d+(?:[.,]\d+)?/g) ?? []
  const last = figures.at(-1) ?? ''
  const unit = unitFor(text.slice(text.lastIndexOf(last) + last.length).trim())
  const sides = figures.map((side) => inBase(Number(side.replace(',', '.')), unit))
  return `${sides.sort((a, b) => b - a).join('x')}${unit?.base ?? (sides.length > 1 ? '' : '#')}`
})

/** Inches and ounces are turned round to two figures: what is 10 inches to one seller is 25 cm to the other. */
function inBase(value: number, unit: Unit | null): number {
  if (unit === null) return value
  const exact = value * unit.factor
  return unit.isImperial ? Number(exact.toPrecision(2)) : Math.round(exact * 100) / 100
}

/**
 * Sides by themselves, as one title says '183 x 61 cm, 6 mm thick' and another '183 x 61 x 0.6 cm'.
 *
 * @param sizes as `TitleSizes` has them
 */
export const lengthsApart = (sizes: readonly string[]): readonly string[] =>
  sizes.some(hasSides)
    ? [...new Set(sizes.flatMap((size) => (hasSides(size) ? sidesOf(asLengths(size)) : [size])))]
    : sizes

const hasSides = (size: string) => size.includes('x') && (size.endsWith('mm') || !hasUnit.test(size))
const hasUnit = /[^\dx.]/
const sidesOf = (size: string) =>
  size
    .slice(0, -2)
    .split('x')
    .map((side) => `${side}mm`)

/** Sides without a unit beside some that have one are in centimetres: '183 x 61' is what another title calls '183 x 61 cm'. */
export const asLengths = (size: string): string =>
  size.includes('x') && !hasUnit.test(size)
    ? `${size
        .split('x')
        .map((side) => Math.round(Number(side) * 1000) / 100)
        .join('x')}mm`
    : size
