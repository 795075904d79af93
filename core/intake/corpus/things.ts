/** Words from which the corpus' files are made: trades, people and places that nothing else in Sickle uses. All invented or generic. */
export type Random = () => number
type Pick = <T>(list: readonly T[]) => T

/** mulberry32, seeded by a text. */
export function randomFrom(text: string): Random {
  let a = 7
  for (const c of text) a = Math.imul(a ^ c.charCodeAt(0), 0x01000193)
  return () => {
    a = (a + 0x6d2b79f5) | 0
    let t = Math.imul(a ^ (a >>> 15), 1 | a)
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296
  }
}

/** nouns and what is said of them, by language */
const trades: Record<string, [string[], string[]]> = {
  en: [
    ['Paring knife', 'Dog lead', 'Bullet notebook', 'Bike bell', 'Soy candle', 'Sewing scissors', 'Phone case', 'Yoga mat', 'Wall clock', 'Wooden train', 'Weekly planner', 'Torque wrench'],
    ['oak handle, 9 cm', 'reflective, 2 m', 'A5 dotted', 'brass', 'fig & cedar', 'left-handed', 'clear, slim', 'non-slip 6 mm', 'silent, 30 cm', 'set of 3', 'printable', 'with case'],
  ],
  de: [
    ['Schälmesser', 'Hundeleine', 'Notizbuch', 'Fahrradklingel', 'Duftkerze', 'Nähschere', 'Handyhülle', 'Yogamatte', 'Wanduhr', 'Holzeisenbahn', 'Katzenkratzbaum', 'Drehmomentschlüssel'],
    ['Eichengriff 9 cm', 'reflektierend, 2 m', 'A5 gepunktet', 'aus Messing', 'Feige', 'für Linkshänder', 'transparent', 'rutschfest 6 mm', 'lautlos 30 cm', '3er-Set', 'grau, 120 cm', 'im Koffer'],
  ],
  fr: [
    ["Couteau d'office", 'Laisse pour chien', 'Carnet pointillé', 'Sonnette de vélo', 'Bougie parfumée', 'Ciseaux de couture', 'Coque de téléphone', 'Tapis de yoga', 'Horloge murale', 'Train en bois'],
    ['manche chêne 9 cm', 'réfléchissante 2 m', 'format A5', 'en laiton', 'figue et cèdre', 'gaucher', 'transparente', 'antidérapant', 'silencieuse 30 cm', 'lot de 3'],
  ],
  es: [
    ['Cuchillo pelador', 'Correa para perro', 'Cuaderno de puntos', 'Timbre de bicicleta', 'Vela aromática', 'Tijeras de costura', 'Funda de móvil', 'Esterilla de yoga', 'Reloj de pared', 'Tren de madera'],
    ['mango de roble', 'reflectante 2 m', 'tamaño A5', 'de latón', 'higo y cedro', 'para zurdos', 'transparente', 'antideslizante', 'silencioso 30 cm', 'juego de 3'],
  ],
  it: [
    ['Spelucchino', 'Guinzaglio per cane', 'Taccuino puntinato', 'Campanello bici', 'Candela profumata', 'Forbici da sarta', 'Cover telefono', 'Tappetino yoga', 'Orologio da parete', 'Trenino in legno'],
    ['manico in rovere', 'riflettente 2 m', 'formato A5', 'in ottone', 'fico e cedro', 'per mancini', 'trasparente', 'antiscivolo', 'silenzioso 30 cm', 'set da 3'],
  ],
  nl: [
    ['Schilmesje', 'Hondenriem', 'Stippenschrift', 'Fietsbel', 'Geurkaars', 'Naaischaar', 'Telefoonhoesje', 'Yogamat', 'Wandklok', 'Houten trein'],
    ['eiken heft 9 cm', 'reflecterend 2 m', 'formaat A5', 'messing', 'vijg en ceder', 'linkshandig', 'doorzichtig', 'antislip', 'stil 30 cm', 'set van 3'],
  ],
  pl: [
    ['Nożyk do obierania', 'Smycz dla psa', 'Notes w kropki', 'Dzwonek rowerowy', 'Świeca zapachowa', 'Nożyce krawieckie', 'Etui na telefon', 'Mata do jogi', 'Zegar ścienny', 'Drewniany pociąg'],
    ['rękojeść z dębu', 'odblaskowa 2 m', 'format A5', 'mosiężny', 'figa i cedr', 'dla leworęcznych', 'przezroczyste', 'antypoślizgowa', 'cichy 30 cm', 'zestaw 3 szt.'],
  ],
  pt: [
    ['Faca de legumes', 'Trela para cão', 'Caderno pontilhado', 'Campainha de bicicleta', 'Vela perfumada', 'Tesoura de costura', 'Capa de telemóvel', 'Tapete de ioga', 'Relógio de parede', 'Comboio de madeira'],
    ['cabo de carvalho', 'refletora 2 m', 'formato A5', 'em latão', 'figo e cedro', 'para canhotos', 'transparente', 'antiderrapante', 'silencioso 30 cm', 'conjunto de 3'],
  ],
} // prettier-ignore

/** Titles of a file, no two alike. */
export function goods(language: string, name: string, random: Random): string[] {
  const [nouns, said] = trades[language] ?? trades.en ?? [[], []]
  const shift = Math.floor(random() * nouns.length) + name.length
  const all = nouns.flatMap((_, i) =>
    [0, 3, 5, 7, 9].map((k) => `${nouns[(i + shift) % nouns.length]} ${said[(i + shift + k) % said.length]}`),
  )
  return all.sort((a, b) => ((a.length * 7 + a.charCodeAt(1)) % 11) - ((b.length * 7 + b.charCodeAt(1)) % 11))
}

const shops = [
  'Alder & Finch',
  'Nordlicht Laden',
  'La Petite Remise',
  'Casa Brezo',
  'Bottega Lume',
  'De Gele Deur',
  'Pod Lipą',
  'Loja da Serra',
  'Copper Kettle Co',
  'Wool Barn',
  'Mint Alley',
  'kleiner_fuchs',
  'atelier-prune',
  'Tidewater Goods',
  'Sparrow Street',
  'Old Mill Supply',
]
const suppliers = [
  'Hartwig Import',
  'Eastgate Trading',
  'Comptoir Valmy',
  'Mayoristas Ebro',
  'Forniture Lario',
  'Groothandel Maas',
  'Hurtownia Wisła',
  'Armazém Douro',
  'Kestrel Wholesale',
]
const brands = [
  'Velmora',
  'Tindrel',
  'Okapi Lane',
  'Brisko',
  'Lumavi',
  'Hollenfels',
  'Pascadou',
  'Zarrow',
  'Quimbo',
  'Fennwick',
  'Arbolito',
  'Mirtella',
  'Stoomvis',
  'Kropka',
  'Ventara',
]
const comments: Record<string, string[]> = {
  en: ['Arrived quickly and well packed.', 'Exactly as described, would buy again', 'Handle came loose after a week.', 'Lovely colour, smaller than I thought'],
  de: ['Kam schnell und gut verpackt an.', 'Genau wie beschrieben, gerne wieder', 'Griff hat sich nach einer Woche gelöst.', 'Schöne Farbe, aber kleiner als gedacht'],
  fr: ['Arrivé vite et bien emballé.', 'Conforme à la description, je recommande', "Le manche s'est détaché.", 'Belle couleur, plus petit que prévu'],
  es: ['Llegó rápido y bien embalado.', 'Tal como se describe, repetiría', 'El mango se soltó en una semana.', 'Color bonito, más pequeño de lo que pensaba'],
  it: ['Arrivato in fretta e ben imballato.', 'Come da descrizione, lo ricomprerei', 'Il manico si è staccato subito.', 'Bel colore, più piccolo del previsto'],
  nl: ['Snel geleverd en goed verpakt.', 'Precies zoals beschreven, aanrader', 'Handvat liet na een week los.', 'Mooie kleur, kleiner dan gedacht'],
  pl: ['Dotarło szybko i dobrze zapakowane.', 'Zgodne z opisem, polecam', 'Rączka odpadła po tygodniu.', 'Ładny kolor, mniejsze niż myślałam'],
  pt: ['Chegou depressa e bem embalado.', 'Tal como descrito, voltava a comprar', 'O cabo soltou-se numa semana.', 'Cor bonita, mais pequeno do que pensava'],
} // prettier-ignore

export function people(kind: string, language: string, pick: Pick): string | null {
  switch (kind) {
    case 's':
      return pick(shops)
    case 's2':
      return `${pick(shops)} ${pick(brands)}`
    case 'S':
      return pick(suppliers)
    case 'b':
      return pick(brands)
    case 'h':
      return pick([
        '@mossandmug',
        '@craftykit',
        '@lena.makes',
        '@el_taller',
        '@petitscoins',
        '@bici.verde',
        '@pan_kropka',
      ])
    case 'txt':
      return pick(comments[language] ?? (comments.en as string[]))
    default:
      return null
  }
}

const countries: Record<string, string[]> = {
  en: ['Ireland', 'Germany', 'France', 'United Kingdom', 'Poland', 'Spain'],
  de: ['Deutschland', 'Österreich', 'Frankreich', 'Polen', 'Niederlande'],
  fr: ['France', 'Belgique', 'Allemagne', 'Espagne', 'Italie'],
  es: ['España', 'Francia', 'Portugal', 'Alemania', 'Italia'],
  it: ['Italia', 'Germania', 'Francia', 'Spagna', 'Austria'],
  nl: ['Nederland', 'België', 'Duitsland', 'Frankrijk'],
  pl: ['Polska', 'Niemcy', 'Czechy', 'Francja', 'Hiszpania'],
  pt: ['Portugal', 'Espanha', 'França', 'Alemanha', 'Brasil'],
}
const paths = [
  'Home/Kitchen/Knives',
  'Pets/Dogs/Leads',
  'Office/Paper',
  'Sport/Bikes/Parts',
  'Home/Candles',
  'Craft/Sewing',
  'Toys/Wood',
]

export function places(kind: string, language: string, pick: Pick): string | null {
  switch (kind) {
    case 'co':
      return pick(countries[language] ?? (countries.en as string[]))
    case 'cc':
      return pick(['IE', 'DE', 'FR', 'GB', 'PL', 'ES'])
    case 'c':
      return 'EUR'
    case 'path':
      return pick(paths)
    case 'tags':
      return pick(['kitchen,knife,oak', 'dog, lead, walk', 'paper, notes', 'bike,bell,brass', 'candle, gift'])
    case 'lead':
      return `${pick([2, 3, 5, 7])}-${pick([8, 10, 14])} ${lead[language] ?? 'days'}`
    case 'kw':
      return `${pick(trades[language]?.[0] ?? [])} ${pick(trades[language]?.[1] ?? [])}`
        .toLowerCase()
        .split(/[, ]+/)
        .slice(0, pick([2, 3, 4]))
        .join(' ')
    default:
      return null
  }
}

const lead: Record<string, string> = {
  de: 'Tage',
  fr: 'jours',
  es: 'días',
  it: 'giorni',
  nl: 'dagen',
  pl: 'dni',
  pt: 'dias',
}
