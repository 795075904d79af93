<script setup lang="ts">
import { NButton, NCheckbox } from 'naive-ui'
import { percent } from '../format'
import { useLens } from '../stores/lens'
import { useWorkspace } from '../stores/workspace'
import HousePopover from './HousePopover.vue'

/** Which markets count: every figure of the stage is of those alone. */
const lens = useLens()
const workspace = useWorkspace()
function toggle(market: string) {
  // the first that is chosen stands alone; without the last all count again
  const chosen = lens.markets.includes(market) ? lens.markets.filter((m) => m !== market) : [...lens.markets, market]
  void lens.choose(chosen)
}
</script>

<template>
  <HousePopover
    v-if="workspace.summary.markets.length > 1 || lens.told"
    label="Markets that count"
    placement="bottom-start"
  >
    <template #trigger>
      <NButton
        size="small"
        :type="lens.told ? 'info' : 'default'"
        :title="
          lens.told
            ? `Every figure here is of ${lens.markets.join(', ')} alone`
            : 'Figures are of all markets together; choose those that count'
        "
        >{{
          lens.progress === null ? (lens.told ?? 'All markets') : `Working out … ${percent(lens.progress)}`
        }}</NButton
      >
    </template>
    <div class="pane">
      <h2>Markets that count</h2>
      <p class="small quiet">
        Figures, charts and Worth in Finds, Demand and Rivals are of these alone. Costs and offers stay.
      </p>
      <NCheckbox :checked="lens.markets.length === 0" size="small" @update:checked="lens.choose([])"
        >All of them</NCheckbox
      >
      <NCheckbox
        v-for="m in workspace.summary.markets"
        :key="m"
        size="small"
        :checked="lens.markets.includes(m)"
        @update:checked="toggle(m)"
        >{{ m }}</NCheckbox
      >
      <NButton v-if="lens.progress !== null" size="tiny" @click="lens.cancel()">Cancel</NButton>
    </div>
  </HousePopover>
</template>

<style scoped>
.pane {
  display: grid;
  gap: 6px;
  width: 230px;
  justify-items: start;
}
h2 {
  font-size: 14px;
}
</style>
