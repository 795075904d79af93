<script setup lang="ts" generic="T extends string">
import { computed, ref } from 'vue'
import type { Span } from '@sickle/core/engine'
import type { FigureLimits } from '../figure-limits'
import type { LimitedFigure } from '../limited-figure'
import BareButton from './BareButton.vue'
import HousePopover from './HousePopover.vue'
import HouseSelect from './HouseSelect.vue'
import LimitFields from './LimitFields.vue'

/** A limit by any figure, also by those that are not seen. */
const { figures, limits } = defineProps<{
  figures: readonly (LimitedFigure & { name: T })[]
  limits: FigureLimits<T>
}>()
const emit = defineEmits<{ set: [name: T, span: Span] }>()
const open = ref(false)
const by = ref<T | null>(null)
const chosen = computed(() => figures.find((f) => f.name === by.value) ?? null)
const chosenName = computed((): T | null => chosen.value?.name ?? null)
const options = computed(() => figures.map((f) => ({ value: f.name, label: f.label })))
function set(span: Span) {
  if (chosen.value) emit('set', chosen.value.name, span)
  open.value = false
  by.value = null
}
</script>

<template>
  <HousePopover v-model:show="open" label="Another limit" placement="bottom-start">
    <template #trigger><BareButton type="info" class="link small">Another limit</BareButton></template>
    <div class="pane">
      <HouseSelect
        :model-value="chosenName"
        filterable
        size="small"
        label="Limit by"
        placeholder="Which figure?"
        :options="options"
        @update:model-value="(name) => (by = name)"
      />
      <LimitFields v-if="chosen" :key="chosen.name" :measure="chosen" :span="limits[chosen.name] ?? null" @set="set" />
    </div>
  </HousePopover>
</template>

<style scoped>
.pane {
  display: grid;
  gap: 8px;
  width: 210px;
}
</style>
