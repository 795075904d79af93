import { partsOf } from './compounds'

test.each([
  ['strickbezug', 'strick bezug'],
  ['edelstahlflasche', 'edelstahl flasche'],
  ['fahrradsattel', 'fahrrad sattel'],
  ['lautsprecherkabel', 'lautsprecher kabel'],
  ['stoelkussens', 'stoel kussens'],
  ['hantelset', 'hantel set'],
  ['ledlampe', 'led lampe'],
  ['hundeleine', 'hunde leine'],
])('%s is of two words', (word, parts) => expect(partsOf(word)?.join(' ')).toBe(parts))

// they begin or end like one, and are none
test.each([
  ...['automatic', 'wanderschuhe', 'hundert', 'glasses', 'magnetisch', 'minimalist', 'solarium', 'leder', 'ledig', 'wasserdicht', 'klappbar'],
  ...['headset', 'handset', 'measuring', 'string', 'doormat', 'format', 'becher', 'tasche', 'bag', 'x'.repeat(41)],
])('%s is one word', (word) => expect(partsOf(word)).toBeNull()) // prettier-ignore
