<script setup lang="ts">
import { NButton, NDynamicTags } from 'naive-ui'
import { profitFloors } from '@sickle/core/catalog'
import { E4 } from '@sickle/core/money'
import type { ScanLimits } from '@sickle/core/scan'
import { currencySign } from '@/shared/format'
import { useRules } from '@/shared/stores/rules'
import NumberField from '@/shared/widgets/NumberField.vue'

/** What a scan discards on the way: work that need not be done. */
const { currency, market } = defineProps<{ currency: string; market: string }>()
const rules = useRules()
const limits = defineModel<ScanLimits>({ required: true })
const fields = [
  { name: 'leastPrice', label: 'Price from' },
  { name: 'mostPrice', label: 'Price to' },
  { name: 'leastUnits', label: 'Units sold, at least' },
  { name: 'leastRating', label: 'Stars, at least' },
  { name: 'mostRank', label: 'Sales rank, at most' },
] as const
/** The least profit as prices from which it is possible, at my own costs. */
const setProfit = (amount: number) =>
  set({ leastProfit: { amount, from: profitFloors(rules.rules, { market, currency }, Math.round(amount * E4)) } })
const set = (some: Partial<ScanLimits>) => (limits.value = { ...limits.value, ...some })
</script>

<template>
  <div class="limits">
    <p class="small quiet">What lies outside is left out on its way in, and counted.</p>
    <label v-for="f in fields" :key="f.name">
      <span>{{ f.label }}{{ f.name.endsWith('Price') && currency ? `, ${currency}` : '' }}</span>
      <NumberField
        :value="limits[f.name]"
        open
        placeholder="any"
        :max="1e9"
        :label="f.label"
        @change="(v) => set({ [f.name]: v })"
        @clear="set({ [f.name]: null })"
      />
    </label>
    <label>
      <span>Profit possible, at least, {{ currencySign(rules.home) }}</span>
      <NumberField
        :value="limits.leastProfit?.amount ?? null"
        open
        placeholder="any"
        :max="1e9"
        label="Profit possible, at least"
        @change="setProfit"
        @clear="set({ leastProfit: null })"
      />
    </label>
    <p v-if="limits.leastProfit" class="small quiet">At my costs, were the goods to cost nothing.</p>
    <div class="words">
      <span>Without the words</span>
      <NDynamicTags size="small" :value="limits.without" @update:value="(v: string[]) => set({ without: v })">
        <template #trigger="{ activate, disabled }"
          ><NButton size="small" dashed aria-label="Add a word" :disabled="disabled" @click="activate()"
            >+</NButton
          ></template
        >
      </NDynamicTags>
    </div>
  </div>
</template>

<style scoped>
.limits {
  display: grid;
  gap: 7px;
  width: 280px;
}
label {
  display: grid;
  grid-template-columns: 1fr 110px;
  align-items: center;
}
.words {
  display: grid;
  gap: 4px;
}
p {
  margin: 0;
}
</style>
