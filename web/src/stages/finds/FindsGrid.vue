<script setup lang="ts">
import { useVirtualizer } from '@tanstack/vue-virtual'
import { useElementSize } from '@vueuse/core'
import { computed, nextTick, useTemplateRef, watch } from 'vue'
import { currencySign } from '@/shared/format'
import { useQuery } from '@/shared/stores/query'
import { useRules } from '@/shared/stores/rules'
import { useSettings } from '@/shared/stores/settings'
import { useSheaf } from '@/shared/stores/sheaf'
import ColumnChooser from './ColumnChooser.vue'
import FindsRow from './FindsRow.vue'
import { chosenColumns, fitting } from './columns'

const emit = defineEmits<{ open: [] }>()
const query = useQuery()
const rules = useRules()
const sheaf = useSheaf()
const settings = useSettings()
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
const { width } = useElementSize(box)
const columns = computed(() => fitting(chosenColumns(settings.value.columns, sign.value), width.value || 1000))
const template = computed(() => `minmax(150px, 1fr) ${columns.value.map((c) => `${c.width}px`).join(' ')}`)
const hidden = computed(() => settings.value.columns.length - columns.value.length)
function first() {
  lastAt = -1
  return move(1)
}
const titleOf = (key: string) => [...query.rows.values()].find((r) => r.key === key)?.title ?? key
defineExpose({ move, first, titleOf })
</script>

<template>
  <div
    ref="box"
    class="panel grid"
    role="grid"
    aria-label="Items"
    :aria-rowcount="total + 1"
    :style="{ '--columns': template }"
  >
    <div class="head" role="row">
      <span role="columnheader" class="first">Item <ColumnChooser :hidden="hidden" /></span>
      <span
        v-for="c in columns"
        :key="c.id"
        role="columnheader"
        :class="[`c-${c.sortBy}`, { left: c.left }]"
        :aria-sort="
          query.query.sort.by === c.sortBy ? (query.query.sort.descending ? 'descending' : 'ascending') : 'none'
        "
      >
        <button
          class="bare"
          :title="c.title ?? `Sort by ${c.label.replace('\n', ' ')}`"
          :class="{ on: query.query.sort.by === c.sortBy }"
          @click="sortBy(c.sortBy)"
        >
          {{ c.label
          }}<template v-if="query.query.sort.by === c.sortBy">{{ query.query.sort.descending ? ' ▾' : ' ▴' }}</template>
        </button>
      </span>
    </div>
    <div :style="{ height: `${virtual.getTotalSize()}px`, position: 'relative' }">
      <FindsRow
        v-for="v in visible"
        :key="v.index"
        :row="query.rows.get(v.index) ?? null"
        :home="rules.home"
        :columns="columns"
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
.head > span.left,
.head > span.left button {
  text-align: left;
}
</style>

<style>
.grid .head,
.grid .find {
  display: grid;
  grid-template-columns: var(--columns);
  column-gap: 8px;
}
</style>
