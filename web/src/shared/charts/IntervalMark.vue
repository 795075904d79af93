<script setup lang="ts">
import type { ProportionInterval } from '@sickle/core/demand'
import { percent } from '@/shared/format'

/** A share with its interval, drawn small over 0–100 %. */
defineProps<{ share: ProportionInterval | null }>()
const width = 54
</script>

<template>
  <span class="mark" :title="share ? `95\u00a0%: ${percent(share.low)} to ${percent(share.high)}` : 'not known'">
    <span class="figure">{{ percent(share?.ratio) }}</span>
    <svg :width="width" height="10" aria-hidden="true">
      <line x1="0" :x2="width" y1="5" y2="5" class="track" />
      <template v-if="share">
        <line :x1="share.low * width" :x2="share.high * width" y1="5" y2="5" class="span" />
        <circle :cx="share.ratio * width" cy="5" r="2.6" />
      </template>
    </svg>
    <span v-if="share" class="sr-only">95&nbsp;%: {{ percent(share.low) }} to {{ percent(share.high) }}</span>
  </span>
</template>

<style scoped>
.mark {
  display: inline-flex;
  align-items: center;
  gap: 6px;
}
.figure {
  min-width: 38px;
}
.track {
  stroke: var(--line);
}
.span {
  stroke: var(--slate);
  stroke-width: 3;
  opacity: 0.5;
}
circle {
  fill: var(--slate);
}
</style>
