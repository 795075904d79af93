import { languages, type Field, type Words } from '../../field'

/** The words of a field and, behind them, those that a kind adds. */
export function also(field: Field, more: Words): Words {
  return Object.fromEntries(
    languages.map((language) => [language, [field.headings[language], more[language]].filter(Boolean).join(', ')]),
  )
}
