import type { Field } from '../record-kinds'

export const market: Field = {
  name: 'market',
  label: 'Market',
  type: 'text',
  says: ['market', 'marketplace', 'listing market', 'channel', 'sold on'],
  help: 'Where it is sold; asked once for the whole file where no column says it.',
}
export const currency: Field = {
  name: 'currency',
  label: 'Currency',
  type: 'currency',
  says: ['currency', 'currency code', 'price currency', 'cost currency'],
  help: 'ISO 4217 code of the amounts in the row.',
}
export const gtin: Field = {
  name: 'gtin',
  label: 'Barcode',
  type: 'gtin',
  says: ['barcode', 'gtin', 'ean', 'upc', 'isbn', 'gtin13', 'ean code'],
  help: 'GTIN of 8, 12, 13 or 14 digits with a right check digit.',
}
export const category: Field = {
  name: 'category',
  label: 'Category',
  type: 'path',
  says: ['category', 'path', 'category path', 'categories', 'department'],
  help: 'Broad to narrow, separated by / > or |.',
}
export const picture: Field = {
  name: 'picture',
  label: 'Picture',
  type: 'text',
  says: ['picture', 'image', 'picture url', 'image url', 'photo'],
  help: 'Address of a picture.',
}
export const delivery: Field = {
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

export const listingId: Field = {
  name: 'id',
  label: 'Listing number',
  type: 'id',
  says: [
    'listing id',
    'item no',
    'item number',
    'item id',
    'listing number',
    'product id',
    'article number',
    'listing',
  ],
  help: 'Identifies the listing on its market.',
}
export const store: Field = {
  name: 'store',
  label: 'Store',
  type: 'text',
  says: ['store', 'seller', 'shop', 'shop name', 'store name', 'seller name', 'merchant', 'sold by'],
  help: 'Who sells it.',
}
export const likes: Field = {
  name: 'likes',
  label: 'Likes',
  type: 'count',
  says: ['likes', 'hearts', 'reactions', 'thumbs up'],
  help: 'How many liked it.',
}
export const comments: Field = {
  name: 'comments',
  label: 'Comments',
  type: 'count',
  says: ['comments', 'replies', 'comment count'],
  help: 'How many answered it.',
}
export const shares: Field = {
  name: 'shares',
  label: 'Shares',
  type: 'count',
  says: ['shares', 'reposts', 'forwards'],
  help: 'How many passed it on.',
}
export const views: Field = {
  name: 'views',
  label: 'Views',
  type: 'count',
  says: ['views', 'plays', 'impressions', 'view count', 'watched'],
  help: 'How often it was seen.',
}
export const url: Field = {
  name: 'url',
  label: 'Address',
  type: 'text',
  says: ['url', 'link', 'address', 'web address'],
  help: 'Where it can be seen.',
}
