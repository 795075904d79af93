<script setup lang="ts">
import { computed } from 'vue'
import { middleOf } from '@sickle/core/demand'
import StepBars from '@/shared/charts/StepBars.vue'
import { amount, count, money } from '@/shared/format'

/** How asking prices lie: as many bars of even width on a logarithmic scale, from zero up. */
const { prices, home } = defineProps<{ prices: Float64Array; home: string }>()
const bars = 24
const spread = computed(() => {
  const some = prices.filter((p) => p > 0)
  const [low, high] = [some[0] ?? 1, some.at(-1) ?? 1]
  const width = Math.log(high / low) / bars || 1
  const counts = new Array<number>(bars).fill(0)
  for (const p of some) counts[Math.min(bars - 1, Math.floor(Math.log(p / low) / width))]!++
  const edge = (i: number) => amount(low * Math.exp(width * i), home)
  return {
    low,
    high,
    middle: middleOf(some) ?? low,
    bars: counts.map((n, i) => ({ label: `${edge(i)} to ${edge(i + 1)}`, value: count(n), size: n })),
  }
})
</script>

<template>
  <StepBars class="prices" :bars="spread.bars" :height="54" caption="Listings by asking price">
    <span>{{ money(spread.low, home) }}</span><span>middle {{ money(spread.middle, home) }}</span
    ><span>{{ money(spread.high, home) }}</span>
  </StepBars>
</template>

<style scoped>
.prices {
  color: var(--slate);
}
</style>
