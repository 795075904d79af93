/**
 * German and Dutch write in one word what other titles write in two ('Strickbezug', 'Strick-Bezug'; 'Solarlichterkette', 'Lichterkette Solar'). What compounds of the
 * trade begin and end with, without accents; common words, no source. What they are made of and what comes with them must agree, so that these parts above all are to
 * be seen.
 */
const firsts = [
  'edelstahl|stahl|baumwoll|leinen|filz|samt|leder|holz|glas(?!s)|keramik|porzellan|kunststoff|silikon|papier|karton|gummi|alu(?!mi)|aluminium|bambus(?!ow)|kiefern|eichen|plusch|velours|neopren|kupfer|messing|wachs|beton|strick',
  'damen|herren|kinder|baby|hunde(?!rt)|katzen|vogel|pferde|auto(?!mat|n|col)|fahrrad|motorrad|kinderwagen|handy|laptop|tablet',
  'garten|kuchen|badezimmer|bade|dusch|wohnzimmer|schlafzimmer|balkon|terrassen|keller|buro|schul|reise|camping|outdoor|strand|sport|fitness|yoga|nacken|nek(?=kuss|warm)|uhren|kosmetik|schmink|rasier|schreibtisch|tisch|wand(?!er)|decken|boden|fenster|nacht|steh|hange|kaffee|wasser(?!dicht|fest)|wein|bier|brot|kase|obst|gemuse|gewurz|salat|pizza|geburtstags|weihnachts|oster|hochzeits',
  'vorder|hinter|ruck(?=sitz|bank|licht)|solar|akku|batterie|teleskop|magnet(?!is|iq)|ersatz|schutz|led(?=lamp|licht|strip|streif|leucht|kerz|band|birn|latern)|mini(?!mal|atur|st|um)|digital|bluetooth|funk|klapp(?!bar)|falt(?!bar)|trag|aufbewahrungs|mikrofaser',
  'katoen(?:en)?|leren|houten|hout|kinder|honden|katten|fiets|tuin|keuken|bad(?=kamer|mat|hand|lak)|douche|muur|vloer|reis|koffie|thee|telefoon|laptop|bureau|verjaardags',
].join('|')

const lasts =
  '(?<!head|hand)set|tasche|halter|halterung|bezug|hulle|deckel|schlauch|stander|pumpe|duse|klinge|kissen|polster|auflage|seil|lampe|leuchte|lichterkette|kette|flasche|becher|schere|messer|matte|decke|tuch|brett|korb|schale|schussel|dose|kiste|regal|teppich|vorhang|handschuhe|socken|uhr|kerze|bursten?|schirm|wagen|rucksack|adapter|filter|ladegerat|kabel|napf|leine|spielzeug|hoes|hoesje|warmer|opener|cleaner|cutter|brush|spiegel|zange|topf|pfanne|haken|streifen|stift|etui|beutel|koffer|netz|zelt|houder|deksel|slang|kussen|lampen?|lampje|doos|zak|kleed|gordijn|plank|fles|beker|schaar|standaard'

const firstPart = new RegExp(`^(${firsts})(?=[a-z]{4})(.+)$`)
const lastPart = new RegExp(`^([a-z]{4,}?)(?:s|n)?(${lasts})(n|en|s)?$`)

/** The parts of a compound; null for what is none, as far as is known here. @param word in small letters, without accents, of seven and more */
export function partsOf(word: string): [string, string] | null {
  if (word.length < 7 || word.length > 40) return null
  const byFirst = firstPart.exec(word)
  if (byFirst) return [byFirst[1] as string, byFirst[2] as string]
  const byLast = lastPart.exec(word)
  return byLast ? [byLast[1] as string, `${byLast[2] as string}${byLast[3] ?? ''}`] : null
}
