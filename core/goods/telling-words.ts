/**
 * Words by which titles of eight languages (en de fr es it nl pl pt) tell goods apart, without accents: one entry a meaning, forms of a
 * word together. They are common words of the trade (common practice, no source); how far they carry is measured in docs/estimates.md.
 */

/** Things that come with a good, or are sold for it: a good with one is another than the same without, and than the thing by itself. */
const attached: Record<string, string> = {
  lid: 'lid deckel couvercle tapa coperchio deksel pokrywka tampa',
  cover:
    'cover case sleeve pouch skin etui estuche astuccio estojo hulle schutzhulle bezug uberzug housse coque funda carcasa futeral custodia fodera hoes hoesje pokrowiec capa',
  bag: 'bag tasche tragetasche beutel sac bolsa borsa tas torba saco sacola',
  holder: 'holder mount bracket halter halterung soporte supporto houder uchwyt suporte',
  stand: 'stand stander standfuss socle standaard stojak',
  strap: 'strap correa cinturino pasek',
  filter: 'filter filtre filtro filtr',
  charger: 'charger ladegerat chargeur cargador caricatore caricabatteria oplader ladowarka carregador',
  adapter: 'adapter adaptor adaptateur adaptador adattatore',
  pump: 'pump pumpe pompe bomba pompa',
  nozzle: 'nozzle duse brause spritzpistole buse boquilla ugello',
  gun: 'gun pistole pistolet pistola',
  hose: 'hose hosepipe schlauch tuyau manguera tubo slang',
  liner: 'liner insert einsatz inlay',
  protector: 'protector guard schutz protection proteccion protezione',
  seal: 'gasket seal dichtung joint junta guarnizione pakking uszczelka',
  clamp: 'clamp klemme pince abrazadera morsetto klem',
  tip: 'tip nib spitze',
  blade: 'blade klinge',
  bulb: 'bulb leuchtmittel zarowka gluhbirne ampoule bombilla lampadina',
  head: 'head kopf tete cabezal testina',
  cartridge: 'cartridge kartusche patrone cartouche cartucho cartuccia',
  thermostat: 'thermostat termostato',
  thermometer: 'thermometer thermometre termometro',
  timer: 'timer zeitschaltuhr minuterie temporizador',
  remote: 'remote fernbedienung telecommande mando remoto telecomando afstandsbediening pilot comando',
  fan: 'fan lufter ventilateur',
  camera: 'camera kamera',
  torch: 'torch flashlight taschenlampe linterna torcia zaklamp latarka',
  wheels: 'wheel rollen roulettes ruedas ruote',
  clip: 'clip',
  cushion:
    'cushion pillow oreiller almohada travesseiro kissen sitzkissen polster auflage coussin cojin cuscino kussen poduszka almofada',
  pegs: 'peg hering sardine piqueta picchetto haring sledzie estaca',
  rope: 'rope seil corde cuerda corda touw lina',
}

/** What is put in the place of a part, or fills it again. */
const instead =
  'replacement spare refill recharge rechange repuesto recambio ricambio ricarica vervangend reserve navulling zamiennik zapasowy wklad refil reposicao ersatz nachfullung'

/** Grades of a model: 'K7' and 'K7 Lite' are two goods. */
const grades = 'pro lite mini max plus ultra junior deluxe usba usbb usbc'

/** Which of its sides a good is for. */
const sides: Record<string, string> = {
  front: 'front vorne vorder avant delantero delantera anteriore voor',
  rear: 'rear back hinten hinter ruck arriere trasero trasera posteriore achter',
  left: 'left links gauche izquierdo izquierda sinistro sinistra esquerdo',
  right: 'right rechts droite derecho derecha destro destra direito',
}

/** Sizes of clothes in letters. */
export const letterSizes = new Set('s m l xl xxl xxxl'.split(' '))

/** One of each sort is what a good is: where two titles name different ones, they name different goods. Alike ones are parted by '|'. */
const sorts: Record<string, string> = {
  timber:
    'oak eiche chene|walnut nussbaum noyer noce|beech buche hetre|acacia akazie|pine kiefer pin pino|birch birke|teak|bamboo bambus bambou bambu|maple ahorn|cherry kirsche|ash esche',
  fabric:
    'cotton baumwolle coton algodon cotone katoen katoenen bawelna bawelniany bawelniana bawelniane bawelny algodao|linen leinen lin lino linnen lniany lniana|wool woollen woolen wolle laine lana wol wollen welniany welniana|felt filz feutre fieltro feltro|fleece|velvet samt velours terciopelo velluto|microfibre mikrofaser microfibra|polyester|nylon|leather leder lederne cuir cuero pelle skora skorzany skorzana skorzane couro leren|leatherette kunstleder similicuir polipiel ecopelle kunstleer|plush plusch pluche|silk seide soie seda seta|sisal|jute|canvas',
  matter:
    'steel stainless stahl edelstahl rostfrei inox inoxydable inoxidable inossidabile nierdzewna acier acero acciaio rvs staal stalen stal stalowy stalowa aco|iron eisen gusseisern gusseisen fonte ghisa|aluminium alu alluminio aluminio|glass glas verre vidrio vetro szklo szklany szklana vidro glazen borosilicate|ceramic keramik ceramique ceramica keramiek keramisch ceramiczny ceramiczna|porcelain porzellan porcelaine|plastic kunststoff plastik plastique plastico plastica plastikowy plastikowa|silicone silikon silicona siliconen silikonowy silikonowa silikonowe|marble marmor marbre|paper papier papel carta|cardboard karton carton|rattan|acrylic acryl|titanium titan|carbon|cork kork liege|wood holz bois madera legno hout houten drewno drewniany drewniana drewniane madeira wooden|brass messing laiton|rubber gummi caoutchouc',
  form: 'round rund rond redondo rotondo okragly|oval ovale|square quadratisch carre cuadrado quadrato vierkant|rectangular rechteckig rectangulaire rettangolare|heart herz coeur|star stern etoile|hexagonal',
  drive:
    'electric elektrisch electrique electrico elettrico elektrisk|manual manuell manuel manuale|solar|mechanical mechanisch',
  link: 'bluetooth|wifi wlan|wired corded kabelgebunden filaire|wireless cordless kabellos schnurlos',
  dial: 'digital numerique digitale|analogue analog analogique analogico',
  audience:
    'men man herren homme hombre uomo|women woman lady ladies damen femme mujer donna dames|kid child children kinder enfant nino bambino kind|baby bebe',
  animal:
    'dog hund hunde hond perro cane chien puppy|cat katze katzen chat gato gatto kat|rabbit kaninchen lapin|hamster|bird vogel oiseau|horse pferd cheval|fish fisch poisson',
  vehicle:
    'car auto voiture coche|bike fahrrad velo bicicleta bici fiets|motorbike motorrad moto motorfiets|pram stroller pushchair buggy kinderwagen poussette',
  extent: 'small klein petit pequeno piccolo|medium mittel|large gross grand grande big',
  fold: 'single one einzeln simple enkel singolo|double dual doppel dubbel doble doppio|triple dreifach',
  ruling: 'lined liniert ligne|dotted dot|plain blanko|squared kariert grid',
  share: 'full|half halb',
  length: 'long lang|short kurz court corto',
  width: 'wide breit|narrow schmal slim',
  height: 'high|low',
  finish: 'matte matt|glossy glanzend',
  grain: 'fine|coarse',
  place: 'indoor|outdoor',
  heat: 'hot|cold',
  wear: 'hard|soft',
}

/** What several of one sort are called together, and one word of each: who says 'metal' names no other thing than who says 'steel'. */
const together: Record<string, string> = {
  'metal metall metallo metaal metalen metalico metalica metallico metallique metalowy metalowa':
    'steel iron aluminium brass titanium',
  'wood wooden holz bois madera legno hout houten drewno drewniany drewniana drewniane madeira':
    'oak walnut beech acacia pine birch teak maple cherry ash',
  'pet haustier huisdier mascota': 'dog cat rabbit hamster bird',
}

const byWord = (table: Record<string, string>) =>
  new Map(Object.entries(table).flatMap(([meaning, forms]) => forms.split(' ').map((form) => [form, meaning] as const)))

const attachedWords = byWord(attached)
const others = byWord({ instead, ...sides, ...Object.fromEntries(grades.split(' ').map((g) => [g, g])) })

/** What a word marks that two titles of the same goods must both say: a thing that comes with it, a grade, a side; null for others. */
export const markOf = (word: string): { mark: string; isAttached: boolean } | null => {
  const thing = attachedWords.get(word)
  if (thing !== undefined) return { mark: thing, isAttached: true }
  const mark = others.get(word)
  return mark === undefined ? null : { mark, isAttached: false }
}

const sortNames = Object.keys(sorts)
/** word → the sorts that it is one of, and which: words that mean the same have one number */
interface Kind {
  sort: number
  kind: number
}
const kinds = new Map<string, Kind>()
sortNames.forEach((name, sort) =>
  (sorts[name] as string).split('|').forEach((forms, kind) => {
    const one = { sort, kind }
    for (const form of forms.split(' ')) kinds.set(form, one)
  }),
)
/** @returns the sort that a word is one of, and which of it; null for most words */
export const kindOf = (word: string): Kind | null => kinds.get(word) ?? null

const coveredBy = new Map(
  Object.entries(together).flatMap(([words, covered]) =>
    words.split(' ').map((word) => [word, covered.split(' ').map((w) => kindOf(w))] as const),
  ),
)
/** Whether a word names a sort of things that another is one of: 'metal' and 'steel'. */
export const covers = (word: string, other: string): boolean => {
  const kind = coveredBy.has(word) ? kindOf(other) : null
  return kind !== null && (coveredBy.get(word) ?? []).includes(kind)
}

/** Behind these stands what comes with a good … */
export const withWords = new Set(
  'with w c incl including inkl inklusive mit avec con met z com plus and und et y e en'.split(' '),
)
/** … what it is for … */
export const forWords = new Set('for fur pour para per voor dla compatible fits'.split(' '))
/** … and what it comes without. */
export const withoutWords = new Set('without ohne sans sin senza zonder bez sem excluding excl'.split(' '))
