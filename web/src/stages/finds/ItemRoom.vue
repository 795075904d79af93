<script setup lang="ts">
import { computed } from 'vue'
import type { Item } from '@sickle/core/catalog'
import { isThereRoom } from '@/shared/answers'
import { count, percent } from '@/shared/format'
import GradeMark from '@/shared/widgets/GradeMark.vue'

/** How sales are spread over those who sell: each a part of one bar, the largest first. */
const { item } = defineProps<{ item: Item }>()
const most = 12
const parts = computed(() => {
  const sums = new Map<string, number>()
  for (const l of item.listings) {
    const name = `${l.store ?? l.id} (${l.market})`
    sums.set(name, (sums.get(name) ?? 0) + (l.units ?? 0))
  }
  const all = [...sums.values()].reduce((a, b) => a + b, 0)
  const sorted = [...sums].filter(([, n]) => n > 0).sort((a, b) => b[1] - a[1])
  const rest = sorted.slice(most).reduce((sum, [, n]) => sum + n, 0)
  return [...sorted.slice(0, most), ...(rest > 0 ? [['the others', rest] as [string, number]] : [])].map(
    ([name, units]) => ({
      name,
      units,
      share: units / all,
    }),
  )
})
</script>

<template>
  <article>
    <h3>Is there room? <GradeMark v-if="item.room.topShare !== null" :grade="item.unitsGrade" /></h3>
    <p>{{ isThereRoom(item) }}</p>
    <div v-if="parts.length > 1" class="shares" role="img" aria-label="Units by seller, the largest first">
      <span
        v-for="(p, i) in parts"
        :key="p.name"
        :style="{ width: `${p.share * 100}%` }"
        :class="{ first: i === 0 }"
        :title="`${p.name}: ${count(p.units)} units in 30 days, ${percent(p.share)}`"
        >{{ p.share > 0.09 ? percent(p.share) : '' }}</span
      >
    </div>
  </article>
</template>

<style scoped>
.shares {
  display: flex;
  gap: 1px;
  height: 22px;
}
.shares span {
  background: var(--bar);
  border-radius: 3px;
  font-size: 11px;
  text-align: center;
  line-height: 22px;
  overflow: hidden;
  min-width: 2px;
}
.shares .first {
  background: var(--slate);
  color: var(--panel);
}
</style>
