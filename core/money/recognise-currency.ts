/** Signs that mean one currency wherever they are used. */
const sure: Record<string, string> = {
  '€': 'EUR',
  '£': 'GBP',
  '₹': 'INR',
  '₩': 'KRW',
  '₺': 'TRY',
  '₽': 'RUB',
  '₪': 'ILS',
  '₫': 'VND',
  '₴': 'UAH',
  zł: 'PLN',
  Kč: 'CZK',
}
/** Signs that several countries share: the commonest, to be asked about. */
const shared: Record<string, string> = { $: 'USD', '¥': 'JPY', kr: 'SEK', Fr: 'CHF' }

export interface FoundCurrency {
  currency: string
  /** true when the sign or code leaves no doubt */
  sure: boolean
}

const codes = new Set(Intl.supportedValuesOf('currency'))

/** Finds an ISO 4217 code or a currency sign in a heading, a note or a cell; null where there is none. */
export function recogniseCurrency(text: string): FoundCurrency | null {
  for (const word of text.match(/(?<![\p{L}])[A-Z]{3}(?![\p{L}])/gu) ?? []) {
    if (codes.has(word)) return { currency: word, sure: true }
  }
  for (const [sign, currency] of Object.entries(sure)) if (text.includes(sign)) return { currency, sure: true }
  for (const [sign, currency] of Object.entries(shared)) {
    const found = sign.length === 1 ? text.includes(sign) : new RegExp(`(?<!\\p{L})${sign}(?!\\p{L})`, 'u').test(text)
    if (found) return { currency, sure: false }
  }
  return null
}

/** Is this a currency code that exists? */
export function isCurrencyCode(text: string): boolean {
  return codes.has(text)
}
