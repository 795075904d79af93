import { fold } from './heading'

/** What cells of a field say whose values are a few words, in any of the languages; each text is looked for as a whole, without accents. */
const lists = {
  yesNo: 'yes no y n true false ja nein oui non si no nee tak nie sim nao vero falso paid organic',
  verdicts:
    'allowed|restricted|needs approval|approval required|ask first|yes|no|unknown|not allowed|not restricted|prohibited|forbidden|gated|ungated|open|blocked|banned|ok|approved|denied|erlaubt|gesperrt|freigabe notig|verboten|zulassig|nicht erlaubt|genehmigung notig|eingeschrankt|autorise|interdit|sur autorisation|restreint|permis|permitido|restringido|requiere aprobacion|prohibido|autorizado|consentito|vietato|da approvare|limitato|toegestaan|verboden|goedkeuring nodig|beperkt|dozwolone|zakazane|wymaga zgody|ograniczone|proibido|requer aprovacao|restrito|no permitido|nao permitido|allow|deny|eligible|ineligible|not eligible',
  conditions:
    'new|used|refurbished|like new|good|very good|acceptable|open box|for parts|neu|gebraucht|wie neu|generaluberholt|neuf|occasion|reconditionne|comme neuf|nuevo|usado|reacondicionado|como nuevo|nuovo|usato|ricondizionato|come nuovo|nieuw|gebruikt|zo goed als nieuw|nowy|uzywany|nowa|uzywana|jak nowy|novo|usada|nova|recondicionado|como novo',
  signs:
    'positive|neutral|negative|pos|neg|neu|good|bad|positiv|negativ|positif|neutre|negatif|positivo|negativo|neutro|positief|negatief|neutraal|pozytywna|negatywna|neutralna|pozytywny|negatywny|neutralny|+|-|positiva|negativa',
  goods:
    'physical|digital|print on demand|pod|physical goods|download|made to order|physisch|digital|druck auf bestellung|physique|numerique|impression a la demande|fisico|stampa su richiesta|fysiek|digitaal|fizyczny|cyfrowy|fisica|digitale',
  formats:
    'auction|fixed|fixed price|buy now|offer|auktion|festpreis|sofortkauf|enchere|encheres|prix fixe|achat immediat|subasta|precio fijo|asta|prezzo fisso|veiling|vaste prijs|aukcja|kup teraz|leilao|preco fixo',
  clips:
    'clip|live|video|short|stream|livestream|diretta|directo|en direct|direct|transmisja|film|direto|reel|post',
  sorts:
    'brand|phrase|category|item|word|keyword|product|marke|begriff|kategorie|artikel|wort|marque|terme|categorie|mot|marca|palabra|frase|categoria|termino|articulo|marchio|parola|articolo|merk|woord|soort|marka|fraza|kategoria|palavra|termo|artigo',
} as const // prettier-ignore

export type ValueList = keyof typeof lists | 'languages' | 'countries'

const sets = Object.fromEntries(
  Object.entries(lists).map(([name, text]) => [name, new Set(text.split(text.includes('|') ? '|' : ' ').map(fold))]),
)

const locales = ['en', 'de', 'fr', 'es', 'it', 'nl', 'pl', 'pt']
const letters = [...'ABCDEFGHIJKLMNOPQRSTUVWXYZ']

/** Names and codes of countries and languages as the eight languages write them, from the platform's own tables (CLDR). */
export function placeWords(): { countries: Set<string>; languages: Set<string> } {
  const [countries, spoken] = [new Set<string>(['uk', 'usa', 'uae', 'eu']), new Set<string>()]
  for (const locale of locales) {
    const regions = new Intl.DisplayNames(locale, { type: 'region', fallback: 'none' })
    const names = new Intl.DisplayNames(locale, { type: 'language', fallback: 'none' })
    for (const a of letters)
      for (const b of letters) {
        const country = regions.of(a + b)
        if (country) countries.add(fold(country)).add(fold(a + b))
        const language = names.of((a + b).toLowerCase())
        if (language) spoken.add(fold(language)).add(fold(a + b))
      }
  }
  return { countries, languages: spoken }
}

/** Is a cell, folded, one of the words of a list? */
export function isOneOf(list: keyof typeof lists, folded: string): boolean {
  return sets[list]?.has(folded.replaceAll('_', ' ')) ?? false
}
