<script setup lang="ts">
import { useTemplateRef } from 'vue'
import type { Decision, DecisionState } from '@sickle/core/verdict'
import { useTallList } from '@/shared/use-tall-list'
import DecisionRow from './DecisionRow.vue'

/** What is decided, of which only the rows on the screen are built: a sheaf may hold ten thousand. */
const { list } = defineProps<{ list: readonly Decision[]; home: string }>()
defineEmits<{
  decide: [decision: Decision, action: DecisionState | 'clear']
  note: [decision: Decision, text: string]
  reason: [decision: Decision, text: string]
  look: [decision: Decision]
  cost: [decision: Decision]
}>()
const box = useTemplateRef('box')
const [rowHeight, headHeight] = [48, 28]
const none = new Map<number, number>()
const { rows, total } = useTallList(box, () => ({ count: list.length, rowHeight, extra: none }), headHeight)
</script>

<template>
  <div ref="box" class="tall table" role="table" aria-label="Decisions" :aria-rowcount="list.length + 1" tabindex="0">
    <div class="line head" role="row">
      <span role="columnheader">Item</span>
      <span role="columnheader">Decision</span>
      <span role="columnheader">Reason</span>
      <span role="columnheader">Note</span>
      <span role="columnheader" class="num">Profit, {{ home }}</span>
      <span role="columnheader" class="num">Units, 30 d</span>
      <span role="columnheader">On</span>
      <span role="columnheader"><span class="sr-only">Go</span></span>
    </div>
    <div class="rows" :style="{ height: `${total}px` }">
      <DecisionRow
        v-for="r in rows"
        :key="list[r.index]!.key"
        class="line at"
        :aria-rowindex="r.index + 2"
        :style="{ transform: `translateY(${r.start}px)` }"
        :decision="list[r.index]!"
        :home="home"
        @decide="(a) => $emit('decide', list[r.index]!, a)"
        @note="(t) => $emit('note', list[r.index]!, t)"
        @reason="(t) => $emit('reason', list[r.index]!, t)"
        @look="$emit('look', list[r.index]!)"
        @cost="$emit('cost', list[r.index]!)"
      />
    </div>
  </div>
</template>

<style scoped>
.table {
  font-size: 13px;
}
.line {
  grid-template-columns: minmax(220px, 3fr) 92px minmax(110px, 1.5fr) minmax(110px, 1.5fr) 116px 84px 86px 92px;
  column-gap: 12px;
  height: 48px;
  padding: 0 10px;
}
.head {
  height: 28px;
}
</style>
