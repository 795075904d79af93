<script setup lang="ts">
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
      <label v-for="j in list.of" :key="j.id" :class="{ on: ticked.has(j.id), bad: !j.good }">
        <input type="checkbox" :checked="ticked.has(j.id)" @change="store.toggle(item.key, j.id)" />
        <span
          >{{ j.text }}<span v-if="j.hint" class="small quiet"><br />{{ j.hint }}</span></span
        >
      </label>
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
label {
  display: flex;
  gap: 7px;
  padding: 3px 0;
  line-height: 1.3;
  cursor: pointer;
}
label.on {
  color: var(--moss);
  font-weight: 600;
}
label.on.bad {
  color: var(--clay);
}
</style>
