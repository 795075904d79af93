<script setup lang="ts">
import { computed } from 'vue'
import { measure } from '@sickle/core/engine'
import { useQuery } from '@/shared/stores/query'
import { useRules } from '@/shared/stores/rules'
import { useSettings } from '@/shared/stores/settings'
import CombStrip from './CombStrip.vue'

const query = useQuery()
const rules = useRules()
const settings = useSettings()
const strips = computed(() => settings.value.strips.map(measure))
</script>

<template>
  <section class="panel comb" aria-label="Comb">
    <CombStrip
      v-for="m in strips"
      :key="m.name"
      :measure="m"
      :home="rules.home"
      :strip="query.answer?.strips.find((s) => s.measure === m.name)"
      :span="query.query.limits[m.name] ?? null"
      @limit="(span) => query.setLimit(m.name, span)"
    />
  </section>
</template>

<style scoped>
.comb {
  display: flex;
  gap: clamp(8px, 1vw, 14px);
  padding: 7px 12px 6px;
  flex: none;
}
</style>
