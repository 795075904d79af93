<script setup lang="ts">
import { NCheckbox } from 'naive-ui'
import { computed } from 'vue'
import type { Item } from '@sickle/core/catalog'
import { judgementsFor } from '@sickle/core/verdict'
import { useJudgements } from '@/shared/stores/judgements'

/** What only a person can judge, one press each; what the figures know stands beside it. */
const { item } = defineProps<{ item: Item }>()
const store = useJudgements()
const lists = computed(() => {
  const all = judgementsFor(item)
  return [
    { title: 'Speaks for it', of: all.filter((j) => j.good) },
    { title: 'Speaks against it', of: all.filter((j) => !j.good) },
  ]
})
const ticked = computed(() => new Set(store.of(item.key)))
</script>

<template>
  <section aria-label="Judgement">
    <h3>Judge for yourself</h3>
    <template v-for="list in lists" :key="list.title">
      <h4>{{ list.title }}</h4>
      <NCheckbox
        v-for="j in list.of"
        :key="j.id"
        class="one"
        :class="{ on: ticked.has(j.id), bad: !j.good }"
        size="small"
        :checked="ticked.has(j.id)"
        @update:checked="store.toggle(item.key, j.id)"
      >
        {{ j.text }}<span v-if="j.hint" class="small quiet"><br />{{ j.hint }}</span>
      </NCheckbox>
    </template>
  </section>
</template>

<style scoped>
section {
  padding: 12px 14px;
  font-size: 13px;
}
h4 {
  margin: 10px 0 4px;
  font-size: 12px;
  font-weight: 500;
  color: var(--quiet);
}
.one {
  display: flex;
  min-height: 24px;
  padding: 3px 0;
  line-height: 1.3;
}
.one.on {
  --n-text-color: var(--moss) !important;
  font-weight: 600;
}
.one.on.bad {
  --n-text-color: var(--clay) !important;
}
</style>
