<script setup lang="ts">
import { computed, ref } from 'vue'
import { isCurrencyCode } from '@sickle/core/money'
import { quoteAnswerSchema, type QuoteAnswer } from '@sickle/core/supply'
import { firstFault } from '@sickle/core/schema'
import BareButton from '@/shared/widgets/BareButton.vue'
import LineField from '@/shared/widgets/LineField.vue'
import MoneyField from '@/shared/widgets/MoneyField.vue'
import NumberField from '@/shared/widgets/NumberField.vue'

/** The figures of an answer, each to be put right. What is empty is not known. */
const answer = defineModel<QuoteAnswer>({ required: true })
const fault = ref('')
function set(some: Partial<QuoteAnswer>) {
  const next = { ...answer.value, ...some }
  const wrong = firstFault(quoteAnswerSchema, next)
  fault.value = wrong ? `${wrong.where || 'It'} ${wrong.what}.` : ''
  if (!wrong) answer.value = next
}
const counts: { name: 'pack' | 'minOrder' | 'leadDays'; label: string; least: number; most: number; empty?: string }[] =
  [
    { name: 'pack', label: 'Pieces in a pack', least: 1, most: 5000, empty: 'as titled' },
    { name: 'minOrder', label: 'Least order, packs', least: 1, most: 1e7 },
    { name: 'leadDays', label: 'Days until it arrives', least: 0, most: 1000 },
  ]
const amounts: { name: 'deliveryE4' | 'sampleE4'; label: string }[] = [
  { name: 'deliveryE4', label: 'Delivery of the order' },
  { name: 'sampleE4', label: 'Price of a sample' },
]
const tiers = computed(() => answer.value.tiers)
const setTier = (at: number, some: Partial<QuoteAnswer['tiers'][number]>) =>
  set({ tiers: tiers.value.map((t, i) => (i === at ? { ...t, ...some } : t)) })
const addTier = (priceE4: number) =>
  set({
    tiers: [...tiers.value, { from: tiers.value.length === 0 ? 1 : (tiers.value.at(-1)?.from ?? 1) * 2, priceE4 }],
  })
function setCurrency(text: string) {
  const code = text.toUpperCase()
  if (isCurrencyCode(code)) return set({ currency: code })
  fault.value = `“${text}” is no currency: three letters, such as EUR.`
}
</script>

<template>
  <div class="answer">
    <h3>Price of a pack</h3>
    <div v-for="(t, i) in tiers" :key="i" class="tier">
      <span class="small">from</span>
      <NumberField
        :value="t.from"
        :label="`Packs from which price ${i + 1} holds`"
        whole
        :min="1"
        :max="1e7"
        @change="(from) => setTier(i, { from })"
      />
      <MoneyField
        :value="t.priceE4"
        :currency="answer.currency"
        :label="`Price ${i + 1}`"
        @change="(priceE4) => setTier(i, { priceE4 })"
      />
      <BareButton
        type="info"
        class="link small"
        :aria-label="`Remove price ${i + 1}`"
        @click="set({ tiers: tiers.filter((_, at) => at !== i) })"
        >Remove</BareButton
      >
    </div>
    <div class="tier">
      <span class="small quiet">{{ tiers.length === 0 ? 'price' : 'more' }}</span>
      <MoneyField
        :key="tiers.length"
        class="wide"
        :value="null"
        :currency="answer.currency"
        label="Another price"
        @change="addTier"
      />
    </div>
    <div class="rows">
      <span>Currency</span>
      <LineField :value="answer.currency" label="Currency of the answer" @change="setCurrency" />
      <template v-for="f in counts" :key="f.name">
        <span>{{ f.label }}</span>
        <NumberField
          :value="answer[f.name]"
          :label="f.label"
          :placeholder="f.empty ?? ''"
          whole
          open
          :min="f.least"
          :max="f.most"
          @change="(n) => set({ [f.name]: n })"
          @clear="set({ [f.name]: null })"
        />
      </template>
      <template v-for="f in amounts" :key="f.name">
        <span>{{ f.label }}</span>
        <MoneyField
          :value="answer[f.name]"
          :currency="answer.currency"
          :label="f.label"
          open
          @change="(e4) => set({ [f.name]: e4 })"
          @clear="set({ [f.name]: null })"
        />
      </template>
      <span>Note</span>
      <LineField :value="answer.note" label="Note" @change="(note) => set({ note })" />
    </div>
    <p v-if="fault" class="small loss" role="alert">{{ fault }}</p>
  </div>
</template>

<style scoped>
.answer {
  display: grid;
  gap: 6px;
}
.tier {
  display: grid;
  grid-template-columns: 36px 80px minmax(0, 1fr) 60px;
  gap: 8px;
  align-items: center;
}
.wide {
  grid-column: 2 / 4;
}
.rows {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 150px;
  gap: 5px 10px;
  align-items: center;
  margin-top: 6px;
  font-size: 13px;
}
</style>
