<script setup lang="ts">
import { computed } from 'vue'
import { useRouter } from 'vue-router'
import { storeFacets, storeFigures } from '@sickle/core/stores'
import { count, decimal, figureText } from '@/shared/format'
import { useRules } from '@/shared/stores/rules'
import LimitRow from '@/shared/widgets/LimitRow.vue'
import { useRivals } from './rivals-store'

/** The limits that hold, each to be lifted, and the way to keep them as a Cut of stores. */
const rivals = useRivals()
const rules = useRules()
const router = useRouter()
const labelOf = (by: string) => (by === 'age' ? 'Months' : (storeFigures.find((f) => f.name === by)?.label ?? by))
function endText(by: string, end: number): string {
  const figure = storeFigures.find((f) => f.name === by)
  return figure ? figureText(end, figure.format, rules.home) : decimal(end, 0)
}
const spanText = (by: string, [low, high]: readonly [number | null, number | null]) =>
  [low === null ? '' : `from ${endText(by, low)}`, high === null ? '' : `to ${endText(by, high)}`].join(' ').trim()
const chips = computed(() => {
  const q = rivals.query
  return [
    ...(rivals.selling ? [{ label: `selling: ${rivals.selling.label}`, lift: () => void router.push('/rivals') }] : []),
    ...(q.words ? [{ label: `“${q.words}”`, lift: () => rivals.change({ words: '' }) }] : []),
    ...(q.names.length
      ? [{ label: `${count(q.names.length)} pasted names`, lift: () => rivals.change({ names: [] }) }]
      : []),
    ...storeFacets.flatMap(({ name }) =>
      q[name].map((value) => ({
        label: value.split(' / ').at(-1) ?? value,
        lift: () => rivals.change({ [name]: q[name].filter((v) => v !== value) }),
      })),
    ),
    ...Object.entries(q.limits).map(([by, span]) => ({
      label: `${labelOf(by)} ${spanText(by, span)}`,
      lift: () => rivals.setLimits({ [by]: null }),
    })),
  ]
})
function clear() {
  rivals.clear()
  void router.push('/rivals')
}
</script>

<template>
  <div class="row-gap limit-row">
    <LimitRow :chips="chips" :limited="rivals.isLimited" :keep="rivals.keepCut" @clear="clear" />
    <span v-if="!rivals.isLimited" class="quiet small">drag the corner, or brush the field to take some</span>
  </div>
</template>
