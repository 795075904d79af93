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
/** Dollars, pounds and their like that say whose they are: looked for first, as they hold a sign that several share. */
const named: Record<string, string> = {
  US$: 'USD',
  C$: 'CAD',
  CA$: 'CAD',
  A$: 'AUD',
  AU$: 'AUD',
  NZ$: 'NZD',
  HK$: 'HKD',
  S$: 'SGD',
  R$: 'BRL',
  NT$: 'TWD',
  MX$: 'MXN',
}
/** Signs that several countries share: the commonest, to be asked about. */
const shared: Record<string, string> = { $: 'USD', '¥': 'JPY', kr: 'SEK', Fr: 'CHF' }

export interface FoundCurrency {
  currency: string
  /** true when the sign or code leaves no doubt */
  sure: boolean
}

/** a currency stands near the beginning of what it is said in */
const mostLooked = 300

const codes = new Set(Intl.supportedValuesOf('currency'))

/** Finds an ISO 4217 code or a currency sign in a heading, a note or a cell; null where there is none. */
export function recogniseCurrency(text: string): FoundCurrency | null {
  const start = text.slice(0, mostLooked)
  for (const word of start.match(/(?<!\p{L})[A-Z]{3}(?!\p{L})/gu) ?? []) {
    if (codes.has(word)) return { currency: word, sure: true }
  }
  for (const [, sign] of start.matchAll(/(?<!\p{L})([A-Z]{1,2} ?\$)/gu)) {
    const currency = named[(sign ?? '').replace(' ', '')]
    if (currency) return { currency, sure: true }
  }
  for (const [sign, currency] of Object.entries(sure)) if (start.includes(sign)) return { currency, sure: true }
  for (const [sign, currency] of Object.entries(shared)) {
    const found = sign.length === 1 ? start.includes(sign) : new RegExp(`(?<!\\p{L})${sign}(?!\\p{L})`, 'u').test(start)
    if (found) return { currency, sure: false }
  }
  return null
}

/** Is this a currency code that exists? */
export function isCurrencyCode(text: string): boolean {
  return codes.has(text)
}
