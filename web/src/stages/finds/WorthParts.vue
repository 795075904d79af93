<script setup lang="ts">
import type { Worth } from '@sickle/core/verdict'
import { decimal, percent } from '@/shared/format'
import PlainTable from '@/shared/widgets/PlainTable.vue'

defineProps<{ worth: Worth }>()
</script>

<template>
  <p v-if="worth.failed.length" class="loss">0: fails {{ worth.failed.join(', ') }}, which your rules demand.</p>
  <p v-else-if="worth.value !== null">
    <b>{{ Math.round(worth.value) }}</b> of 100, from {{ percent(worth.coverage) }} of what the rules weigh.
  </p>
  <p v-else>
    Too little is known: {{ percent(worth.coverage) }} of what the rules weigh<template v-if="worth.lacking.length"
      >, without {{ worth.lacking.join(', ') }}, which they demand</template
    >. It stands last.
  </p>
  <PlainTable class="parts">
    <tbody>
      <tr v-for="p in worth.parts" :key="p.label">
        <td>{{ p.label }}</td>
        <td class="num">{{ p.value === null ? 'not known' : decimal(p.value) }}</td>
        <td class="bar">
          <span
            class="meter"
            :title="p.desirability === null ? 'left out' : `meets the wish by ${percent(p.desirability)}`"
            ><i :style="{ width: `${(p.desirability ?? 0) * 100}%` }"
          /></span>
        </td>
        <td class="num quiet">× {{ p.weight }}</td>
      </tr>
    </tbody>
  </PlainTable>
</template>

<style scoped>
.parts td {
  padding: 2px 4px;
  border: 0;
}
.parts td:first-child {
  padding-left: 0;
}
.bar {
  width: 80px;
}
.meter {
  display: block;
  height: 6px;
  margin-top: 6px;
  border-radius: 3px;
  background: var(--sunk);
  overflow: hidden;
}
.meter i {
  display: block;
  height: 100%;
  background: var(--moss);
}
</style>
