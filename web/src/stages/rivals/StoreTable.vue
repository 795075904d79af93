<script setup lang="ts">
import { computed, useTemplateRef } from 'vue'
import { origins, storeFigures, type Origin, type StoreFigure } from '@sickle/core/stores'
import { count, currencySign, figureText } from '@/shared/format'
import { isSecondPress } from '@/shared/second-press'
import { useRules } from '@/shared/stores/rules'
import { usePool } from '@/shared/stores/pool'
import { useTallList } from '@/shared/use-tall-list'
import GradeMark from '@/shared/widgets/GradeMark.vue'
import { useRivals } from './rivals-store'

/** The stores in their order, of which only the rows on the screen are built. */
const rivals = useRivals()
const rules = useRules()
const pool = usePool()
const emit = defineEmits<{ open: [] }>()
const box = useTemplateRef('box')
const none = new Map<number, number>()
const [rowHeight, headHeight] = [30, 30]
const { rows, total, show } = useTallList(
  box,
  () => ({ count: rivals.found.length, rowHeight, extra: none }),
  headHeight,
)
const shown = ['unitsTotal', 'units', 'revenue', 'listings', 'sellThrough', 'averagePrice', 'feedback']
const columns = computed(() => shown.flatMap((name) => storeFigures.find((f) => f.name === name) ?? []))
const at = (place: number) => rivals.found[place] as number
const text = ({ name, format }: StoreFigure, store: number) =>
  figureText(rivals.list?.figures[name]?.[store] ?? NaN, format, rules.home)
const originOf = (name: string, store: number): Origin => origins[rivals.list?.from[name]?.[store] ?? 0] ?? 'unknown'
const originWords: Record<Origin, string> = {
  unknown: 'not known',
  stated: 'as a list of stores states it',
  summed: 'summed from the listings gathered',
  scaled: 'a list states it for another window: brought to 30 days, an estimate',
}
const sorted = (by: string) =>
  rivals.query.sort.by === by ? (rivals.query.sort.descending ? 'descending' : 'ascending') : 'none'
const mark = (by: string) => (rivals.query.sort.by === by ? (rivals.query.sort.descending ? ' ▾' : ' ▴') : '')
function open(store: number) {
  rivals.choose(store)
  emit('open')
}
/** Goes on from the chosen store to the next or the one before. */
function move(by: 1 | -1) {
  const place = rivals.found.indexOf(rivals.chosenAt)
  const next = Math.max(0, Math.min(rivals.found.length - 1, place < 0 ? 0 : place + by))
  if (rivals.found.length === 0) return
  rivals.choose(at(next))
  show(next)
}
const pooled = (store: number) => {
  const name = rivals.nameAt(store)
  return name !== null && pool.has(name)
}
function togglePool(store: number) {
  const name = rivals.nameAt(store)
  if (name) void pool.toggle(name)
}
const whole = (n: number | undefined) => (n === undefined ? '–' : count(n))
defineExpose({ move })
</script>

<template>
  <div
    ref="box"
    class="panel tall table"
    role="grid"
    aria-label="Stores"
    :aria-rowcount="rivals.found.length + 1"
    tabindex="0"
    @keydown.down.prevent="move(1)"
    @keydown.up.prevent="move(-1)"
    @keydown.enter.self="$emit('open')"
  >
    <div class="line head" role="row" :class="{ selling: rivals.selling }">
      <span role="columnheader" title="In the pool"><span class="sr-only">In the pool</span></span>
      <span role="columnheader" :aria-sort="sorted('name')"
        ><button class="bare" @click="rivals.sortBy('name')">Store{{ mark('name') }}</button></span
      >
      <span role="columnheader">Market</span>
      <span role="columnheader" class="num" :aria-sort="sorted('age')"
        ><button class="bare" @click="rivals.sortBy('age')">Months{{ mark('age') }}</button></span
      >
      <span v-if="rivals.selling" role="columnheader" class="num" :aria-sort="sorted('selling')"
        ><button class="bare" :title="`Its listings of ${rivals.selling.label}`" @click="rivals.sortBy('selling')">
          Of these{{ mark('selling') }}
        </button></span
      >
      <span v-for="c in columns" :key="c.name" role="columnheader" class="num" :aria-sort="sorted(c.name)"
        ><button class="bare" @click="rivals.sortBy(c.name)">
          {{ c.label }}{{ c.format === 'money' ? `, ${currencySign(rules.home)}` : '' }}{{ mark(c.name) }}
        </button></span
      >
    </div>
    <div class="rows" :style="{ height: `${total}px` }">
      <div
        v-for="r in rows"
        :key="at(r.index)"
        class="line at"
        role="row"
        :class="{ on: at(r.index) === rivals.chosenAt, selling: rivals.selling }"
        :aria-selected="at(r.index) === rivals.chosenAt"
        :aria-rowindex="r.index + 2"
        :style="{ transform: `translateY(${r.start}px)` }"
        @click="rivals.choose(at(r.index))"
        @mousedown="isSecondPress($event) && open(at(r.index))"
      >
        <span role="gridcell" class="tick"
          ><input
            type="checkbox"
            tabindex="-1"
            :checked="pooled(at(r.index))"
            :aria-label="`In the pool: ${rivals.list?.names[at(r.index)] ?? ''}`"
            @click.stop
            @mousedown.stop
            @change="togglePool(at(r.index))"
        /></span>
        <span role="gridcell" class="name">{{ rivals.list?.names[at(r.index)] }}</span>
        <span role="gridcell" class="quiet">{{ rivals.list?.markets[at(r.index)] }}</span>
        <span role="gridcell" class="num">{{
          figureText(rivals.list?.age[at(r.index)] ?? NaN, 'count', rules.home)
        }}</span>
        <span v-if="rivals.selling" role="gridcell" class="num">{{ whole(rivals.counts?.[at(r.index)]) }}</span>
        <span
          v-for="c in columns"
          :key="c.name"
          role="gridcell"
          class="num"
          :class="{ summed: originOf(c.name, at(r.index)) === 'summed' }"
          :title="originWords[originOf(c.name, at(r.index))]"
          >{{ text(c, at(r.index)) }}<GradeMark v-if="originOf(c.name, at(r.index)) === 'scaled'" grade="estimated"
        /></span>
      </div>
    </div>
  </div>
</template>

<style scoped>
.table {
  font-size: 13px;
}
.line {
  grid-template-columns: 20px minmax(140px, 1.4fr) 96px 58px repeat(7, minmax(84px, 1fr));
  column-gap: 10px;
  height: 30px;
  padding: 0 12px;
}
.line > span {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.line.selling {
  grid-template-columns: 20px minmax(140px, 1.4fr) 96px 58px repeat(8, minmax(80px, 1fr));
}
.tick input {
  display: block;
  width: 15px;
  height: 15px;
  margin: 0;
  accent-color: var(--moss);
}
.head button {
  max-width: 100%;
  overflow: hidden;
  text-overflow: ellipsis;
}
.at {
  cursor: pointer;
}
.at:hover {
  background: var(--sunk);
}
.at.on {
  background: var(--slate-soft);
  box-shadow: inset 3px 0 0 var(--slate);
}
.name {
  font-weight: 500;
}
.summed {
  color: var(--quiet);
}
</style>
