<script setup lang="ts">
import { NAutoComplete } from 'naive-ui'
import { computed, ref } from 'vue'
import type { Term } from '@sickle/core/terms'

/** A term found by part of its name. */
const { terms, hint } = defineProps<{ terms: Term[]; hint: string }>()
const emit = defineEmits<{ choose: [key: string] }>()
const typed = ref('')
const options = computed(() => {
  const text = typed.value.trim().toLowerCase()
  if (text === '') return []
  return terms
    .filter((t) => t.phrase.toLowerCase().includes(text))
    .slice(0, 12)
    .map((t) => ({ label: `${t.phrase} · ${t.market}`, value: t.key }))
})
function choose(key: string) {
  emit('choose', key)
  typed.value = ''
}
</script>

<template>
  <NAutoComplete
    :value="typed"
    size="small"
    :placeholder="hint"
    :options="options"
    :input-props="{ 'aria-label': hint }"
    clear-after-select
    @update:value="(v: string | null) => (typed = v ?? '')"
    @select="choose"
  />
</template>
