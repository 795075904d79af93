<script setup lang="ts">
import { computed } from 'vue'
import type { MonthPutUp } from '@sickle/core/stores'
import StepBars from '@/shared/charts/StepBars.vue'

/** Listings put up a month; the darker part is what of them sells. */
const { months } = defineProps<{ months: readonly MonthPutUp[] }>()
const most = computed(() => Math.max(...months.map((m) => m.count)))
const bars = computed(() =>
  months.map((m) => ({
    label: m.month,
    value: `${m.count} put up, ${m.sold} of them sell`,
    size: m.count,
    part: m.sold,
  })),
)
</script>

<template>
  <StepBars class="months" :bars="bars" :height="70" caption="Listings put up a month, and those of them that sell">
    <span>{{ months[0]?.month }}</span><span>most {{ most }} a month; dark: those that sell now</span
    ><span>{{ months.at(-1)?.month }}</span>
  </StepBars>
</template>

<style scoped>
.months {
  color: var(--moss);
}
</style>
