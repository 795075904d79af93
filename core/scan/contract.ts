import { keptFields, recordKind, type Field, type FieldType, type KindName } from '../records'

const types: Record<FieldType, object> = {
  text: { type: 'string' },
  id: { type: 'string', maxLength: 80 },
  gtin: { type: 'string', pattern: '^\\d{8}(\\d{4,6})?$' },
  money: { type: 'number', description: 'Amount in `currency`, decimal.' },
  count: { type: 'integer', minimum: 0 },
  ratio: { type: 'number', description: '0.25 is 25 %.' },
  rating: { type: 'number', minimum: 0, maximum: 5 },
  day: { type: 'string', format: 'date' },
  currency: { type: 'string', pattern: '^[A-Z]{3}$' },
  lead: { type: 'integer', minimum: 0 },
  list: { type: 'array', items: { type: 'string' } },
  path: { type: 'string', description: "Broad to narrow, joined by ' / '." },
  weight: { type: 'string', description: 'weight with its unit, such as 350 g' },
  size: { type: 'string', description: 'three lengths with their unit, such as 30 x 20 x 10 cm' },
  tiers: { type: 'string', description: "Unit price from quantity, '1:4.71;10:4.20'." },
}

/** The lists of a source: by which path they are asked for, and what a record of them is. */
export const lists = {
  listings: 'listings',
  terms: 'terms',
  clips: 'clips',
  ads: 'ads',
  offers: 'offers',
} as const satisfies Record<string, KindName>
export type ListName = keyof typeof lists
export const isListName = (path: string): path is ListName => Object.hasOwn(lists, path)

/** Whether a path is one that a source is asked by: nothing that leads up or elsewhere, whatever it is called. */
export function isContractPath(path: string): boolean {
  if (path === 'about' || isListName(path)) return true
  const [, id] = /^items\/([^/\\\p{Cc}]{1,80})$/u.exec(path) ?? []
  return id !== undefined && !/^\.+$/.test(id)
}

/** By what two records of a list are known to be the same, so that one which stood on two pages is taken once. */
export const identities: Record<ListName, readonly string[]> = {
  listings: ['id'],
  terms: ['term', 'region', 'day'],
  clips: ['clip'],
  ads: ['ad'],
  offers: ['supplier', 'id'],
}

/** What a list may be narrowed by. Each is one value, but `ids`, which are joined by commas. */
export const narrowedBy = ['store', 'term', 'category', 'ids'] as const
export const mostPerPage = 500

/** The connector contract as an OpenAPI 3.1 document: any service that keeps to it can be scanned. Records follow from the record kinds. */
export function contract(): Record<string, unknown> {
  return {
    openapi: '3.1.0',
    info: {
      title: 'Connector of a source',
      version: '1.0.0',
      description:
        'A source tells of one market or one supplier. All calls are GET and answer JSON. A list is paged by number; `asOf` from the first page, sent with the others, keeps the pages of one look together. 429 and 503 mean: again, not before Retry-After.',
    },
    servers: [{ url: '/', description: 'Base address of the source, from the configuration.' }],
    security: [{ token: [] }, {}],
    paths: {
      '/about': { get: operation('What the source is', 'About', []) },
      ...Object.fromEntries(
        Object.entries(lists).map(([path, kind]) => [
          `/${path}`,
          { get: operation(recordKind(kind).label, `${capital(path)}Page`, listParameters) },
        ]),
      ),
      '/items/{id}': { get: operation('One item with its offers and history', 'Item', [idParameter]) },
    },
    components: {
      securitySchemes: { token: { type: 'http', scheme: 'bearer' } },
      responses: {
        Again: {
          description: 'Too many requests, or not now.',
          headers: { 'Retry-After': { schema: { type: 'integer', minimum: 0 }, description: 'Seconds.' } },
        },
        Refused: {
          description: 'The question cannot be answered.',
          content: json({ $ref: '#/components/schemas/Refusal' }),
        },
      },
      schemas: {
        About: about,
        Refusal: object({ reason: { type: 'string' } }, ['reason']),
        ...Object.fromEntries(
          Object.entries(lists).flatMap(([path, kind]) => [
            [capital(path), recordSchema(kind)],
            [`${capital(path)}Page`, pageOf(capital(path))],
          ]),
        ),
        CompetingOffer: recordSchema('competing'),
        DayOfSales: recordSchema('sales'),
        Item: object(
          {
            listing: { $ref: '#/components/schemas/Listings' },
            offers: { type: 'array', items: { $ref: '#/components/schemas/CompetingOffer' } },
            history: { type: 'array', items: { $ref: '#/components/schemas/DayOfSales' } },
          },
          ['listing', 'offers', 'history'],
        ),
      },
    },
  }
}

const about = object(
  {
    name: { type: 'string', description: 'The market or supplier that it tells of.' },
    currency: { type: 'string', pattern: '^[A-Z]{3}$' },
    lists: { type: 'array', items: { enum: Object.keys(lists) } },
    stores: { type: 'array', items: { type: 'string' }, description: 'Some stores, to begin with.' },
    terms: { type: 'array', items: { type: 'string' } },
    categories: { type: 'array', items: { type: 'string' } },
  },
  ['name', 'currency', 'lists'],
)

const idParameter = { name: 'id', in: 'path', required: true, schema: { type: 'string', maxLength: 80 } }
const listParameters = [
  ...narrowedBy.map((name) => ({ name, in: 'query', schema: { type: 'string', maxLength: 20_000 } })),
  { name: 'page', in: 'query', schema: { type: 'integer', minimum: 0, default: 0 } },
  { name: 'limit', in: 'query', schema: { type: 'integer', minimum: 1, maximum: mostPerPage, default: 200 } },
  { name: 'asOf', in: 'query', schema: { type: 'string', maxLength: 200 } },
]

function pageOf(record: string): object {
  return object(
    {
      total: { type: 'integer', minimum: 0, description: 'Records of the whole list.' },
      asOf: { type: 'string', description: 'Names this look; send it with the further pages.' },
      capturedOn: { type: 'string', format: 'date', description: 'Last day the figures speak of.' },
      windowDays: { type: 'integer', minimum: 1, description: 'Length of the window that units count.' },
      records: { type: 'array', items: { $ref: `#/components/schemas/${record}` }, maxItems: mostPerPage },
    },
    ['total', 'asOf', 'capturedOn', 'windowDays', 'records'],
  )
}

function recordSchema(kind: KindName): object {
  const { row } = recordKind(kind)
  const fields = keptFields(recordKind(kind))
  return {
    ...object(
      Object.fromEntries(fields.map((f) => [f.name, fieldSchema(f)])),
      fields.filter((f) => f.required).map((f) => f.name),
    ),
    description: `A record is ${row}.`,
  }
}

function fieldSchema(field: Field): object {
  const { type, ...rest } = types[field.type] as { type: string; description?: string }
  const description = [field.help, rest.description].filter(Boolean).join(' ')
  return { ...rest, type: field.required ? type : [type, 'null'], description }
}

function object(properties: Record<string, unknown>, required: string[]): object {
  return { type: 'object', properties, required }
}

function json(schema: object): object {
  return { 'application/json': { schema } }
}

function operation(summary: string, schema: string, parameters: object[]): object {
  return {
    summary,
    operationId: `get${schema}`,
    parameters,
    responses: {
      '200': { description: 'The answer.', content: json({ $ref: `#/components/schemas/${schema}` }) },
      '400': { $ref: '#/components/responses/Refused' },
      '404': { $ref: '#/components/responses/Refused' },
      '429': { $ref: '#/components/responses/Again' },
      '503': { $ref: '#/components/responses/Again' },
    },
  }
}

function capital(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1)
}
