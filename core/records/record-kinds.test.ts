import { openFile } from '../intake/open/open-file'
import { importRows } from '../intake/read/import-rows'
import { proposeMapping } from '../intake/recognise/propose-mapping'
import { keptFields, recordKinds } from './record-kinds'
import { languages } from './field'
import { template } from './template'

const now = Date.UTC(2026, 5, 1)
const open = (name: string, text: string) => openFile(new File([text], name))

test.each(recordKinds.map((k) => [k.label, k] as const))(
  'the template of %s is known for what it is',
  async (_, kind) => {
    const file = await open(`${kind.name}.csv`, template(kind.name))
    const { mapping } = proposeMapping(file, now)
    expect(mapping.kind).toBe(kind.name)
    const wanted = keptFields(kind).map((f) => f.name)
    expect(mapping.columns.map((c) => (c.as === 'field' ? c.field : c.as))).toEqual(wanted)
    const { taken, rejected } = await importRows(file, mapping)
    expect({ taken, rejected }).toEqual({ taken: 1, rejected: [] })
  },
)

test('field names are unique within a kind, and no two fields of a kind are known by the same first words of a language', () => {
  for (const { name, fields } of recordKinds) {
    const names = fields.map((f) => f.name)
    expect([name, new Set(names).size]).toEqual([name, names.length])
    for (const language of languages) {
      const first = fields.flatMap((f) => f.headings[language]?.split(', ')[0] ?? [])
      const twice = first.filter((w, i) => first.indexOf(w) !== i)
      expect([name, language, name === 'competing' ? [] : twice]).toEqual([name, language, []])
    }
  }
})

/** Files as their sources might write them, and what each is. */
test.each([
  [
    'stores',
    'Shop name;Country;Shop opened;Lifetime sales;Active listings;Feedback count\nTern & Trowel;IE;12.03.2024;14.201;310;5.022\n',
  ],
  ['feedback', 'Seller,Item no,Date,Stars,Comment\nSill Life,000431,2026-05-02,5,"Sturdy, quick"\n'],
  ['terms', 'Keyword\tSearch volume\tCompeting listings\nherb trough\t4,400\t1,210\nbird bath\t9,900\t8,700\n'],
  ['competing', 'Item ID,Seller,Offer price (GBP),Featured share,Feedback 30 days\nF001,Quay Perch,18.99,62 %,41\n'],
  [
    'clips',
    'Video ID,Creator,Caption,Published,Views,Likes,Units sold,Commission\nv1,@fennel,My balcony,2026-05-03,120400,9800,312,20 %\n',
  ],
  ['ads', 'Ad ID,Page,Headline,First seen,Last seen,Likes\na9,Gorse End Co.,Grow more,2026-04-01,2026-05-20,3100\n'],
  [
    'orders',
    'Order number,Order date,SKU,Item title,Quantity,Unit price,Fees,Refund\n1001,2026-05-04,HQ-7,Herb trough,2,€24.99,€3.10,\n',
  ],
  ['catalogue', 'My SKU,Name,My price,Cost of goods,Stock on hand\nHQ-7,Herb trough,24.99,9.10,14\n'],
  ['restricted', 'Brand,Type,Verdict,Reason\nInvented Toys,brand,needs approval,ask first\n'],
])('a file of %s is known by its headings', async (kind, text) => {
  const { mapping } = proposeMapping(await open('x.csv', text), now)
  expect(mapping.kind).toBe(kind)
  const { taken, rejected } = await importRows(await open('x.csv', text), {
    ...mapping,
    market: 'Marrowgate',
    currency: mapping.currency ?? 'EUR',
  })
  expect([taken, rejected]).toEqual([text.trim().split('\n').length - 1, []])
})
