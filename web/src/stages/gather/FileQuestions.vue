<script setup lang="ts">
import { NRadio, NRadioGroup, NSpace } from 'naive-ui'
import { computed } from 'vue'
import { answerOf, answerTo, openQuestions, type Question } from '@sickle/core/intake'
import type { KindName } from '@sickle/core/records'
import { useGather } from './gather-store'

/** Questions with a few answers: which kind of record the file holds, or how its cells are to be read. */
const { about } = defineProps<{ about: 'kind' | 'cells' }>()
const gather = useGather()
const now = computed(() => gather.current!)
/** As long as columns are used so, also those that are answered: an answer can be changed. */
const questions = computed(() => {
  const all = openQuestions(now.value.proposal.questions, { ...now.value.mapping, said: [] })
  return all.filter((q) => (about === 'kind' ? q.about === 'kind' && isOpen(q) : cells.includes(q.about)))
})
const cells: Question['about'][] = ['order', 'number', 'ratio', 'future']
const isOpen = (q: Question) => gather.openQuestions.some((o) => o.id === q.id)

function answer(q: Question, value: string) {
  if (q.about === 'kind') void gather.chooseKind(value as KindName)
  else void gather.correct(answerTo(q, value, now.value.mapping))
}
</script>

<template>
  <div
    v-for="q in questions"
    :key="q.id"
    role="radiogroup"
    :aria-label="q.text"
    class="group"
    :class="{ open: isOpen(q) }"
  >
    <b>{{ q.text }}</b>
    <NRadioGroup
      size="small"
      :name="q.id"
      :value="answerOf(q, now.mapping)"
      @update:value="(v: string) => answer(q, v)"
    >
      <NSpace vertical size="small">
        <NRadio v-for="o in q.options" :key="o.value" :value="o.value" :label="o.label" />
      </NSpace>
    </NRadioGroup>
  </div>
</template>

<style scoped>
.group {
  display: grid;
  gap: 6px;
  font-size: 13px;
}
b {
  font-weight: 500;
}
.open {
  background: var(--wheat-soft);
  border-left: 3px solid var(--wheat);
  border-radius: 4px;
  padding: 8px 10px;
}
</style>
