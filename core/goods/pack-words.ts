import { withoutAccents } from './title-patterns'

/** Words by which titles of eight languages (en de fr es it nl pl pt) say how many pieces are in a pack; each as a part of a pattern. */

/** numbers in words, by what they mean; forms of a number together */
const numberWords: Record<number, string> = {
  2: 'two|zwei|deux|dos|due|twee|dwa|dwie|dois|duas',
  3: 'three|drei|trois|tres|tre|drie|trzy|três',
  4: 'four|vier|quatre|cuatro|quattro|cztery|quatro',
  5: 'five|fünf|cinq|cinco|cinque|vijf|pięć',
  6: 'six|sechs|seis|sei|zes|sześć',
  7: 'seven|sieben|sept|siete|sette|zeven|siedem|sete',
  8: 'eight|acht|huit|ocho|otto|osiem|oito',
  9: 'nine|neun|neuf|nueve|nove|negen|dziewięć',
  10: 'ten|zehn|dix|diez|dieci|tien|dziesięć|dez',
  12: 'twelve|zwölf|douze|doce|dodici|twaalf|dwanaście|doze',
  20: 'twenty|zwanzig|vingt|veinte|venti|twintig|dwadzieścia|vinte',
}
const meaning = new Map(
  Object.entries(numberWords).flatMap(([n, forms]) =>
    forms.split('|').map((form) => [withoutAccents(form), Number(n)] as const),
  ),
)
export const numberWord = [...meaning.keys()].join('|')

/** @param text a figure, or one of the number words without accents */
export function toNumber(text: string | undefined): number {
  return meaning.get(text ?? '') ?? Number(text)
}

/** What holds pieces and is named with how many: 'boîte de 12', 'Karton mit 12'. */
export const container = [
  'job ?lot|multipack|pack|packs|pk|sets?|lots?|box|boxes|bundle|bag|case|bulk|tin|tub|carton|packet',
  'packung(?:en)?|päckchen|pakete?|kartons?|schachteln?|beutel|dosen?|tüten?',
  'boîtes?|ensembles?|sachets?|sacs?(?! à dos)|jeux?|paquets?|étuis?',
  'paquetes?|juegos?|cajas?|lotes?|bolsas?|bolsitas?|sacos?|estuches?|conjuntos?',
  'confezion[ei]|scatol[ae]|pacc[oh]i?|lott[oi]|bust[ae]|sacchett[oi]',
  'rolls?|rollen?|rouleaux?|rollos?|rotol[oi]|rol|rolk[ai]|rolos?',
  'doos|doosjes?|dozen van|pakjes?|pak|pakken|zak|zakken|zakjes?|verpakking(?:en)?|blik(?:ken)?',
  'zestaw(?:y|ów)?|komplet(?:y|ów)?|kpl\\.?|opakowa(?:nie|nia|ń)|opak\\.?|op\\.|pudełk[oa]|paczk[ai]|wor(?:ek|ki)',
  'caixas?|kits?|jogos?|embalage(?:m|ns)|pacotes?|saquetas?',
].join('|')
/** Those that may stand right before their number: 'Zestaw 6 szklanek'. */
export const bareContainer =
  'packs?|sets?|lots?|zestaw|komplet|kpl\\.?|opakowanie|opak\\.?|confezione|conf\\.?|doos|caixa|karton|(?:voordeel|voorraad|familie)pak|(?:spar|vorteils?|familien|vorrats)pack:?|(?:value|bulk|family) pack:?'
/** words between a container and its number */
export const ofWord = 'of|à|a|aus|mit|von|de|d’|da|di|con|van|met|z|po|com|para'

/** A piece, as a unit of its own behind a number. */
export const piece = [
  'pcs?|pieces?|count|ct|units?|pk|pks|pkts?|packs?',
  'stücke?|stk|st(?=\\.|\\b)|er[ -]?(?:set|pack|packung|karton)',
  'pièces?|pces|unités?',
  'unidad(?:es)?|uds?|uns?|unid|piezas?|pzs?',
  'pezz[io]|pz',
  'stuks?|stucks?',
  'szt(?:uk[aię]?)?',
  'peças?',
  'rollen|rouleaux|rollos|rotoli|rolki|rolos|rolls',
].join('|')
/** A set of different pieces: '16-teilig', '7 piece'. */
export const parts = 'teilig(?:e[snr]?)?|delige?|piece|tlg'

/** A number of packs, and the container that is counted: '10er Pack', '2-pak'. */
export const packed = 'packs?|pk|pks|pkts?|multipacks?|pak|er[ -]?(?:set|pack|packung|box|karton)'

export const dozen = 'dozen|dutzend|douzaine|docena|dozzina|dozijn|tuzin|dúzia'
/** 'para' is Polish where it begins a title or is counted, and 'for' elsewhere */
export const pair =
  'pairs?|prs|paare?|paires?|par|pares|coppi[ae]|paio|paia|paar|para(?<=(?:^|\\d )para)(?= \\p{L}+(?:k|ek|ic|ów|ki)\\b)|pary'
/** packs named by their number in one word, and it */
export const namedPacks: [string, number][] = [
  ['(?:twin|double|duo)[ -]?(?:pack|set)|doppelpack|zweierpack|duopack', 2],
  ['triple[ -]?pack|dreierpack|trio of|trio', 3],
  ['viererpack', 4],
  ['fünferpack', 5],
  ['sechserpack', 6],
  ['zehnerpack', 10],
]
/** given away on top: '8 + 4 free' */
export const free = 'free|gratis|offerts?|omaggio|grátis|kostenlos'

/** Things that come in twos and are sold as one, in the eight languages. */
export const pairwise = [
  'gloves|socks|scissors|shears|secateurs|snips|loppers|boots|clogs|slippers|shoes|trainers|trousers|jeans|shorts|leggings|tights|pliers|tweezers|headphones|earphones|earbuds|goggles|glasses|laces|binoculars|earrings|insoles',
  '\\p{L}*(?:socken|schuhe|stiefel)|strümpfe|ohrringe|schnürsenkel|hausschuhe|einlegesohlen',
  'chaussettes|gants|chaussures|bottes|ciseaux|lacets|lunettes|chaussons',
  'calcetines|guantes|zapatos|botas|tijeras|cordones|gafas|zapatillas',
  'calze|calzini|guanti|scarpe|stivali|forbici|lacci|occhiali|ciabatte',
  '\\p{L}*(?:sokken|schoenen|laarzen)|veters|pantoffels',
  'skarpet(?:ki|ek|y)?|rękawic(?:z(?:ki|ek)|e)?|buty|butów|sznurowadła|nożyczki|okulary|kapcie',
  'meias|luvas|sapatos|botas|tesouras|atacadores|óculos|chinelos',
].join('|')

/** One thing that is made of as many pieces as its title says. */
export const madeOfPieces =
  'jigsaw|puzzles?|puzzels?|puzles?|rompecabezas|quebra-cabeças?|casse-têtes?|układanka|bettwäsche|bettgarnitur|werkzeugk(?:offer|asten)|tool ?(?:kit|box)|building (?:blocks?|tiles?)|magnetic (?:building )?tiles|stacking (?:tower|blocks)|marble run|skittles|ninepins|kegelspiel|quilles|birilli|bolos|kręgle|kegelspel|baustein\\p{L}*|klemmbaustein\\p{L}*|construction set'

/** Things that are told by how many times they make larger: '10x loupe'. */
export const magnifying =
  '\\p{L}*magnif\\p{L}*|loupe|lup[ae]|lente|\\p{L}*zoom|\\p{L}*(?:scope|skop|scopio|scópio)|binoculars?|fernglas|jumelles|prismáticos|binocolo|verrekijker|lornetka|vergrootglas|vergrößerung|lens'

/** What a leading figure may count within one thing, so that it is no pack: 3 tier stand, 5 in 1 tester. */
export const within =
  '(?:tier|in|inch|cell|pocket|compartment|port|head|way|arm|ply|drawer|shelf|seater|cup|step|layer|hole|leg|wick|tube|section|hour|litre|liter|gallon|foot|panel|prong|tine|speed|watt|volt|string|key|man|star|bit|piece|thread|tc|magnif\\p{L}*|(?:day|week|month|year|colour|color|page|card|minute|second)s?|farben|tage|couleurs|jours|colores|dias|colori|giorni|kleuren|dagen|kolor(?:y|ow)|dni|cores)'
