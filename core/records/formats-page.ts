import { recordKinds } from './record-kinds'
import type { Field, FieldType, Language } from './field'

const types: Record<FieldType, string> = {
  text: 'words',
  id: 'identifier; leading zeros survive',
  gtin: 'GTIN of 8, 12, 13 or 14 digits',
  money: 'amount, with or without currency sign',
  count: 'whole number, 0 or more',
  ratio: 'percent, or a ratio',
  rating: 'stars, 0 to 5',
  day: 'date in any usual style',
  currency: 'ISO 4217 code',
  lead: 'days, or a range',
  weight: 'weight with its unit, there or in the heading',
  size: 'three lengths with their unit, there or in the heading',
  list: 'words separated by , ; or |',
  path: 'broad to narrow, separated by / > or |',
  tiers: 'one column a quantity step, or 1:4.71;10:4.20 in one',
}

/** The table of record kinds as a page for people (Markdown); docs/formats.md holds it between two marks. */
export function formatsPage(): string {
  return recordKinds
    .map((kind) => {
      const rows = kind.fields.map(
        (f) => `| ${f.label}${f.required ? ' *' : ''} | ${bar(types[f.type])} | ${knownBy(f)} | ${bar(f.help)} |`,
      )
      return [
        `## ${kind.label}`,
        '',
        `A row is ${kind.row}. Fields marked * must be there.`,
        '',
        '| field | value | headings it is known by, among others | what it is |',
        '|---|---|---|---|',
        ...rows,
      ].join('\n')
    })
    .join('\n\n')
}

/** A few of its headings, some of them from abroad. */
function knownBy(field: Field): string {
  const of = (language: Language, most: number) => (field.headings[language] ?? '').split(', ').slice(0, most)
  const known = [...of('en', 4), ...of('de', 1), ...of('fr', 1), ...of('es', 1)].filter((w) => w !== '')
  return field.type === 'tiers' ? `1-9, 10-49, 50+; ${known.join(', ')}` : [...new Set(known)].join(', ')
}

/** A bar inside a cell would end it. */
function bar(text: string): string {
  return text.replaceAll('|', '\\|')
}
