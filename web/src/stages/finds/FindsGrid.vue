<script setup lang="ts">
import { computed, nextTick, onBeforeUpdate, onUpdated, ref, shallowRef, useTemplateRef, watch } from 'vue'
import type { Item } from '@sickle/core/catalog'
import type { FindRow } from '@sickle/core/engine'
import { useServices } from '@/services/services'
import { currencySign } from '@/shared/format'
import { useRoom } from '@/shared/use-room'
import { plain } from '@/storage/plain'
import { useQuery } from '@/shared/stores/query'
import { useRules } from '@/shared/stores/rules'
import { useSettings } from '@/shared/stores/settings'
import { useSheaf } from '@/shared/stores/sheaf'
import { useWorkspace } from '@/shared/stores/workspace'
import { useTallList } from '@/shared/use-tall-list'
import GoodsPicture from '@/shared/widgets/GoodsPicture.vue'
import ColumnChooser from './ColumnChooser.vue'
import FindsRow from './FindsRow.vue'
import { chosenColumns, fitting } from './columns'

const emit = defineEmits<{ open: [] }>()
const query = useQuery()
const rules = useRules()
const sheaf = useSheaf()
const workspace = useWorkspace()
const settings = useSettings()
const services = useServices()
const box = useTemplateRef('box')
/** items whose listings are shown, by key */
const unfolded = shallowRef(new Map<string, Item>())
const total = computed(() => query.answer?.matching ?? 0)
/** Those of them that the answer has, by place, with the room their listings take. */
const extra = computed(() => {
  const taller = new Map<number, number>()
  if (unfolded.value.size === 0) return taller
  for (const [place, { key }] of query.rows) {
    const open = unfolded.value.get(key)
    if (open) taller.set(place, 8 + open.listings.length * 24)
  }
  return taller
})
const {
  rows,
  total: height,
  show,
} = useTallList(box, () => ({ count: total.value, rowHeight: 60, extra: extra.value }), 44)
const itemOf = (key: string) => services.engine.call('seenItem', [key, plain(query.query.lens)])
async function unfold(key: string) {
  const next = new Map(unfolded.value)
  if (!next.delete(key)) {
    const item = await itemOf(key)
    if (item) next.set(key, item)
  }
  unfolded.value = next
}
// What is shown was worked out anew: it stays open with what it is now.
watch([() => workspace.version, () => query.query.lens], async () => {
  const keys = [...unfolded.value.keys()]
  const items = await Promise.all(keys.map(itemOf))
  const now = new Map(unfolded.value)
  keys.forEach((key, i) => {
    const item = items[i]
    if (!item) now.delete(key)
    else if (now.has(key)) now.set(key, item)
  })
  unfolded.value = now
})
/** What is pointed at, larger. */
const peek = ref<{ row: FindRow; top: number; left: number } | null>(null)
function point(row: FindRow | null, event: MouseEvent) {
  const at = (event.currentTarget as HTMLElement).getBoundingClientRect()
  peek.value = row && { row, left: at.right + 12, top: Math.min(at.top, window.innerHeight - 300) }
}
watch([rows, () => query.rows], ([list]) => {
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
  await query.settled() // what was asked last is what the keys walk through
  const from = at.value >= 0 ? at.value : step > 0 ? lastAt - (lastAt < 0 ? 0 : 1) : lastAt
  const place = Math.max(0, Math.min(total.value - 1, from + step))
  await query.ensure(place, place)
  query.selected = query.rows.get(place)?.key ?? query.selected
  show(place)
  await nextTick()
  box.value?.querySelector<HTMLElement>('[aria-selected="true"]')?.focus({ preventScroll: true })
}
/** How the list is ordered by a column, as assistive technology names it; of one that cannot sort, nothing is said. */
function orderOf(by: string | null) {
  const { sort } = query.query
  if (by === null) return undefined
  return sort.by !== by ? 'none' : sort.descending ? 'descending' : 'ascending'
}
function sortBy(by: string | null) {
  if (by === null) return

  const { sort } = query.query
  query.change({ sort: { by, descending: sort.by === by ? !sort.descending : by !== 'price' } })
}
// A row that goes takes the focus with it; the list keeps it, so that the keys go on.
let hadFocus = false
onBeforeUpdate(() => (hadFocus = Boolean(box.value?.contains(document.activeElement))))
onUpdated(() => {
  if (hadFocus && document.activeElement === document.body) box.value?.focus({ preventScroll: true })
})
const sign = computed(() => currencySign(rules.home))
const { width } = useRoom(box)
const columns = computed(() => fitting(chosenColumns(settings.value.columns, sign.value), width.value || 1000))
const template = computed(() => `minmax(150px, 1fr) ${columns.value.map((c) => `${c.width}px`).join(' ')}`)
const hidden = computed(() => settings.value.columns.length - columns.value.length)
function first() {
  lastAt = -1
  return move(1)
}
const unfoldSelected = () => (query.selected ? unfold(query.selected) : undefined)
const titleOf = (key: string) => [...query.rows.values()].find((r) => r.key === key)?.title ?? key
defineExpose({ move, first, titleOf, unfoldSelected })
</script>

<template>
  <div
    ref="box"
    class="panel grid"
    tabindex="-1"
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
        :aria-sort="orderOf(c.sortBy)"
      >
        <span v-if="c.sortBy === null" class="still">{{ c.label }}</span>
        <button
          v-else
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
    <div :style="{ height: `${height}px`, position: 'relative' }">
      <FindsRow
        v-for="v in rows"
        :key="v.index"
        :row="query.rows.get(v.index) ?? null"
        :home="rules.home"
        :columns="columns"
        :selected="query.rows.get(v.index)?.key === query.selected"
        :decision="sheaf.decisionOf(query.rows.get(v.index)?.key ?? '')?.state ?? null"
        :style="{ transform: `translateY(${v.start}px)` }"
        :aria-rowindex="v.index + 2"
        :unfolded="unfolded.get(query.rows.get(v.index)?.key ?? '') ?? null"
        @choose="query.selected = query.rows.get(v.index)?.key ?? null"
        @open="emit('open')"
        @unfold="unfold"
        @point="point"
      />
    </div>
    <div v-if="peek" class="peek panel" :style="{ top: `${peek.top}px`, left: `${peek.left}px` }" aria-hidden="true">
      <GoodsPicture :src="peek.row.picture" :title="peek.row.title" :size="220" />
      <p class="small">{{ peek.row.title }}</p>
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
.head button,
.still {
  line-height: 1.2;
  white-space: pre-line;
}
.head button.on {
  color: var(--slate);
  font-weight: 600;
}
.peek {
  position: fixed;
  z-index: 5;
  width: 244px;
  padding: 11px;
  pointer-events: none;
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
