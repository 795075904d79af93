import type { RecordKind } from '../record-kinds'
import { category, gtin, listingId, market } from './shared-fields'

export const restricted: RecordKind = {
  name: 'restricted',
  label: 'Restricted items',
  row: 'one item, brand, category or phrase, and whether it may be listed',
  from: 'market',
  fields: [
    market,
    {
      name: 'what',
      label: 'What',
      type: 'text',
      required: true,
      says: ['what', 'item', 'brand', 'phrase', 'restricted item', 'entry', 'name'],
      weight: 2,
      help: 'The item, brand, category or phrase.',
    },
    {
      name: 'sort',
      label: 'Sort',
      type: 'text',
      says: ['sort', 'type', 'entry type', 'what it is'],
      weight: 2,
      help: 'item, brand, category or phrase.',
    },
    {
      name: 'status',
      label: 'Status',
      type: 'text',
      required: true,
      says: ['status', 'verdict', 'restriction', 'allowed', 'decision', 'may be listed'],
      weight: 5,
      help: 'allowed, restricted, or needs approval.',
    },
    {
      name: 'note',
      label: 'Note',
      type: 'text',
      says: ['note', 'reason', 'why', 'remark', 'notes'],
      help: 'Why, and what to do.',
    },
    {
      name: 'checked',
      label: 'Checked on',
      type: 'day',
      says: ['checked on', 'checked', 'last checked', 'date', 'as of'],
      help: 'When it was looked up.',
    },
    gtin,
    listingId,
    category,
  ],
}
