import { plainAmount } from '../money'
import { shownGtin } from '../identity'
import { Problem } from '../problem'
import type { Draft } from './draft'
import { readDraft, type DraftColumn } from './drafts-csv'

/** Drafts as JSON-LD: schema.org Product with one Offer each. What schema.org has no word for stands under additionalProperty. */
export function draftsToJsonLd(drafts: readonly Draft[]): string {
  const graph = drafts.map((d) => ({
    '@type': 'Product',
    sku: d.id,
    name: d.title,
    description: d.description,
    keywords: d.tags,
    category: d.category,
    ...(d.gtin === '' ? {} : { gtin: shownGtin(d.gtin) }),
    image: d.picture,
    offers: {
      '@type': 'Offer',
      price: plainAmount(d.priceE4, d.currency),
      priceCurrency: d.currency,
      availability: 'https://schema.org/InStock',
      itemCondition: 'https://schema.org/NewCondition',
      inventoryLevel: { '@type': 'QuantitativeValue', value: d.quantity },
      deliveryLeadTime: { '@type': 'QuantitativeValue', value: d.handlingDays, unitCode: 'DAY' },
    },
    additionalProperty: [
      property('market', d.market),
      property('item', d.item),
      property('price by', d.priceBy),
      property('expected profit', d.profitE4 === null ? '' : plainAmount(d.profitE4, d.profitCurrency)),
      property('profit currency', d.profitCurrency),
      property('margin', d.margin === null ? '' : String(d.margin)),
      property('assumed', d.assumed.join('|')),
    ],
  }))
  // Put into a page as it is, a title must not end the script that it stands in.
  return JSON.stringify({ '@context': 'https://schema.org', '@graph': graph }, null, 2).replaceAll('<', '\\u003c')
}

function property(name: string, value: string) {
  return { '@type': 'PropertyValue', name, value }
}

/** Reads what `draftsToJsonLd` wrote. @throws Problem 'drafts-invalid' */
export function draftsFromJsonLd(text: string, file: string): Draft[] {
  let json: unknown
  try {
    json = JSON.parse(text)
  } catch (cause) {
    throw new Problem('drafts-invalid', { file, reason: 'it is no JSON' }, { cause })
  }
  const graph = record(json)['@graph']
  if (!Array.isArray(graph)) throw new Problem('drafts-invalid', { file, reason: 'it holds no @graph of products' })
  return graph.map((node, i) => {
    const product = record(node)
    const offer = record(product.offers)
    const more = new Map(
      (Array.isArray(product.additionalProperty) ? product.additionalProperty : []).map((p) => [
        asText(record(p).name),
        asText(record(p).value),
      ]),
    )
    const values: Record<DraftColumn, string> = {
      id: asText(product.sku),
      item: more.get('item') ?? '',
      market: more.get('market') ?? '',
      title: asText(product.name),
      description: asText(product.description),
      tags: (Array.isArray(product.keywords) ? product.keywords : []).map(asText).join('|'),
      category: asText(product.category),
      gtin: product.gtin === undefined ? '' : asText(product.gtin).padStart(14, '0'),
      picture: asText(product.image),
      price: asText(offer.price),
      'price by': more.get('price by') ?? '',
      currency: asText(offer.priceCurrency),
      quantity: asText(record(offer.inventoryLevel).value),
      'handling days': asText(record(offer.deliveryLeadTime).value),
      'expected profit': more.get('expected profit') ?? '',
      'profit currency': more.get('profit currency') ?? '',
      margin: more.get('margin') ?? '',
      assumed: more.get('assumed') ?? '',
      fees: more.get('fees') ?? '',
    }
    return readDraft((name) => values[name], `product ${i + 1}`, file)
  })
}

function record(value: unknown): Record<string, unknown> {
  return typeof value === 'object' && value !== null ? (value as Record<string, unknown>) : {}
}

function asText(value: unknown): string {
  return typeof value === 'string' ? value : typeof value === 'number' ? String(value) : ''
}
