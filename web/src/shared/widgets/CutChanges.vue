<script setup lang="ts">
import { ref } from 'vue'
import type { cutChanges } from '@sickle/core/engine'
import { count, dayInWords } from '@/shared/format'
import HousePopover from './HousePopover.vue'
import BareButton from './BareButton.vue'

/** One that came or went; without a label it is no longer gathered. */
export interface Changed {
  key: string
  label: string | null
}

/** What a Cut finds now that it did not find on the data before, and the other way round. */
const { changes, labels } = defineProps<{
  changes: ReturnType<typeof cutChanges>
  /** what some of them are called */
  labels: (keys: string[]) => Promise<Changed[]>
}>()
defineEmits<{ open: [changed: Changed] }>()
const shown = 12
const lists = ref<{ title: string; of: number; rows: Changed[] }[]>([])
async function look() {
  const { came = [], went = [] } = changes ?? {}
  const [a, b] = await Promise.all([labels(came.slice(0, shown)), labels(went.slice(0, shown))])
  lists.value = [
    { title: 'New among them', of: came.length, rows: a },
    { title: 'No longer', of: went.length, rows: b },
  ]
}
</script>

<template>
  <HousePopover
    v-if="changes"
    label="What changed"
    placement="right-start"
    @update:show="(open: boolean) => open && look()"
  >
    <template #trigger>
      <BareButton type="info" class="changes">
        since {{ dayInWords(Math.floor(changes.since / 86_400_000)) }}: {{ count(changes.came.length) }} new,
        {{ count(changes.went.length) }} gone
      </BareButton>
    </template>
    <div class="lists">
      <section v-for="l in lists" :key="l.title">
        <h3>{{ l.title }}: {{ count(l.of) }}</h3>
        <BareButton
          v-for="r in l.rows"
          :key="r.key"
          type="info"
          class="item"
          :disabled="r.label === null"
          @click="$emit('open', r)"
        >
          {{ r.label ?? `${r.key}, no longer gathered` }}
        </BareButton>
        <p v-if="l.of > l.rows.length" class="small quiet">and {{ count(l.of - l.rows.length) }} more</p>
      </section>
    </div>
  </HousePopover>
  <p v-else class="first small">First run: what changes is told next time.</p>
</template>

<style scoped>
.changes,
.first {
  padding: 0 6px 2px;
  font-size: 12px;
  font-weight: 400;
}
.changes {
  text-decoration: underline;
  text-align: left;
}
.lists {
  display: grid;
  gap: 10px;
  max-width: 320px;
  max-height: 60vh;
  overflow: auto;
}
.item {
  display: block;
  width: 100%;
  padding: 2px 0;
  font-size: 13px;
}
</style>
