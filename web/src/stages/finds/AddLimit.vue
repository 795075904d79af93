<script setup lang="ts">
import { computed, ref } from 'vue'
import { measure, measures, type Span } from '@sickle/core/engine'
import { useQuery } from '@/shared/stores/query'
import BareButton from '@/shared/widgets/BareButton.vue'
import HousePopover from '@/shared/widgets/HousePopover.vue'
import HouseSelect from '@/shared/widgets/HouseSelect.vue'
import LimitFields from '@/shared/widgets/LimitFields.vue'

/** A limit by any figure, also by those that have no strip. */
const query = useQuery()
const open = ref(false)
const by = ref<string | null>(null)
const chosen = computed(() => (by.value === null ? null : measure(by.value)))
const options = measures.map((m) => ({ value: m.name, label: m.label }))
function set(span: Span) {
  if (by.value !== null) query.setLimit(by.value, span)
  open.value = false
  by.value = null
}
</script>

<template>
  <HousePopover v-model:show="open" label="Another limit" placement="bottom-start">
    <template #trigger><BareButton type="info" class="link small">Another limit</BareButton></template>
    <div class="pane">
      <HouseSelect
        v-model="by"
        filterable
        size="small"
        label="Limit by"
        placeholder="Which figure?"
        :options="options"
      />
      <LimitFields
        v-if="chosen"
        :key="chosen.name"
        :measure="chosen"
        :span="query.query.limits[chosen.name] ?? null"
        @set="set"
      />
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
