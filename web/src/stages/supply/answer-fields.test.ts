import { mount } from '@vue/test-utils'
import type { QuoteAnswer } from '@sickle/core/supply'
import AnswerFields from './AnswerFields.vue'

const read: QuoteAnswer = {
  on: 100,
  tiers: [{ from: 1, priceE4: 20_000 }],
  currency: 'EUR',
  minOrder: 5,
  deliveryE4: 90_000,
  leadDays: 8,
  sampleE4: null,
  pack: null,
  note: '',
}

function opened() {
  const fields = mount(AnswerFields, { props: { modelValue: read } })
  const field = (label: string) => fields.get(`input[aria-label="${label}"]`)
  async function type(label: string, text: string) {
    await field(label).setValue(text)
    await field(label).trigger('change')
    const [last] = (fields.emitted('update:modelValue')?.at(-1) ?? []) as QuoteAnswer[]
    return last ?? read
  }
  return { fields, type }
}

test('what was misread is put right, or emptied to be not known', async () => {
  const { fields, type } = opened()
  const now = { ...read }
  const becomes = (some: Partial<QuoteAnswer>) => Object.assign(now, some)
  expect(await type('Delivery of the order', '')).toEqual(becomes({ deliveryE4: null }))
  expect(await type('Price of a sample', '7.50')).toEqual(becomes({ sampleE4: 75_000 }))
  expect(await type('Days until it arrives', '')).toEqual(becomes({ leadDays: null }))
  const tiers = [...read.tiers, { from: 2, priceE4: 18_000 }]
  expect(await type('Another price', '1.80')).toEqual(becomes({ tiers }))
  expect(await type('Currency of the answer', 'usd')).toEqual(becomes({ currency: 'USD' }))
  const before = fields.emitted('update:modelValue')?.length
  await type('Currency of the answer', 'euro')
  expect(fields.emitted('update:modelValue')).toHaveLength(before ?? 0)
  expect(fields.text()).toContain('is no currency')
})
