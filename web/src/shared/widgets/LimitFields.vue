<script setup lang="ts">
import { NButton } from 'naive-ui'
import { ref, useTemplateRef } from 'vue'
import { limitSchema, type Span } from '@sickle/core/engine'
import { firstFault } from '@sickle/core/schema'
import type { LimitedFigure } from '../limited-figure'
import { valueWords } from '../span-words'
import NumberField from './NumberField.vue'

/** Both ends of a limit. They count when they are set together, by Enter or the button: what is half typed limits nothing. */
const { measure, span } = defineProps<{
  measure: LimitedFigure
  span: readonly [number | null, number | null] | null
}>()
const emit = defineEmits<{ set: [span: Span] }>()
const ends = ref<Span>([span?.[0] ?? null, span?.[1] ?? null])
const fields = useTemplateRef('fields')
const fault = ref('')
const typed = (end: 0 | 1, value: number | null) =>
  void (ends.value = end === 0 ? [value, ends.value[1]] : [ends.value[0], value])
function set() {
  if (fields.value?.some((f) => f?.isFaulty())) return
  const [from, to] = ends.value
  fault.value = firstFault(limitSchema, [from, to]) ? `From lies above to: exchange them.` : ''
  if (fault.value === '') emit('set', [from, to])
}
const words = ['from', 'to'] as const
const band = (() => {
  const [low, high] = measure.band ?? [null, null]
  if (low !== null && high !== null) return `from ${valueWords(measure, low)} to ${valueWords(measure, high)}`
  return low === null ? `up to ${valueWords(measure, high ?? 0)}` : `from ${valueWords(measure, low)}`
})()
</script>

<template>
  <form @submit.prevent="set" @keydown.enter.prevent="set">
    <label v-for="(word, end) in words" :key="word"
      >{{ word }}
      <NumberField
        ref="fields"
        :value="ends[end]"
        :percent="measure.format === 'percent'"
        open
        :min="-1e12"
        :max="1e12"
        placeholder="open"
        :label="`${measure.label} ${word}`"
        @change="(v) => typed(end as 0 | 1, v)"
        @clear="typed(end as 0 | 1, null)"
    /></label>
    <p v-if="fault" class="small loss" role="alert">{{ fault }}</p>
    <NButton size="tiny" type="primary" attr-type="submit">Set the limit</NButton>
    <p v-if="measure.format === 'percent' || measure.band" class="small quiet">
      {{ measure.format === 'percent' ? 'In percent. ' : '' }}{{ measure.band ? `Rule of thumb: ${band}.` : '' }}
    </p>
  </form>
</template>

<style scoped>
form {
  display: grid;
  gap: 6px;
}
label {
  display: grid;
  grid-template-columns: 36px 1fr;
  align-items: center;
}
</style>
