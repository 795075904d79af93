<script setup lang="ts">
import { useVirtualizer } from '@tanstack/vue-virtual'
import { computed, nextTick, useTemplateRef, watch } from 'vue'
import { currencySign } from '@/shared/format'
import { useQuery } from '@/shared/stores/query'
import { useRules } from '@/shared/stores/rules'
import { useSheaf } from '@/shared/stores/sheaf'
import FindsRow from './FindsRow.vue'

const emit = defineEmits<{ open: [] }>()
const query = useQuery()
const rules = useRules()
const sheaf = useSheaf()
const box = useTemplateRef('box')
const total = computed(() => query.answer?.matching ?? 0)
const virtual = useVirtualizer(
  computed(() => ({ count: total.value, getScrollElement: () => box.value, estimateSize: () => 60, overscan: 3 })),
)
const visible = computed(() => virtual.value.getVirtualItems())
watch(visible, (list) => {
  const [first, last] = [list[0], list.at(-1)]
  if (first && last) void query.ensure(first.index, last.index)
})
const at = computed(() => {
  for (const [place, row] of query.rows) if (row.key === query.selected) return place
  return -1
})
// A dropped item leaves the list: the one that takes its place is looked at next.
let lastAt = -1
watch(at, (place) => {
  if (place >= 0) lastAt = place
})
async function move(step: number) {
  const from = at.value >= 0 ? at.value : step > 0 ? lastAt - (lastAt < 0 ? 0 : 1) : lastAt
  const place = Math.max(0, Math.min(total.value - 1, from + step))
  await query.ensure(place, place)
  query.selected = query.rows.get(place)?.key ?? query.selected
  virtual.value.scrollToIndex(place)
  await nextTick()
  box.value?.querySelector<HTMLElement>('[aria-selected="true"]')?.focus({ preventScroll: true })
}
function sortBy(by: string) {
  const { sort } = query.query
  query.change({ sort: { by, descending: sort.by === by ? !sort.descending : by !== 'price' } })
}
const sign = computed(() => currencySign(rules.home))
const heads = computed(() => [
  { by: 'price', label: `Price\n${sign.value}` },
  { by: 'units', label: 'Units\n30 d' },
  { by: 'growth', label: '90 days' },
  { by: 'sellThrough', label: 'Sold, per\nlisting' },
  { by: 'room', label: 'Room' },
  { by: 'landed', label: `Landed\n${sign.value}` },
  { by: 'profit', label: `Profit\n${sign.value}, %` },
  { by: 'worth', label: 'Worth' },
])
const titles: Record<string, string> = {
  growth: 'Sort by growth over 28 days',
  sellThrough: 'Share of listings that sold at least once; units per listing',
  room: 'How open it is to one more seller',
  profit: 'At the lowest competing price of the market where it earns most',
}
function first() {
  lastAt = -1
  return move(1)
}
const titleOf = (key: string) => [...query.rows.values()].find((r) => r.key === key)?.title ?? key
defineExpose({ move, first, titleOf })
</script>

<template>
  <div ref="box" class="panel grid" role="grid" aria-label="Items" :aria-rowcount="total + 1">
    <div class="head" role="row">
      <span role="columnheader" class="first">Item</span>
      <span
        v-for="h in heads"
        :key="h.by"
        role="columnheader"
        :class="`c-${h.by}`"
        :aria-sort="query.query.sort.by === h.by ? (query.query.sort.descending ? 'descending' : 'ascending') : 'none'"
      >
        <button
          class="bare"
          :title="titles[h.by] ?? `Sort by ${h.label.replace('\n', ', ')}`"
          :class="{ on: query.query.sort.by === h.by }"
          @click="sortBy(h.by)"
        >
          {{ h.label
          }}<template v-if="query.query.sort.by === h.by">{{ query.query.sort.descending ? ' ▾' : ' ▴' }}</template>
        </button>
      </span>
    </div>
    <div :style="{ height: `${virtual.getTotalSize()}px`, position: 'relative' }">
      <FindsRow
        v-for="v in visible"
        :key="v.index"
        :row="query.rows.get(v.index) ?? null"
        :home="rules.home"
        :selected="query.rows.get(v.index)?.key === query.selected"
        :decision="sheaf.decisionOf(query.rows.get(v.index)?.key ?? '')?.state ?? null"
        :style="{ transform: `translateY(${v.start}px)` }"
        :aria-rowindex="v.index + 2"
        @choose="query.selected = query.rows.get(v.index)?.key ?? null"
        @open="emit('open')"
      />
    </div>
  </div>
</template>

<style scoped>
.grid {
  flex: 1;
  min-height: 0;
  overflow: auto;
  border-bottom: 0;
  border-radius: 8px 8px 0 0;
  container-type: inline-size;
}
.head {
  position: sticky;
  top: 0;
  z-index: 2;
  background: var(--panel);
  border-bottom: 1px solid var(--line);
  font-size: 12px;
  color: var(--quiet);
  padding: 5px 10px;
  align-items: end;
}
.head button {
  line-height: 1.2;
  white-space: pre-line;
}
.head button.on {
  color: var(--slate);
  font-weight: 600;
}
.head > span:not(.first) {
  text-align: right;
}
.head button {
  text-align: right;
}
.head .c-growth,
.head .c-growth button,
.head .c-room button,
.head > span.c-growth,
.head > span.c-room {
  text-align: left;
}
</style>

<style>
.grid .head,
.grid .find {
  display: grid;
  grid-template-columns: minmax(150px, 1fr) 84px 54px 86px 58px 54px 60px 46px;
  column-gap: 8px;
}
.grid .c-room {
  display: none;
}
@container (min-width: 900px) {
  .grid .head,
  .grid .find {
    grid-template-columns: minmax(180px, 1fr) 96px 62px 92px 66px 76px 62px 74px 62px;
  }
  .grid .c-room {
    display: block;
    padding-left: 10px;
  }
}
</style>
