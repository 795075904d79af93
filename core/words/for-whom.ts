import { stemOf } from './title-words'

/**
 * Words that by themselves say whom goods are for or when they are given: family, callings, keepers of animals, feasts and turns of life.
 * Common words of eight languages, from memory; what several words say together needs no list.
 */
const words: readonly string[] = `
mum mom mother dad father grandad grandpa grandfather grandma nan nana grandmother parents sister brother aunt uncle niece nephew cousin
daughter wife husband girlfriend boyfriend bride groom bridesmaid godmother godfather godparent twins baby newborn toddler kids children
teenager student graduate senior teacher nurse doctor midwife dentist firefighter police soldier veteran farmer chef baker barista
coach engineer lawyer accountant librarian hairdresser mechanic electrician plumber carpenter builder driver trucker sailor
fisherman angler hunter hiker climber runner cyclist swimmer golfer camper traveller photographer musician guitarist drummer singer dancer
artist painter knitter quilter potter writer gamer birdwatcher beekeeper boss colleague neighbour volunteer vegan
christmas easter halloween thanksgiving valentine hanukkah ramadan diwali birthday anniversary wedding engagement christening
baptism communion confirmation graduation retirement farewell housewarming exam holiday funeral memorial sympathy pregnancy maternity
mama papa oma opa schwester bruder tante onkel nichte neffe tochter sohn braut bräutigam trauzeugin trauzeuge patentante patenonkel lehrer
lehrerin krankenschwester hebamme arzt ärztin feuerwehr bauer gärtner koch kollegin kollege nachbarn weihnachten ostern geburtstag hochzeit
verlobung taufe kommunion konfirmation abschied ruhestand rente einzug richtfest muttertag vatertag einschulung abitur
maman papi mamie soeur frère marraine parrain maîtresse maître infirmière médecin pompier jardinier collègue noël pâques anniversaire mariage
fiançailles baptême retraite naissance rentrée
madre padre abuela abuelo hermana hermano madrina padrino maestra profesora enfermera médico bombero navidad cumpleaños boda bautizo jubilación
nonna nonno sorella fratello maestra infermiera natale compleanno matrimonio battesimo pensione
moeder vader zus broer peettante leraar juf verpleegkundige kerst verjaardag bruiloft doop pensioen afscheid
babcia dziadek siostra brat nauczycielka pielęgniarka święta urodziny ślub chrzest emerytura
avó avô irmã irmão professora enfermeira natal aniversário casamento batizado aposentadoria
`
  .trim()
  .split(/\s+/)

const stems: ReadonlySet<string> = new Set(words.map(stemOf))

/** @param stem of a word, as title runs have it */
export const saysForWhom = (stem: string) => stems.has(stem)
