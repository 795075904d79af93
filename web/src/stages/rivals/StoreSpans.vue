<script setup lang="ts">
import { storeFigures } from '@sickle/core/stores'
import NumberField from '@/shared/widgets/NumberField.vue'
import { useRivals } from './rivals-store'
import SideGroup from '@/shared/widgets/SideGroup.vue'

/** From and to of the figures that stores are mostly narrowed by: what the brush of the field sets, by keyboard. */
const rivals = useRivals()
const spans = [
  { by: 'age', label: 'Months' },
  ...['unitsTotal', 'units', 'listings', 'sellThrough'].flatMap((name) => {
    const figure = storeFigures.find((f) => f.name === name)
    return figure ? [{ by: name, label: figure.label }] : []
  }),
].map((s) => ({ ...s, percent: s.by === 'sellThrough' }))
const at = (by: string, end: 0 | 1) => rivals.query.limits[by]?.[end] ?? null
function set(by: string, end: 0 | 1, value: number | null) {
  const other = at(by, end === 0 ? 1 : 0)
  // an end beyond the other one takes that along: a span is never the wrong way round
  const moved = value !== null && other !== null && (end === 0 ? value > other : value < other) ? value : other
  rivals.setLimits({ [by]: end === 0 ? [value, moved] : [moved, value] })
}
</script>

<template>
  <SideGroup title="Spans">
    <div v-for="s in spans" :key="s.by" class="span">
      <span class="small">{{ s.label }}{{ s.percent ? ', %' : '' }}</span>
      <NumberField
        v-for="end in [0, 1] as const"
        :key="end"
        :value="at(s.by, end)"
        open
        :percent="s.percent"
        :max="s.percent ? 1 : 1e12"
        :label="`${s.label} ${end === 0 ? 'from' : 'to'}`"
        :placeholder="end === 0 ? 'from' : 'to'"
        @change="(value) => set(s.by, end, value)"
        @clear="set(s.by, end, null)"
      />
    </div>
  </SideGroup>
</template>

<style scoped>
.span {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: 2px 6px;
  padding: 2px 0;
}
.span > .small {
  grid-column: 1 / -1;
}
.span :deep(.n-input.figure.number) {
  width: 100%;
}
</style>
