export type ListingStatus = 'restricted' | 'needs approval' | 'allowed' | 'unknown'

type Meaning = 'ask' | 'forbid' | 'allow' | 'weak' | 'not'

/** Beginnings of words, in the eight languages that headings are read in, without accents; those of up to four letters are whole words. */
const beginnings: [Meaning, string][] = [
  ['allow', 'approved approuve aprobado approvato goedgekeurd'],
  ['ask', 'approv permission request apply ask demand richiesta aanvraag genehmigung freigabe antrag approbation autorisation aprobacion autorizacion permiso autorizzazione goedkeuring toestemming zgod zgody zgoda aprovacao autorizacao'],
  ['forbid', 'restrict restricc restric forbid prohibit ban banned block bloqu bloccat geblokkeerd zablokowan gated gating deny denied ineligible refus disallow cannot closed declin reject gesperrt sperre verbot einschrank eingeschrankt untersagt interdit restreint prohibid restringid verboden zabron vietat limitat beperk zakazan ograniczon niedozwolon proibid restrit'],
  ['allow', 'allow ok yes free open accept permit eligible fine clear unrestricted ungated unblocked erlaubt darf ja frei zulassig freigegeben autoris oui libre permis autorizad si consentit vendibil autorizzat libero toegestaan mag dozwolon ammess wolno mozna tak sim pode puede liberad'],
  ['weak', 'list listed listing sell verkauft'],
  ['not', 'not no non nothing never without nicht kein keine ohne nein pas sans aucun aucune sin nunca senza nessun nessuna brak niet geen nee zonder nie bez nao sem'],
] // prettier-ignore

const stems = beginnings.flatMap(([meaning, words]) => words.split(' ').map((stem) => ({ meaning, stem })))
const meaningOf = (word: string): Meaning | null =>
  stems.find(({ stem }) => (stem.length <= 4 ? word === stem : word.startsWith(stem)))?.meaning ?? null

const plain = (text: string) => text.normalize('NFD').replace(/\p{M}/gu, '').toLowerCase()

/**
 * What an entry's own words come to. A negation turns the words of its clause: 'not restricted' is allowed, 'not allowed' is restricted, 'no
 * approval needed' is allowed. Words that say nothing of it, or say both, are 'unknown'; leave that must be asked for is 'needs approval'.
 */
export function statusOf(words: string): ListingStatus {
  const clauses = plain(words.slice(0, 500))
    .replace(/n['’]t\b/g, ' not')
    .split(/[()[\],.;:!–—]|\bbut\b/u)
  const told = [...new Set(clauses.map(ofClause))].filter((t) => t !== 'unknown')
  if (told.length <= 1) return told[0] ?? 'unknown'
  return told.includes('needs approval') ? 'needs approval' : 'unknown'
}

function ofClause(clause: string): ListingStatus {
  const told = clause.match(/\p{L}+/gu) ?? []
  const meant = told.map(meaningOf)
  const says = (meaning: Meaning) => meant.includes(meaning)
  if (says('ask')) return says('not') && !says('allow') ? 'allowed' : 'needs approval'
  if (says('forbid') && says('allow')) return 'unknown'
  if (says('forbid')) return says('not') ? 'allowed' : 'restricted'
  // 'list' and 'sell' say that it may only where nothing else says anything
  if (says('allow') || says('weak')) return says('not') ? 'restricted' : 'allowed'
  return told.length > 0 && meant.every((m) => m === 'not') ? 'restricted' : 'unknown'
}
