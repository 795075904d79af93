/** What a value is, which decides how it is read, stored and shown. */
export type FieldType =
  | 'text' // any words
  | 'id' // an identifier: never a number, leading zeros survive
  | 'gtin'
  | 'money'
  | 'count' // a whole number, 0 or more
  | 'ratio' // percent or plain ratio
  | 'rating' // stars, 0 to 5
  | 'day'
  | 'currency'
  | 'lead' // days, perhaps a range; the longer end counts
  | 'list' // several words, kept joined by '|'
  | 'path' // a category, broad to narrow, kept joined by ' / '
  | 'tiers' // unit price by quantity, kept as 'from:E4;from:E4'

export interface Field {
  name: string
  label: string
  type: FieldType
  required?: boolean
  /** Heading phrases that mean this field, best first; in lower case without punctuation. */
  says: readonly string[]
  /** How much finding it speaks for this kind of file (default 1). */
  weight?: number
  help: string
}

export type KindName = 'listings' | 'sales' | 'offers'

export interface RecordKind {
  name: KindName
  label: string
  /** What one row is, in a sentence. */
  row: string
  fields: readonly Field[]
}

const market: Field = {
  name: 'market',
  label: 'Market',
  type: 'text',
  says: ['market', 'marketplace', 'listing market', 'channel', 'sold on'],
  help: 'Where it is sold; asked once for the whole file where no column says it.',
}
const currency: Field = {
  name: 'currency',
  label: 'Currency',
  type: 'currency',
  says: ['currency', 'currency code', 'price currency', 'cost currency'],
  help: 'ISO 4217 code of the amounts in the row.',
}
const gtin: Field = {
  name: 'gtin',
  label: 'Barcode',
  type: 'gtin',
  says: ['barcode', 'gtin', 'ean', 'upc', 'isbn', 'gtin13', 'ean code'],
  help: 'GTIN of 8, 12, 13 or 14 digits with a right check digit.',
}
const category: Field = {
  name: 'category',
  label: 'Category',
  type: 'path',
  says: ['category', 'path', 'category path', 'categories', 'department'],
  help: 'Broad to narrow, separated by / > or |.',
}
const picture: Field = {
  name: 'picture',
  label: 'Picture',
  type: 'text',
  says: ['picture', 'image', 'picture url', 'image url', 'photo'],
  help: 'Address of a picture.',
}
const delivery: Field = {
  name: 'delivery',
  label: 'Delivery price',
  type: 'money',
  says: [
    'delivery',
    'shipping',
    'postage',
    'delivery price',
    'shipping cost',
    'delivery cost',
    'shipping price',
    'freight',
  ],
  help: 'What delivery of one order costs.',
}

/** Every kind of record Sickle takes in. The intake, the mapping screen and docs/formats.md follow from this table. */
export const recordKinds: readonly RecordKind[] = [
  {
    name: 'listings',
    label: 'Listings',
    row: 'one listing on one market, with its price and what it sold',
    fields: [
      market,
      {
        name: 'id',
        label: 'Listing number',
        type: 'id',
        required: true,
        says: [
          'listing id',
          'item no',
          'item number',
          'item id',
          'listing number',
          'id',
          'ref',
          'reference',
          'sku',
          'product id',
          'article number',
        ],
        help: 'Identifies the listing on its market.',
      },
      {
        name: 'title',
        label: 'Title',
        type: 'text',
        required: true,
        says: [
          'title',
          'item title',
          'name',
          'product name',
          'listing title',
          'listing',
          'product',
          'item',
          'description',
        ],
        help: 'The words a buyer reads.',
      },
      {
        name: 'store',
        label: 'Store',
        type: 'text',
        says: ['store', 'seller', 'shop', 'shop name', 'store name', 'seller name', 'merchant', 'sold by'],
        weight: 2,
        help: 'Who sells it.',
      },
      {
        name: 'storeSince',
        label: 'Store since',
        type: 'day',
        says: ['store since', 'shop since', 'seller since', 'shop opened', 'store opened'],
        help: 'When the store opened.',
      },
      {
        name: 'price',
        label: 'Price',
        type: 'money',
        required: true,
        says: [
          'price',
          'item price',
          'asking price',
          'average price',
          'price value',
          'price amount',
          'unit price',
          'sale price',
          'cost value',
          'cost',
        ],
        help: 'What a buyer pays for one, delivery apart.',
      },
      currency,
      delivery,
      {
        name: 'units',
        label: 'Units in window',
        type: 'count',
        says: [
          'units sold',
          'sold 30 d',
          'sold',
          'units 30 d',
          'sold month',
          'sold last 30 days',
          'units',
          'quantity sold',
          'qty sold',
          'sales',
          'orders',
        ],
        help: 'Units sold in the window the file states (30 days unless it says otherwise).',
      },
      {
        name: 'unitsTotal',
        label: 'Units in all',
        type: 'count',
        says: [
          'sold total',
          'total sold',
          'sold ever',
          'lifetime sales',
          'units total',
          'lifetime units',
          'sold lifetime',
          'total units',
        ],
        weight: 2,
        help: 'Units sold since it was listed.',
      },
      {
        name: 'revenue',
        label: 'Sales in window',
        type: 'money',
        says: ['gross sales', 'revenue', 'sales value', 'turnover', 'sales amount'],
        help: 'Money taken in the window.',
      },
      {
        name: 'growth',
        label: 'Reported change',
        type: 'ratio',
        says: ['change', 'growth', 'change vs previous', 'growth rate'],
        help: 'Change against the window before, as the market reports it.',
      },
      {
        name: 'rating',
        label: 'Rating',
        type: 'rating',
        says: ['rating', 'stars', 'score', 'average rating', 'star rating', 'review score'],
        weight: 2,
        help: 'Average stars, 0 to 5.',
      },
      {
        name: 'reviews',
        label: 'Reviews',
        type: 'count',
        says: ['reviews', 'review count', 'number of reviews', 'ratings', 'rating count'],
        weight: 2,
        help: 'How many reviews.',
      },
      {
        name: 'listedOn',
        label: 'Listed on',
        type: 'day',
        says: ['listed', 'listed on', 'on sale since', 'date listed', 'start date', 'created', 'listed since'],
        weight: 2,
        help: 'When it was first listed.',
      },
      category,
      gtin,
      {
        name: 'brand',
        label: 'Brand',
        type: 'text',
        says: ['brand', 'manufacturer', 'make'],
        help: 'Brand on the goods.',
      },
      {
        name: 'kind',
        label: 'Kind of goods',
        type: 'text',
        says: ['kind', 'goods kind', 'kind of goods', 'fulfilment kind'],
        help: 'physical, print on demand, or digital.',
      },
      {
        name: 'format',
        label: 'Format',
        type: 'text',
        says: ['format', 'listing format', 'selling format'],
        help: 'auction or fixed price.',
      },
      {
        name: 'stock',
        label: 'Stock',
        type: 'count',
        says: ['stock', 'in stock', 'quantity available', 'available'],
        help: 'Units on offer.',
      },
      {
        name: 'tags',
        label: 'Tags',
        type: 'list',
        says: ['tags', 'keywords', 'labels'],
        help: 'Search words of the listing.',
      },
      {
        name: 'url',
        label: 'Address',
        type: 'text',
        says: ['url', 'link', 'address', 'listing url'],
        help: 'Address of the listing.',
      },
      picture,
    ],
  },
  {
    name: 'sales',
    label: 'Sales by day or week',
    row: 'one listing on one day or in one week, with the units it sold',
    fields: [
      market,
      {
        name: 'id',
        label: 'Listing number',
        type: 'id',
        required: true,
        says: [
          'listing id',
          'item no',
          'item number',
          'item id',
          'listing number',
          'id',
          'ref',
          'sku',
          'product id',
          'item',
          'listing',
        ],
        help: 'Identifies the listing on its market.',
      },
      {
        name: 'title',
        label: 'Title',
        type: 'text',
        says: ['title', 'item title', 'name', 'product name', 'product', 'description'],
        help: 'The words a buyer reads.',
      },
      {
        name: 'store',
        label: 'Store',
        type: 'text',
        says: ['store', 'seller', 'shop', 'shop name', 'store name'],
        help: 'Who sells it.',
      },
      {
        name: 'day',
        label: 'Day',
        type: 'day',
        required: true,
        says: ['day', 'date', 'week', 'week start', 'week starting', 'period', 'sold on', 'order date', 'sale date'],
        weight: 4,
        help: 'The day, or the first day of the week.',
      },
      {
        name: 'units',
        label: 'Units',
        type: 'count',
        required: true,
        says: ['units', 'units sold', 'sold', 'quantity', 'qty', 'sales', 'quantity sold'],
        help: 'Units sold in that day or week. Empty is not known, not zero.',
      },
      {
        name: 'price',
        label: 'Price',
        type: 'money',
        says: ['price', 'unit price', 'retail price', 'price amount', 'item price', 'average price'],
        help: 'Price at the time.',
      },
      currency,
      {
        name: 'revenue',
        label: 'Sales',
        type: 'money',
        says: ['revenue', 'gross sales', 'turnover', 'sales amount'],
        help: 'Money taken.',
      },
      category,
      gtin,
    ],
  },
  {
    name: 'offers',
    label: 'Supplier offers',
    row: "one supplier's offer of one thing, with its price at each quantity",
    fields: [
      {
        name: 'supplier',
        label: 'Supplier',
        type: 'text',
        says: ['supplier', 'supplier name', 'vendor', 'wholesaler', 'manufacturer'],
        weight: 3,
        help: 'Who supplies it; asked once where no column says it.',
      },
      {
        name: 'id',
        label: 'Offer number',
        type: 'id',
        required: true,
        says: [
          'offer id',
          'ref',
          'reference',
          'offer',
          'sku',
          'item no',
          'item number',
          'article number',
          'article',
          'id',
          'code',
          'product code',
        ],
        help: 'Identifies the offer at its supplier.',
      },
      {
        name: 'title',
        label: 'Title',
        type: 'text',
        required: true,
        says: ['description', 'title', 'name', 'product', 'product name', 'item', 'article name'],
        help: 'What it is, in words.',
      },
      {
        name: 'tiers',
        label: 'Price from quantity',
        type: 'tiers',
        says: [],
        weight: 4,
        help: 'One column for each quantity step, headed like 1-9, 10-49, 50+.',
      },
      {
        name: 'price',
        label: 'Unit price',
        type: 'money',
        says: [
          'unit price',
          'price',
          'wholesale price',
          'trade price',
          'cost price',
          'net price',
          'price amount',
          'wholesale',
        ],
        help: 'Price of one at the lowest quantity.',
      },
      currency,
      {
        name: 'minOrder',
        label: 'Minimum order',
        type: 'count',
        says: ['min qty', 'minimum order', 'moq', 'min order', 'minimum quantity', 'minimum order quantity'],
        weight: 4,
        help: 'Fewest units in one order.',
      },
      { ...delivery, help: 'What delivery of one order costs, however many are in it.' },
      {
        name: 'leadDays',
        label: 'Days to deliver',
        type: 'lead',
        says: ['lead time', 'delivery days', 'delivery time', 'days to deliver', 'transit days', 'shipping time'],
        weight: 4,
        help: "Days from order to arrival; a range such as '7-10 days' counts as its longer end.",
      },
      {
        name: 'shipsFrom',
        label: 'Ships from',
        type: 'text',
        says: ['ships from', 'country', 'origin', 'warehouse', 'dispatched from'],
        weight: 2,
        help: 'Country it ships from.',
      },
      {
        name: 'stock',
        label: 'Stock',
        type: 'count',
        says: ['stock', 'in stock', 'available', 'quantity available'],
        help: 'Units the supplier holds.',
      },
      {
        name: 'orders',
        label: 'Orders so far',
        type: 'count',
        says: ['orders', 'orders so far', 'sold', 'total orders'],
        help: 'Orders taken so far; very many means crowded.',
      },
      {
        name: 'rating',
        label: 'Rating',
        type: 'rating',
        says: ['rating', 'stars', 'score', 'supplier rating'],
        help: 'Average stars, 0 to 5.',
      },
      {
        name: 'since',
        label: 'Trading since',
        type: 'day',
        says: ['trading since', 'supplier since', 'since'],
        weight: 2,
        help: 'When the supplier began to trade.',
      },
      category,
      gtin,
      picture,
    ],
  },
]

export function recordKind(name: KindName): RecordKind {
  return recordKinds.find((k) => k.name === name) as RecordKind
}

/** Is the field kept as a number? */
export function isNumeric(type: FieldType): boolean {
  return ['money', 'count', 'ratio', 'rating', 'day', 'lead'].includes(type)
}
