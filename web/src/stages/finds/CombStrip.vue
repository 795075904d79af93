<script setup lang="ts">
import { brushX, select, type D3BrushEvent } from 'd3'
import { computed, onMounted, ref, useTemplateRef, watch } from 'vue'
import { placeOf, valueAt, type Measure, type Span, type StripAnswer } from '@sickle/core/engine'
import { count, currencySign } from '@/shared/format'
import { spanWords, valueWords } from '@/shared/span-words'
import { useRoom } from '@/shared/use-room'
import ChartTable from '@/shared/charts/ChartTable.vue'
import { stripPaths } from '@/shared/charts/strip-geometry'
import HousePopover from '@/shared/widgets/HousePopover.vue'
import LimitFields from '@/shared/widgets/LimitFields.vue'
import BareButton from '@/shared/widgets/BareButton.vue'

const { measure, strip, span, home } = defineProps<{
  measure: Measure
  strip: StripAnswer | undefined
  span: Span | null
  home: string
}>()
const emit = defineEmits<{ limit: [span: Span | null] }>()
const open = ref(false)
function set(limit: Span) {
  open.value = false
  emit('limit', limit)
}
const box = useTemplateRef('box')
const { width: measured } = useRoom(box)
const width = computed(() => Math.max(60, Math.round(measured.value) || 106))
const height = 44
const paths = computed(() => (strip ? stripPaths(strip, { width: width.value, height, isInside: inside }) : null))
const sign = computed(() => (measure.format.includes('money') ? `, ${currencySign(home)}` : ''))
const layer = useTemplateRef('layer')
const brush = brushX<unknown>().on('brush end', brushed)
let quiet = false

/** The strip's bars in words; only made where they are asked for, as a brush changes them sixty times a second. */
function table(): { label: string; value: string }[] {
  const { all = [], passing = [] } = strip ?? {}
  const edge = (i: number) => valueWords(measure, valueAt(measure, i / all.length))
  return all.map((n, i) => ({
    label: i === 0 ? `under ${edge(1)}` : i === all.length - 1 ? `from ${edge(i)}` : `${edge(i)} to ${edge(i + 1)}`,
    value: `${count(passing[i] ?? 0)} of ${count(n)} items`,
  }))
}
const label = computed(() => (span ? spanWords(measure, span) : 'any'))
/** What lies within the limit is full, the rest of what passes the others is pale. */
function inside(i: number): boolean {
  const at = (i + 0.5) / (strip?.all.length ?? 1)
  return (
    !span || (at >= placeOf(measure, span[0] ?? -Infinity) - 1e-9 && at <= placeOf(measure, span[1] ?? Infinity) + 1e-9)
  )
}
function round(v: number): number {
  const digits =
    measure.format === 'percent'
      ? 2
      : measure.format === 'count'
        ? 0
        : measure.format === 'rating'
          ? 1
          : v >= 20
            ? 0
            : 2
  return Number(v.toFixed(digits))
}
function brushed(event: D3BrushEvent<unknown>) {
  if (quiet || !event.sourceEvent) return
  const chosen = event.selection as [number, number] | null
  if (!chosen || chosen[1] - chosen[0] < 2) {
    if (event.type === 'end') emit('limit', null)
    return
  }
  const [a, b] = chosen
  emit('limit', [
    a <= 1 ? null : round(valueAt(measure, a / width.value)),
    b >= width.value - 1 ? null : round(valueAt(measure, b / width.value)),
  ])
}
/** Puts the brush where the limit is, without hearing of it again. */
function place() {
  if (!layer.value) return
  quiet = true
  const clamp = (p: number) => Math.max(0, Math.min(width.value, p * width.value))
  const g = select<SVGGElement, unknown>(layer.value)
  const at = (end: number | null, open: number) => clamp(end === null ? open : placeOf(measure, end))
  brush.move(g, span ? [at(span[0], 0), at(span[1], 1)] : null)
  quiet = false
}
onMounted(resize)
/** The brush learns its field anew when the strip's width changes. */
function resize() {
  if (!layer.value) return
  brush.extent([
    [0, 0],
    [width.value, height + 4],
  ])
  select<SVGGElement, unknown>(layer.value).call(brush)
  place()
}
watch(width, resize)
watch(() => span, place)
</script>

<template>
  <div ref="box" class="strip">
    <div class="head">
      <span class="name" :title="measure.label">{{ measure.label }}{{ sign }}</span>
      <HousePopover v-model:show="open" :label="`Limit of ${measure.label}`">
        <template #trigger>
          <BareButton
            :type="span ? 'info' : 'tertiary'"
            class="limit"
            :class="{ set: span }"
            :aria-label="`Limit of ${measure.label}: ${label}`"
          >
            {{ label }}
          </BareButton>
        </template>
        <div class="fields">
          <LimitFields :measure="measure" :span="span" @set="set" />
          <p v-if="strip" class="small">{{ count(strip.unknown) }} without a figure{{ span ? ' are left out' : '' }}</p>
          <BareButton v-if="span" type="info" class="small clear" @click="emit('limit', null)">
            Lift this limit: {{ count(strip?.wouldReturn ?? 0) }} come back
          </BareButton>
          <ChartTable :caption="`Items by ${measure.label} under the other limits`" :rows="table()" />
        </div>
      </HousePopover>
    </div>
    <svg :width="width" :height="height + 6" :aria-label="`Distribution of ${measure.label}`" role="img">
      <rect
        v-if="measure.band"
        class="band"
        :x="Math.max(0, placeOf(measure, measure.band[0] ?? -1e9) * width)"
        y="0"
        :width="
          Math.max(
            0,
            Math.min(1, placeOf(measure, measure.band[1] ?? 1e9)) * width -
              Math.max(0, placeOf(measure, measure.band[0] ?? -1e9) * width),
          )
        "
        :height="height"
      />
      <template v-if="paths">
        <path class="all" :d="paths.all" />
        <path class="passing outside" :d="paths.outside" />
        <path class="passing" :d="paths.inside" />
      </template>
      <g ref="layer" class="brush" />
    </svg>
    <p class="returns small" :class="{ show: span }">
      {{ span && strip ? `+${count(strip.wouldReturn)} without it` : ' ' }}
    </p>
  </div>
</template>

<style scoped>
.strip {
  flex: 1;
  min-width: 62px;
}
svg {
  display: block;
}
.head {
  display: flex;
  justify-content: space-between;
  gap: 4px;
  font-size: 12px;
  white-space: nowrap;
}
.name {
  font-weight: 500;
  overflow: hidden;
  text-overflow: ellipsis;
}
.limit.set {
  font-weight: 600;
}
.limit:hover {
  text-decoration: underline;
}
.all {
  fill: var(--bar);
}
.passing {
  fill: var(--slate);
}
.passing.outside {
  opacity: 0.3;
}
.band {
  fill: var(--moss-soft);
}
.returns {
  font-size: 11px;
  line-height: 1;
  color: var(--quiet);
  height: 11px;
}
.brush :deep(.selection) {
  fill: none;
  stroke: var(--slate);
  stroke-width: 1.5;
}
.fields {
  display: grid;
  gap: 6px;
  width: 190px;
}
</style>
