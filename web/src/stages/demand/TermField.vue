<script setup lang="ts">
import { computed, useTemplateRef } from 'vue'
import type { Term } from '@sickle/core/terms'
import { termField } from '@/shared/charts/term-field'
import { balanceWords } from '@/shared/demand-answers'
import { count, shortCount } from '@/shared/format'
import { useRoom } from '@/shared/use-room'

/** Terms by searches (across) and competing listings (up). Down to the right is good: many look, few offer. */
const { terms } = defineProps<{ terms: Term[]; chosen: string | null; other: string | null }>()
defineEmits<{ choose: [key: string] }>()
const box = useTemplateRef('box')
const { width, height } = useRoom(box)
const shape = computed(() => termField(terms, Math.max(160, width.value), Math.max(120, height.value)))
const tip = (t: Term) =>
  `${t.phrase} (${t.market}): ${count(t.searches)} searches a month, ${count(t.competing)} listings, balance ${balanceWords(t.balance)}`
</script>

<template>
  <div ref="box" class="field">
    <svg :width="width" :height="height" role="img" aria-label="Terms by searches and competing listings">
      <polygon :points="shape.corner" class="corner" />
      <g v-for="d in shape.diagonals" :key="d.balance">
        <line :x1="d.x1" :y1="d.y1" :x2="d.x2" :y2="d.y2" class="diagonal" />
        <text :x="d.x1 + 5" :y="d.y1 - 3" class="tick">{{ d.balance }} a listing</text>
      </g>
      <g v-for="t in shape.xTicks" :key="`x${t.value}`">
        <text :x="t.at" :y="height - 8" class="tick" text-anchor="middle">{{ shortCount(t.value) }}</text>
      </g>
      <g v-for="t in shape.yTicks" :key="`y${t.value}`">
        <text x="34" :y="t.at + 3" class="tick" text-anchor="end">{{ shortCount(t.value) }}</text>
      </g>
      <circle
        v-for="p in shape.points"
        :key="p.term.key"
        :cx="p.x"
        :cy="p.y"
        :r="p.term.key === chosen || p.term.key === other ? 6 : 3.5"
        :class="{ chosen: p.term.key === chosen, other: p.term.key === other }"
        @click="$emit('choose', p.term.key)"
      >
        <title>{{ tip(p.term) }}</title>
      </circle>
      <text
        v-for="l in shape.labels"
        :key="l.term.key"
        :x="l.x"
        :y="l.y"
        :text-anchor="l.anchor"
        class="label"
        @click="$emit('choose', l.term.key)"
      >
        {{ l.term.phrase }}
      </text>
      <text :x="width - 10" :y="height - 8" class="tick" text-anchor="end">searches a month →</text>
      <text x="44" y="11" class="tick">↑ listings</text>
    </svg>
  </div>
</template>

<style scoped>
.field {
  min-height: 0;
  overflow: hidden;
}
.corner {
  fill: var(--moss);
  opacity: 0.1;
}
.diagonal {
  stroke: var(--line);
  stroke-dasharray: 3 3;
}
circle {
  fill: var(--slate);
  opacity: 0.45;
  cursor: pointer;
}
circle:hover {
  opacity: 1;
}
circle.chosen {
  fill: var(--moss);
  opacity: 1;
  stroke: var(--panel);
}
circle.other {
  fill: var(--plum);
  opacity: 1;
  stroke: var(--panel);
}
.label {
  font-size: 11.5px;
  fill: var(--ink);
  paint-order: stroke;
  stroke: var(--panel);
  stroke-width: 3px;
  cursor: pointer;
}
</style>
