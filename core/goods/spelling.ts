/** How words of titles are spelled, so that one word is one: colours of eight languages, spellings of two sides of an ocean, plain synonyms. */

const colours: Record<string, string> = {
  black: 'schwarz noir noire negro negra nero nera zwart zwarte czarny czarna czarne preto preta',
  white: 'weiss weiß blanc blanche blanco blanca bianco bianca wit witte bialy biala biale branco branca',
  red: 'rot rouge rojo roja rosso rossa rood rode czerwony czerwona czerwone vermelho vermelha',
  green: 'grun vert verte verde groen groene zielony zielona zielone',
  blue: 'blau bleu bleue azul blu blauw blauwe niebieski niebieska niebieskie',
  yellow: 'gelb jaune amarillo amarilla giallo gialla geel gele zolty zolta amarelo amarela',
  orange: 'arancione oranje pomaranczowy laranja naranja',
  purple: 'lila violett violet violette morado morada viola paars fioletowy roxo',
  pink: 'rosa rose roze rozowy rozowa',
  brown: 'braun marron marrone bruin bruine brazowy brazowa castanho',
  grey: 'gray grau gris grigio grigia grijs grijze szary szara szare cinza',
  beige: '',
  turquoise: 'turkis turquesa turchese turkoois',
  silver: 'silber argento zilver srebrny prateado plata',
  gold: 'golden dore dorado oro goud zloty dourado',
  clear: 'transparent transparente trasparente',
  anthracite: 'anthrazit antracita antracite antraciet',
  natural: 'naturel naturale',
  multicolour: 'multicolor multicolore mehrfarbig bunt meerkleurig kolorowy multicoloured colourful',
  burgundy: 'bordeaux bordo',
  ivory: 'elfenbein ivoire marfil avorio',
  ...Object.fromEntries(
    'olive sage terracotta cream navy teal copper rust mustard charcoal ochre mint amber lavender khaki coral peach lime tan'
      .split(' ')
      .map((c) => [c, '']),
  ),
}
/** shades that belong to the colour behind them, and compounds of some languages that begin with them */
const shades: Record<string, string> = {
  light: 'hell licht clair claro chiaro jasny',
  dark: 'dunkel donker fonce oscuro scuro ciemny escuro',
}

/** What is one word, spelled or said otherwise; common practice, no source. */
const synonyms: Record<string, string> = {
  bike: 'bicycle cycle cycling',
  motorbike: 'motorcycle',
  leash: 'lead',
  tyre: 'tire',
  aluminium: 'aluminum',
  fibre: 'fiber',
  microfibre: 'microfiber',
  litre: 'liter',
  metre: 'meter',
  licence: 'license',
  jewellery: 'jewelry',
  mould: 'mold',
  orthopaedic: 'orthopedic',
  diaper: 'nappy nappies',
  organiser: 'organizer',
  screen: 'display',
  fridge: 'refrigerator',
  chopping: 'cutting',
  fold: 'foldable folding collapsible foldaway',
  adjust: 'adjustable',
  extend: 'extendable telescopic',
  poo: 'poop',
}

const canonical = new Map<string, string>()
for (const table of [colours, synonyms])
  for (const [word, forms] of Object.entries(table))
    for (const form of [word, ...forms.split(' ')]) if (form) canonical.set(form, word)

const colourWords = new Set(Object.keys(colours))
/** Whether a word, case folded and as it is spelled here, names a colour. */
export const isColour = (word: string): boolean => colourWords.has(canonical.get(word) ?? word)

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
  return canonical.get(word) ?? withShade(word) ?? canonical.get(stem(word)) ?? stem(word)
}

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
const germanAdjective = /^(\p{L}{2,}(?:bar|ig|isch|lich|end|haft|sam|los|iert|fest|dicht))e[rsnm]?$/u

/** Plurals, the endings of verbs and those of German adjectives go; what makes another word of it ('grinder') stays. */
function stem(word: string): string {
  if (word.length > 6) word = word.replace(germanAdjective, '$1')
  if (word.length > 4 && word.endsWith('ies')) return `${word.slice(0, -3)}y`
  if (word.length > 4 && /(?:ch|sh|x|ss)es$/.test(word)) return word.slice(0, -2)
  if (word.length > 3 && word.endsWith('s') && !/(?:ss|us|is)$/.test(word)) return word.slice(0, -1)
  if (word.length > 6 && word.endsWith('iser')) return word
  if (word.length > 6 && word.endsWith('izer')) return `${word.slice(0, -4)}iser`
  const root = word.length > 5 ? word.replace(/(?:ing|ed)$/, '') : word
  return /[aeiouy]/.test(root) ? root : word
}
