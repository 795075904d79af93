<script setup lang="ts">
import { computed } from 'vue'
import { isSeason, stageRules } from '@sickle/core/demand'
import type { Item } from '@sickle/core/catalog'
import { useServices } from '@/services/services'
import { useLens } from '@/shared/stores/lens'
import { plain } from '@/storage/plain'
import { howItChanges, monthNames, weekdayNames, whenInTheMonth, whenItSells, willItLast } from '@/shared/answers'
import { useLatest } from '@/shared/use-latest'
import GradeMark from '@/shared/widgets/GradeMark.vue'
import IndexBars from '@/shared/charts/IndexBars.vue'

/** Will it last, and when does it sell: the course of an item's sales, worked out when it is looked at. */
const { item } = defineProps<{ item: Item }>()
const services = useServices()
const lens = useLens()
const course = useLatest([() => item], () => services.engine.call('course', [item.key, plain(lens.markets)]))
const known = computed(() => (course.value && item.series ? { course: course.value, series: item.series } : null))
const weekdays = computed(() =>
  (course.value?.weekdays ?? []).map((d) => ({
    label: weekdayNames[d.weekday] ?? '',
    short: (weekdayNames[d.weekday] ?? '').slice(0, 2),
    index: 1 + d.lift,
    isCertain: d.isLift,
  })),
)
/** Days are counted; a gap in them makes the whole an estimate. */
const dailyGrade = computed(() =>
  item.listings.some((l) => l.series?.stepDays === 1 && l.series.values.some(Number.isNaN)) ? 'estimated' : 'counted',
)
const months = computed(() => {
  const season = course.value?.season
  return season
    ? Array.from(season.months, (index, m) => ({
        label: monthNames[m] ?? '',
        short: (monthNames[m] ?? '').slice(0, 1),
        index,
        isCertain: isSeason(season, stageRules.seasonStrength),
      }))
    : []
})
</script>

<template>
  <article>
    <h3>Will it last? <GradeMark v-if="item.stage !== 'Unclear'" :grade="item.unitsGrade" /></h3>
    <p>{{ willItLast(item) }}</p>
    <template v-if="known">
      <p>{{ howItChanges(known.course, known.series) }}</p>
      <IndexBars v-if="months.length" of="Sales by month" :bars="months" />
    </template>
  </article>
  <article v-if="known">
    <h3>When does it sell? <GradeMark v-if="weekdays.length" :grade="dailyGrade" /></h3>
    <p>{{ whenItSells(known.course.weekdays) }} {{ whenInTheMonth(known.course.monthParts) }}</p>
    <IndexBars v-if="weekdays.length" of="Units a day by weekday" :bars="weekdays" />
    <p v-if="weekdays.length" class="small quiet">
      Over {{ known.course.dailyDays }} days, from the listings whose sales are known by day.
    </p>
  </article>
</template>
