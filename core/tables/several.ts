/** Unit separator of ISO 646: made for this, and no name of a market or store holds it. */
const separator = '\u001f'

/** Several names as one text of a column. */
export function joinSeveral(names: readonly string[]): string {
  return names.map((name) => name.replaceAll(separator, ' ')).join(separator)
}

/** The names again; none of an empty text. */
export function splitSeveral(text: string): string[] {
  return text === '' ? [] : text.split(separator)
}
