import { singular } from './singular'

/**
 * Two words that are one thing: what stands for them, then the ways in which titles say it, without accents. Words of the trade (common practice,
 * no source); how far they carry is measured in docs/estimates.md.
 */
const otherWords: Record<string, string> = {
  hose: 'hose pipe',
  nozzle: 'spray gun|spray nozzle|hose nozzle',
  aquarium: 'fish tank',
  stringlight: 'fairy light|string light',
  planter: 'flower pot|plant pot|pot fleur',
  bin: 'cubo basura|caixote lixo|trash can|garbage can|waste bin|rubbish bin|dust bin',
  'bin bag': 'garbage bag|trash bag|bin bag|bin liner|refuse sack',
  'toiletry bag': 'wash bag',
  'watch strap': 'watch band',
  'saddle pad': 'saddle cloth',
  leatherette: 'faux leather|pu leather|imitation leather|vegan leather|synthetic leather|artificial leather',
  steel:
    'stainless steel|acier inoxydable|acier inox|acero inoxidable|acciaio inox|aco inox|aco inoxidavel|stal nierdzewna|roestvrij staal',
  iron: 'cast iron',
  carbon: 'carbon fibre|carbon fiber',
  memoryfoam: 'memory foam|memory schaum|mousse memoire|espuma memoria|espuma viscoelastica',
  makeup: 'make up',
  handmade: 'hand made|fait main',
  remote: 'remote control|controlo remoto|controle remoto|mando distancia',
  'handheld showerhead': 'hand shower|handheld shower',
  showerhead: 'shower head',
  nonslip: 'anti slip|non slip|slip resistant|non skid|anti skid|anti rutsch',
  wipeable: 'wipe clean',
  phone: 'cell phone|mobile phone|smart phone',
  'phone holder': 'phone stand|phone mount',
  'tablet holder': 'tablet stand|tablet mount',
  pram: 'push chair',
  teatowel: 'tea towel|dish towel|dish cloth|kitchen towel',
  'cookie cutter': 'cookie cutter|biscuit cutter',
  'baking tray': 'baking tray|baking sheet|cookie sheet',
  'clothes peg': 'clothes peg|clothes pin',
  airer: 'clothes airer|clothes horse|clothes rack',
  'bedside table': 'night stand|bedside table',
  'photo frame': 'picture frame|photo frame',
  'extension cable': 'extension lead|extension cord',
  'spirit level': 'spirit level|bubble level',
  'tape measure': 'tape measure|measuring tape',
  'box cutter': 'utility knife|box cutter',
  'cable tie': 'cable tie|zip tie',
  headtorch: 'head torch|head lamp|head light',
  hexkey: 'allen key|hex key',
  bodysuit: 'body suit|baby grow|baby vest',
  'plush toy': 'soft toy|cuddly toy|stuffed animal|stuffed toy|plush toy',
  'building block': 'building block|building brick',
  'pencil case': 'pencil case|pencil pouch|pen case',
  'wrapping paper': 'gift wrap|wrapping paper',
  'waist bag': 'bum bag|fanny pack|waist bag|belt bag|waist pack',
  'tote bag': 'tote bag|shopping bag',
  raincoat: 'rain coat|rain jacket',
  bathrobe: 'bath robe|dressing gown',
  headband: 'hair band|head band|alice band',
  'nail polish': 'nail polish|nail varnish',
  'hair dryer': 'hair dryer|blow dryer',
  'curling iron': 'curling iron|curling tong|curling wand',
  'sleep mask': 'sleep mask|eye mask|sleeping mask',
  'cool box': 'cool box|cooler box|ice chest',
  parasol: 'garden umbrella|patio umbrella',
  'poo bag': 'poo bag|poop bag|waste bag',
  'cat tree': 'cat tree|cat tower',
  'scratching post': 'scratching post|scratch post',
  'litter box': 'litter tray|litter box',
  bowl: 'food bowl|feeding bowl',
  'charging cable': 'charger cable|charging lead|charging cord',
  'bottle holder': 'bottle cage|bottle holder',
  dashcam: 'dash cam|dashboard camera',
  'number plate': 'number plate|license plate|licence plate',
  'wiper blade': 'wiper blade',
  moneybox: 'money box|piggy bank',
  'duvet cover': 'duvet cover|quilt cover',
  'skipping rope': 'jump rope|speed rope',
  canopener: 'can opener|tin opener',
  corkscrew: 'wine opener|bottle corkscrew',
  'baking tin': 'cake tin|cake pan|baking tin|baking pan',
  'bread bin': 'bread bin|bread box',
  'oven glove': 'oven glove|oven mitt',
  'table mat': 'place mat|table mat',
  doormat: 'door mat|entrance mat|welcome mat',
  'weed mat': 'weed mat|weed membrane|landscape fabric',
  'storage box': 'storage box|storage bin|storage container',
  'travel mug': 'travel mug|thermal mug|coffee tumbler',
  'insulated bottle': 'vacuum flask|thermos flask|insulated bottle|thermos bottle|vacuum bottle',
  'safety glass': 'safety glass|safety goggle',
  powerbank: 'portable charger',
  backpack: 'sac dos',
  keyring: 'porte cle|porta chave|key fob',
  lunchbox: 'boite lunch|boite repas',
  rosegold: 'rose gold|oro rosa|or rose|ouro rosa|rose goud',
  'resistance band': 'resistance band|exercise band|fitness band|workout band|stretch band',
  tripod: 'tripod stand',
  wall: 'wall mounted',
  ceiling: 'ceiling mounted',
  comba: 'cuerda saltar',
  vacuum: 'vacuum cleaner',
  bath: 'salle bain',
}

/** Words that are written in one or in two. */
const inTwo =
  'power bank|sun shade|night light|smart watch|note book|back pack|lunch box|tool box|tooth brush|ear phone|ear bud|head phone|touch screen|key ring|key board|bath room|bath tub|wind screen|screw driver|flash light|hand bag|bird house|candle stick|table cloth|cook ware|work bench|high chair|path way|pruning shear|key chain|water proof|hour glass|wrist watch|tea pot|wall paper|book mark|sweat shirt|wheel barrow|skate board|egg cup|wall clock|hand warmer|eye lash|foot rest|arm rest|head rest|sun glass|snow ball|book shelf|book end|tea light|bed side|table ware|play mat|dish washer|wine glass|snow board|surf board|ham mock|neck lace|ear ring|brief case|suit case|pillow case|rain bow|butter fly|dino saur|foot ball|basket ball|hand saw|lap top|desk top|web cam|head set|micro wave|air tight|leak proof|shock proof|dust proof'

const separately = /[ |]/
const pairsOf = (forms: string) => forms.split('|').map((pair) => pair.split(separately) as [string, string])

/** First word → second word in the singular → the words that stand for both. */
export const phrases: ReadonlyMap<string, ReadonlyMap<string, readonly string[]>> = (() => {
  const found = new Map<string, Map<string, readonly string[]>>()
  const put = ([first, second]: [string, string], words: readonly string[]) => {
    const seconds = found.get(first) ?? new Map<string, readonly string[]>()
    found.set(first, seconds.set(singular(second), words))
  }
  for (const pair of pairsOf(inTwo)) put(pair, [pair.join('')])
  // an X frame is no Z frame
  for (const letter of 'abcdefghijklmnopqrstuvwxyz')
    for (const form of ['frame', 'shape']) put([letter, form], [letter + form])
  for (const [words, forms] of Object.entries(otherWords))
    for (const pair of pairsOf(forms)) put(pair, words.split(' '))
  return found
})()

/** Both words of a phrase in one → the words that stand for them. */
export const writtenTogether: ReadonlyMap<string, readonly string[]> = new Map(
  [...phrases].flatMap(([first, seconds]) => [...seconds].map(([second, words]) => [first + second, words] as const)),
)
