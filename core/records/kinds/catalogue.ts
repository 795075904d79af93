import type { RecordKind } from '../field'
import { also } from './fields/also'
import { stock } from './fields/counts'
import { brand, category, gtin, marketListingId, picture, sku, tags, title } from './fields/goods'
import { cost, currency, price } from './fields/money'
import { listedOn, market, supplier } from './fields/people'

export const catalogue: RecordKind = {
  name: 'catalogue',
  label: 'Own catalogue',
  noun: ['item of your own', 'items of your own'],
  row: 'one thing that I sell or have sold',
  from: 'market',
  keys: ['sku'],
  lives: { price: 'what I ask for it', cost: 'my profit on it', stock: 'how many I hold' },
  fields: [
    market,
    { ...sku, required: true },
    { ...title, required: true, help: 'What it is, in words.' },
    marketListingId,
    {
      ...price,
      label: 'My price',
      headings: also(price, { en: 'my price, sell price, our price, retail, sells for', de: 'mein preis, vk', fr: 'mon prix, prix de vente ttc', es: 'mi precio', it: 'mio prezzo', nl: 'mijn prijs', pl: 'moja cena', pt: 'meu preço' }),
      help: 'What I ask for it.',
    },
    currency,
    cost,
    {
      ...stock,
      label: 'My stock',
      headings: also(stock, { en: 'my stock, qty in hand, in hand', de: 'mein bestand', fr: 'mon stock', es: 'mi stock', it: 'mia giacenza', nl: 'mijn voorraad', pl: 'mój stan', pt: 'meu stock' }),
      help: 'How many I hold.',
    },
    { ...supplier, help: 'Where I buy it.' },
    { ...listedOn, help: 'Since when I sell it.' },
    brand,
    { ...tags, help: 'My search words.' },
    category,
    gtin,
    picture,
  ],
} // prettier-ignore
