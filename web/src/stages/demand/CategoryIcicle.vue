<script setup lang="ts">
import { computed, useTemplateRef } from 'vue'
import type { Branch } from '@sickle/core/engine'
import { icicle } from '@/shared/charts/icicle'
import { count, percent, wholeMoney } from '@/shared/format'
import { useRoom } from '@/shared/use-room'

/** Categories from broad (top) to narrow: width is sales, shade the share of listings sold. A press walks down. */
const { branches, from, home } = defineProps<{ branches: Branch[]; from: string; best: string | null; home: string }>()
defineEmits<{ walk: [path: string] }>()
/** what is narrower is no target for a finger; the table below has it too */
const narrowest = 26
const box = useTemplateRef('box')
const { width, height } = useRoom(box)
const shape = computed(() =>
  icicle(branches, from, { width: Math.max(120, width.value), height: Math.max(80, height.value), levels: 4 }),
)
/** Between these two spans of the mix neither light nor dark text can be read on it, in one theme or the other: no shade lies there. */
const mixOf = (shade: number) => Math.round(shade <= 0.5 ? 10 + 72 * shade : 86 + 24 * (shade - 0.5))
const fill = (shade: number | null) =>
  shade === null ? 'var(--sunk)' : `color-mix(in srgb, var(--moss) ${mixOf(shade)}%, var(--panel))`
const tip = (b: Branch) =>
  `${b.path || 'All categories'}: ${wholeMoney(b.revenueE4, home)} and ${count(b.units)} units in 30 days; ${percent(b.sellThrough?.ratio)} of ${count(b.known)} listings sold`
</script>

<template>
  <div class="whole">
    <div ref="box" class="icicle" role="group" aria-label="Categories, broad to narrow">
      <component
        :is="c.width < narrowest ? 'div' : 'button'"
        v-for="c in shape.cells"
        :key="c.branch.path"
        class="cell"
        :class="{ deep: (c.shade ?? 0) > 0.5, best: c.branch.path === best, thin: c.width <= 44 }"
        :style="{
          left: `${c.x}px`,
          top: `${c.y}px`,
          width: `${Math.max(1, c.width - 2)}px`,
          height: `${c.height - 2}px`,
          background: fill(c.shade),
        }"
        :title="tip(c.branch)"
        :aria-label="c.width < narrowest ? undefined : tip(c.branch)"
        :aria-hidden="c.width < narrowest"
        @click="$emit('walk', c.branch.path)"
      >
        <template v-if="c.width > 44">
          <span class="name">{{ c.branch.name }}</span>
          <span class="figure"
            >{{ percent(c.branch.sellThrough?.ratio)
            }}<template v-if="c.width > 110"> · {{ wholeMoney(c.branch.revenueE4, home) }}</template></span
          >
        </template>
      </component>
    </div>
    <p v-if="shape.shades" class="key small quiet">
      Width: sales in 30 days. Shade: listings sold, {{ percent(shape.shades[0]) }}
      <span class="ramp" aria-hidden="true" /> {{ percent(shape.shades[1]) }}
    </p>
  </div>
</template>

<style scoped>
.whole {
  display: flex;
  flex-direction: column;
  min-height: 0;
  gap: 4px;
}
.icicle {
  position: relative;
  flex: 1;
  min-height: 0;
}
.cell {
  position: absolute;
  border: 0;
  border-radius: 4px;
  padding: 3px 6px;
  overflow: hidden;
  text-align: left;
  cursor: pointer;
  font-size: 12.5px;
  line-height: 1.25;
  white-space: nowrap;
}
.cell.thin {
  padding: 0;
}
.cell:hover {
  box-shadow: inset 0 0 0 2px var(--slate);
}
.cell.deep {
  color: var(--on-main);
}
.cell.best {
  box-shadow: inset 0 0 0 3px var(--wheat);
}
.cell:focus-visible {
  z-index: 1;
}
.name {
  display: block;
  font-weight: 600;
  overflow: hidden;
  text-overflow: ellipsis;
}
.figure {
  display: block;
  overflow: hidden;
}
.ramp {
  display: inline-block;
  width: 60px;
  height: 9px;
  border-radius: 3px;
  margin: 0 3px;
  background: linear-gradient(
    90deg,
    color-mix(in srgb, var(--moss) 10%, var(--panel)),
    color-mix(in srgb, var(--moss) 46%, var(--panel)) 50%,
    color-mix(in srgb, var(--moss) 86%, var(--panel)) 50%,
    color-mix(in srgb, var(--moss) 98%, var(--panel))
  );
}
</style>
