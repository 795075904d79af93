<script setup lang="ts">
import { NCheckbox } from 'naive-ui'
import { count } from '@/shared/format'
import { useRivals } from './rivals-store'

const rivals = useRivals()
function toggle(market: string) {
  const { markets } = rivals.query
  rivals.change({ markets: markets.includes(market) ? markets.filter((m) => m !== market) : [...markets, market] })
}
</script>

<template>
  <fieldset v-if="rivals.markets.length" class="side">
    <legend>Markets</legend>
    <NCheckbox
      v-for="m in rivals.markets"
      :key="m.value"
      class="one"
      size="small"
      :checked="rivals.query.markets.includes(m.value)"
      @update:checked="toggle(m.value)"
      ><span class="name">{{ m.value }}</span
      ><span class="quiet">{{ count(m.count) }}</span></NCheckbox
    >
  </fieldset>
</template>

<style scoped>
.side {
  border: 0;
  margin: 12px 0 0;
  padding: 0 16px;
}
legend {
  font: 650 14px var(--heading);
  padding: 0 0 3px;
}
.one {
  display: flex;
  min-height: 24px;
  padding: 2px 0;
}
.one :deep(.n-checkbox__label) {
  display: flex;
  flex: 1;
  gap: 6px;
  padding: 0 0 0 6px;
}
.name {
  flex: 1;
}
</style>
