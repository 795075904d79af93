<script setup lang="ts">
import type { Item } from '@sickle/core/catalog'
import type { FindRow } from '@sickle/core/engine'
import { isSecondPress } from '@/shared/second-press'
import GoodsPicture from '@/shared/widgets/GoodsPicture.vue'
import { useOwn } from '@/shared/stores/own'
import { decidedWords } from '@/shared/stores/sheaf'
import FindCell from './FindCell.vue'
import FindListings from './FindListings.vue'
import type { FindColumn } from './columns'

const { row, home } = defineProps<{
  row: FindRow | null
  home: string
  columns: FindColumn[]
  selected: boolean
  decision: 'keep' | 'hold' | 'drop' | null
  /** the item, where its listings are shown */
  unfolded: Item | null
}>()
const emit = defineEmits<{
  choose: []
  open: []
  unfold: [key: string]
  point: [row: FindRow | null, event: MouseEvent]
}>()
const own = useOwn()
function press(event: MouseEvent) {
  if (!isSecondPress(event)) return
  // what is opened is the row pressed, also where the first click was on its fold
  emit('choose')
  emit('open')
}
</script>

<template>
  <div
    class="find"
    role="row"
    :class="{ selected }"
    :aria-selected="selected"
    :tabindex="selected ? 0 : -1"
    @click="$emit('choose')"
    @mousedown="press"
    @keydown.enter="$emit('open')"
  >
    <template v-if="row">
      <div class="item" role="gridcell">
        <GoodsPicture
          :src="row.picture"
          :title="row.title"
          @mouseenter="$emit('point', row, $event)"
          @mouseleave="$emit('point', null, $event)"
        />
        <div class="words">
          <div class="title" :title="row.title">{{ row.title }}</div>
          <div class="meta">
            {{ row.markets.map((m) => m.charAt(0)).join(' ') }} ·
            <button
              class="bare unfold"
              :tabindex="selected ? 0 : -1"
              :aria-expanded="unfolded !== null"
              :title="unfolded ? 'Fold its listings' : 'Show its listings'"
              @click.stop="$emit('unfold', row.key)"
              @mousedown.stop
            >
              {{ unfolded ? '▾' : '▸' }} {{ row.listings }} {{ row.listings === 1 ? 'listing' : 'listings' }}</button
            ><b v-if="decision" class="decided" :class="decision"> · {{ decidedWords[decision] }}</b
            ><b v-if="row.clearing === 'restricted'" class="barred" title="by a list, or by your own">
              · may not be listed</b
            ><b v-else-if="row.clearing === 'needs approval'" class="barred"> · needs approval</b
            ><b v-if="own.isMine(row.key)" class="mine" title="among my own goods"> · mine</b>
          </div>
        </div>
      </div>
      <FindCell v-for="c in columns" :key="c.id" :column="c" :row="row" :home="home" />
      <FindListings v-if="unfolded" :item="unfolded" :home="home" />
    </template>
    <div v-else class="quiet small" role="gridcell">…</div>
  </div>
</template>

<style scoped>
.find {
  position: absolute;
  left: 0;
  right: 0;
  grid-template-rows: 60px;
  contain: layout style;
  align-items: center;
  padding: 0 10px;
  border-bottom: 1px solid var(--line);
  font-size: 13px;
  line-height: 1.3;
  cursor: pointer;
}
.find:hover {
  background: var(--sunk);
}
.find.selected {
  background: var(--slate-soft);
  box-shadow: inset 3px 0 0 var(--slate);
}
.item {
  display: flex;
  align-items: center;
  gap: 10px;
  min-width: 0;
}
.words {
  min-width: 0;
}
.title {
  font-weight: 500;
  display: -webkit-box;
  -webkit-line-clamp: 2;
  -webkit-box-orient: vertical;
  overflow: hidden;
}
.barred {
  color: var(--clay);
  font-weight: 500;
}
/* what may not be listed is told in full, if need be in a line of its own */
.words:has(.barred) .title {
  -webkit-line-clamp: 1;
}
.words:has(.barred) .meta {
  white-space: normal;
}
.mine {
  color: var(--slate);
}
.unfold {
  color: var(--slate);
}
.meta {
  white-space: nowrap;
  font-size: 12px;
  color: var(--quiet);
}
</style>
