import { writtenTogether } from './phrases'
import { singular } from './singular'
import { synonyms } from './synonyms'
import { kindOf, markOf } from './telling-words'

/** How words of titles are spelled, so that one word is one: colours of eight languages, spellings of two sides of an ocean, plain synonyms. */

const colours: Record<string, string> = {
  black: 'schwarz noir noire negro negra nero nera zwart zwarte czarny czarna czarne preto preta neri',
  white: 'weiss blanc blanche blanco blanca bianco bianca wit witte bialy biala biale branco branca blanch bianchi',
  red: 'rot rouge rojo roja rosso rossa rood rode czerwony czerwona czerwone vermelho vermelha',
  green: 'grun vert verte verde groen groene zielony zielona zielone verdi',
  blue: 'blau bleu bleue azul blu blauw blauwe niebieski niebieska niebieskie',
  yellow: 'gelb jaune amarillo amarilla giallo gialla geel gele zolty zolta amarelo amarela',
  orange: 'arancione oranje pomaranczowy laranja naranja pomaranczowa',
  purple:
    'lila violett violet violette morado morada viola paars fioletowy roxo violeta fioletowa fioletowe roxa paarse',
  pink: 'rosa rose roze rozowy rozowa rozowe',
  brown: 'braun marron marrone bruin bruine brazowy brazowa castanho brun brune castanha',
  grey: 'gray grau gris grigio grigia grijs grijze szary szara szare cinza grise grigi cinzento cinzenta',
  beige: 'bege bezowy bezowa',
  turquoise: 'turkis turquesa turchese turkoois turkusowy turkusowa',
  silver:
    'silber argento zilver srebrny prateado plata silbern argente argentee argentata zilveren srebrna plateada prateada',
  gold: 'golden dore dorado oro goud zloty dourado goldfarben doree dorata dorada gouden zlota dourada',
  clear: 'transparent transparente trasparente',
  anthracite: 'anthrazit antracita antracite antraciet',
  natural: 'naturel naturale naturalny naturalna',
  multicolour:
    'multicolor multicolore mehrfarbig bunt meerkleurig kolorowy multicoloured colourful multicor wielokolorowy',
  burgundy: 'bordeaux bordo',
  ivory: 'elfenbein ivoire marfil avorio',
  navy: 'marine marineblau marino granatowy granatowa marinho',
  rosegold: '',
  ...Object.fromEntries(
    'olive sage terracotta cream teal copper rust mustard charcoal ochre mint amber lavender khaki coral peach lime tan'
      .split(' ')
      .map((c) => [c, '']),
  ),
}
/** shades that belong to the colour behind them, and compounds of some languages that begin with them */
const shades: Record<string, string> = {
  light: 'hell licht clair claro chiaro jasny',
  dark: 'dunkel donker fonce oscuro scuro ciemny escuro',
}

const canonical = new Map(synonyms)
for (const [together, [word, ...more]] of writtenTogether)
  if (word !== undefined && more.length === 0 && !synonyms.has(together)) canonical.set(together, word)
for (const [word, forms] of Object.entries(colours))
  for (const form of [word, ...forms.split(' ')]) if (form) canonical.set(form, word)

const colourWords = new Set(Object.keys(colours))
const plainColours = new Set('black white red green blue yellow orange purple pink brown grey'.split(' '))
/** Whether of two colours beside each other the second only says of which sort the first is: 'navy blue', 'bleu marine' is navy. */
export const isShadeOf = (shade: string, colour: string): boolean =>
  plainColours.has(colour) && !plainColours.has(shade) && !shade.includes(' ')
/** Whether a word, case folded and as it is spelled here, names a colour. */
export const isColour = (word: string): boolean => colourWords.has(canonical.get(word) ?? word)

/** Whether a word, case folded, is another word for something. */
export const isSynonym = (word: string): boolean => canonical.has(word)

const shadeOf = new Map(
  Object.entries(shades).flatMap(([shade, forms]) => [shade, ...forms.split(' ')].map((f) => [f, shade])),
)
/** 'light' or 'dark' where a word is one of their forms; null for others */
export const asShade = (word: string): string | null => shadeOf.get(word) ?? null

/**
 * A word in the one way it is spelled here: colours by their English name, a plural as its singular, one of several spellings.
 *
 * @param word case folded, without accents
 */
export function spelled(word: string): string {
  const base = baseOf(word)
  const root = stem(base)
  const one = canonical.get(word) ?? withShade(word) ?? canonical.get(base) ?? manyOf(word)
  return one ?? (kindOf(root) === null && markOf(root) === null ? withoutEnding(root) : root)
}

/** 'nórdica' and 'nórdico', 'Leinwände' and 'Leinwand': the last vowel of long words goes, where they are no words that tell goods apart. */
const withoutEnding = (word: string): string =>
  word.length > 5 && /[^aeiouy][aeo]$/.test(word) ? word.slice(0, -1) : word

/** 'Uhren', 'Lampen': plurals of German and Dutch, of words that are known. */
const manyOf = (word: string): string | undefined =>
  word.length > 4 && word.endsWith('n')
    ? (synonyms.get(word.slice(0, -1)) ?? synonyms.get(word.slice(0, -2)))
    : undefined

/** 'hellgrau', 'lichtgrijs': a shade and a colour in one. */
function withShade(word: string): string | null {
  for (const [form, shade] of shadeOf) {
    if (!word.startsWith(form) || word.length - form.length < 3) continue
    const colour = canonical.get(word.slice(form.length)) ?? word.slice(form.length)
    if (colourWords.has(colour)) return `${shade} ${colour}`
  }
  return germanEnding.test(word) ? colourOfStem(word.replace(germanEnding, '')) : null
}
const germanEnding = /e[rsnm]?$/
function colourOfStem(root: string): string | null {
  const colour = canonical.get(root)
  return colour !== undefined && colourWords.has(colour) ? colour : null
}

/** German adjectives, told by what makes adjectives of words: 'faltbarer', 'magnetische', 'selbstaufblasendes' */
const germanAdjective = /^(\p{L}{2,}(?:bar|ig|isch|lich|end|haft|sam|los|iert|fest|dicht|ern))e[rsnm]?$/u

/** Plurals and the endings of German and Dutch adjectives go, and American spellings. */
function baseOf(word: string): string {
  if (word.length < 7) return singular(word)
  return singular(word.replace(germanAdjective, '$1').replace(americanEnding, 'is$1').replace(/baar$/, 'bar'))
}

/** The endings of verbs go, and what can be done ('expandable', 'expanding'); what makes another word of it ('grinder') stays. */
function stem(base: string): string {
  const root = base.length > 8 ? base.replace(/e?(?:able|ible)$/, '') : base
  const plain = root.length > 5 ? root.replace(/(?:ing|ed)$/, '') : root
  if (!/[aeiouy]/.test(plain)) return base
  // 'swimming' is of 'swim', 'rolling' of 'roll'
  return plain.length < root.length ? plain.replace(/([bdgmnprt])\1$/, '$1') : plain
}
/** 'galvanized', 'organizer' */
const americanEnding = /iz(e[drs]?|ers|ing|able)$/

for (const [form, word] of synonyms) if (!canonical.has(baseOf(form))) canonical.set(baseOf(form), word)
