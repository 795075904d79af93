const begins = (inside: string) => new RegExp(`(?<!\\p{L})(?:${inside})`, 'iu')

/** What only goods say that run on electricity. */
const says = begins(
  'electric(?!al tape)|elektr|électr|electr|eléctr|elettr|elétr|elektryczn|rechargeable|recargable|recargável|ricaricabil|oplaadba|wiederaufladbar|aufladbar|akku(?!muff)|cordless|led(?!\\p{L})|leds|usb|bluetooth|solar|słoneczn|solaire|zonne|battery (?:operated|powered)|batteriebetrieben|à piles|a pilas|a batteri[ae]|op batterij|na bateri|plug in|mains powered|ultrasonic|ultraschall',
)
/** Watts, volts and charge. */
const figures = /(?<![\p{L}\d])\d+(?:[.,]\d+)?\s?(?:w|watts?|v|volts?|mah|lumens?|lm)(?![\p{L}\d])/iu
/** Things that always do. */
const things = begins(
  'hair ?dryer|haartrockner|föhn|sèche-cheveux|secador de (?:pelo|cabelo)|asciugacapelli|haardroger|suszarka do włos|robot|vacuum cleaner|hoover|staubsauger(?!beutel)|aspirateur|aspiradora?|aspirapolvere|stofzuiger(?!zak)|odkurzacz|aspirador|kettle, gooseneck|wasserkocher|waterkoker|toaster|grille-pain|tostadora|tostapane|broodrooster|toster|torradeira|blender|mixer|mixeur|batidora|frullatore|liquidificador|smart ?watch|headlamp|speaker|altavoz|lautsprecher|enceinte|głośnik|luidspreker|coluna portátil|charger|ladegerät|chargeur|cargador|caricatore|oplader|ładowark|carregador|power ?bank|monitor|camera|kamera|caméra|air fryer|heated|massage gun|sewing machine|nähmaschine|doorbell wireless|fairy lights|nachtlicht|trapano|bohrmaschine|perceuse|taladro|wiertark|ventilat|ventilador|ventoinha|heat gun|glue gun',
)
/** What goes with such a thing, or is for it. */
const goesWith = begins(
  'holder|stand(?!\\p{L})|strap|bags?(?!\\p{L})|liners?|case(?!\\p{L})|cover|bits|sticks|refill|organi[sz]er|paper|manual(?!\\p{L})|mechanical|mount|halter|halterung|beutel|hülle|filter|soporte|funda|supporto|custodia|punte|houder|zakken|uchwyt|etui|suporte|capa(?!\\p{L})|support(?!\\p{L})|housse|sacs?(?!\\p{L})|hand-?(?!\\p{L})|for (?:aa|phones?)',
)

/**
 * Does it run on electricity, by its words? Of cheap electrics about one in ten comes back (common practice, no source), so a sample is
 * looked at before a lot is bought. How often that is right stands in docs/checks.md.
 */
export function isElectric(title: string): boolean {
  if (says.test(title) || figures.test(title)) return true
  return things.test(title) && !goesWith.test(title)
}
