<script setup lang="ts">
import { computed, ref, useTemplateRef, watchEffect } from 'vue'
import type { Span } from '@sickle/core/engine'
import type { ClipLimits } from '@sickle/core/social'
import { clipField } from '@/shared/charts/clip-field'
import { paintDiscs, pixelsOf } from '@/shared/charts/discs'
import FieldAxes from '@/shared/charts/FieldAxes.vue'
import { count } from '@/shared/format'
import { useSettings } from '@/shared/stores/settings'
import { useBoxBrush } from '@/shared/use-box-brush'
import { useRoom } from '@/shared/use-room'
import type { ClipPoints, PostedRow } from '@/workers/clip-methods'

/** Clips by age and views; a brush limits both, as the fields of their limits do by keyboard. */
const { points, limits, told } = defineProps<{
  points: ClipPoints
  limits: ClipLimits
  /** the clip that is pointed at */
  told: PostedRow | null
}>()
const emit = defineEmits<{ limit: [limits: Record<string, Span | null>]; point: [place: number | null] }>()
const settings = useSettings()
const box = useTemplateRef('box')
const canvas = useTemplateRef('canvas')
const { width, height } = useRoom(box)
const size = computed(() => ({ width: Math.max(220, width.value), height: Math.max(140, height.value) }))
const shape = computed(() => (width.value > 0 ? clipField(points, size.value) : null))
const scale = window.devicePixelRatio || 1
watchEffect(() => {
  void settings.value.theme
  const context = canvas.value?.getContext('2d')
  if (!context || !shape.value) return
  const style = getComputedStyle(document.documentElement)
  const [moss, slate] = [style.getPropertyValue('--moss'), style.getPropertyValue('--slate')]
  const picture = { width: Math.round(size.value.width * scale), height: Math.round(size.value.height * scale) }
  const discs = shape.value.points.map(({ x, y, r, hasSold, isFound }) => ({
    x: x * scale,
    y: y * scale,
    r: r * scale,
    colour: hasSold ? moss : slate,
    alpha: (hasSold ? 0.45 : 0.2) * (isFound ? 1 : 0.2),
  }))
  Object.assign(canvas.value as HTMLCanvasElement, picture)
  context.putImageData(new ImageData(pixelsOf(paintDiscs(discs, picture)), picture.width, picture.height), 0, 0)
})
function at(event: MouseEvent) {
  const rect = (canvas.value as HTMLCanvasElement).getBoundingClientRect()
  return [event.clientX - rect.left, event.clientY - rect.top] as const
}
const pointed = ref<{ x: number; y: number; r: number } | null>(null)
function point(event: MouseEvent): boolean {
  const near = shape.value?.nearest(...at(event), 12) ?? null
  pointed.value = near
  emit('point', near?.place ?? null)
  return near !== null
}
const brush = useBoxBrush({
  names: { x: 'age', y: 'views' },
  shape,
  at,
  limits: () => limits,
  setLimits: (some) => emit('limit', some),
  press: point,
})
const tip = computed(() => {
  if (!pointed.value || !told) return null
  const { clip, item } = told
  const sold = clip.units === null ? 'units not known' : `${count(clip.units)} sold`
  return `${clip.creator}: ${item?.title ?? clip.title} · ${count(clip.views)} views, ${sold}`
})
</script>

<template>
  <div ref="box" class="panel painted field">
    <canvas
      ref="canvas"
      :style="{ width: `${width}px`, height: `${height}px` }"
      @pointerdown="brush.begin"
      @pointermove="(brush.move($event), point($event))"
      @pointerup="brush.end"
      @pointerleave="((pointed = null), $emit('point', null))"
    />
    <svg
      v-if="shape"
      :width="width"
      :height="height"
      role="img"
      aria-label="Clips by age and views; their table is below"
    >
      <FieldAxes :x-ticks="shape.xTicks" :y-ticks="shape.yTicks" :height="height" :brush="brush.box.value" />
      <text x="48" y="11" class="tick">
        ↑ views; across: days old; size: units{{
          points.of > points.places.length ? `; the ${count(points.places.length)} that sold most` : ''
        }}{{ shape.without ? `; without ${count(shape.without)} of no known day or view` : '' }}
      </text>
      <text
        v-if="tip && pointed"
        class="tip"
        :x="pointed.x"
        :y="Math.max(24, pointed.y - pointed.r - 6)"
        :text-anchor="pointed.x > width / 2 ? 'end' : 'start'"
      >
        {{ tip }}
      </text>
    </svg>
  </div>
</template>

<style scoped>
.field {
  height: 190px;
  flex: none;
}
</style>
