<script setup lang="ts">
import { NButton, NDynamicTags } from 'naive-ui'
import type { ScanLimits } from '@sickle/core/scan'
import NumberField from '@/shared/widgets/NumberField.vue'

/** What a scan discards on the way: work that need not be done. */
const { currency } = defineProps<{ currency: string }>()
const limits = defineModel<ScanLimits>({ required: true })
const fields = [
  { name: 'leastPrice', label: 'Price from' },
  { name: 'mostPrice', label: 'Price to' },
  { name: 'leastUnits', label: 'Units sold, at least' },
  { name: 'leastRating', label: 'Stars, at least' },
] as const
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
