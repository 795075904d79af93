/** What Harrow Quay Garden Post has settled once: fees of its markets, rates, its own costs. Money as decimal text. */
export const demoSchedules = [
  schedule('Marrowgate', 'EUR', [
    fee('sale', 'Market fee', 'market', { percent: 12, min: '0.30' }),
    fee('payment', 'Payment fee', 'payment', { base: 'price and postage', percent: 1.9, fixed: '0.25' }),
  ]),
  schedule('Gavelhop', 'GBP', [
    fee('sale', 'Final sale fee', 'market', {
      base: 'price and postage',
      percent: 11.5,
      fixed: '0.30',
      steps: [{ from: '1000.00', percent: 3 }],
    }),
    fee('listing', 'Listing fee', 'listing', { fixed: '0.35', per: 'listing' }),
    fee('payment', 'Payment fee', 'payment', { base: 'price and postage', percent: 2.2 }),
  ]),
  schedule('Fernhand', 'EUR', [
    fee('sale', 'Market fee', 'market', { base: 'price and postage', percent: 6.5 }),
    fee('listing', 'Listing fee', 'listing', { fixed: '0.18', per: 'order' }),
    fee('payment', 'Payment fee', 'payment', { base: 'price and postage', percent: 3, fixed: '0.30' }),
  ]),
  schedule('Loopreel', 'USD', [
    fee('sale', 'Market fee', 'market', { percent: 8 }),
    fee('creator', 'Creator commission', 'market', { percent: 6, withTax: false }),
    fee('payment', 'Payment fee', 'payment', { base: 'price and postage', percent: 2.5, fixed: '0.10' }),
  ]),
  schedule('Openstall', 'EUR', [
    fee('shop', 'Shop rent', 'market', { fixed: '29.00', per: 'month' }),
    fee('payment', 'Payment fee', 'payment', { base: 'price and postage', percent: 1.6, fixed: '0.25' }),
  ]),
]

export const demoRates = [
  { from: 'GBP', to: 'EUR', rate: 1.1628, day: '2026-05-29' },
  { from: 'USD', to: 'EUR', rate: 0.9174, day: '2026-05-29' },
]

/** Goods from within the union pay nothing on their way in; others by the cost rules. */
export const demoImports = ['IE', 'DE', 'NL', 'PL'].map((origin) => ({ origin, dutyRatio: 0, importTaxRatio: 0 }))

/** Registered for tax at 23 %; buys small lots; posts from home. Money in EUR as decimal text, ratios plain. */
export const demoCosts = {
  homeCurrency: 'EUR',
  taxRatio: 0.23,
  pricesIncludeTax: true,
  orderQuantity: 10,
  postageOut: '2.40',
  packing: '0.30',
  returnRatio: 0.03,
  costPerReturn: '2.40',
  recoveredRatio: 0.5,
  feesRefundedRatio: 0.8,
  importTaxRatio: 0.23,
  dutyRatio: 0.03,
  salesPerListing: 20,
  salesPerMonth: 60,
  minProfit: '2.00',
  step: '0.01',
}

interface Some {
  base?: 'price' | 'price and postage'
  withTax?: boolean
  percent?: number
  fixed?: string
  min?: string
  steps?: { from: string; percent: number }[]
  per?: 'order' | 'item' | 'listing' | 'month'
}

function fee(id: string, label: string, kind: 'market' | 'payment' | 'listing', some: Some) {
  return {
    id,
    label,
    kind,
    base: 'price',
    withTax: true,
    percent: 0,
    fixed: '0.00',
    min: null,
    max: null,
    steps: [],
    stepsApply: 'marginal',
    per: 'order',
    ...some,
  }
}

function schedule(market: string, currency: string, lines: ReturnType<typeof fee>[]) {
  return { format: 'sickle-fees', version: 1, market, currency, validFrom: '2026-01-01', lines }
}
