<script setup lang="ts">
import { computed } from 'vue'
import { statedGrade, storeFigures } from '@sickle/core/stores'
import { count, currencySign, decimal, figureText, perCent, percent, wholeMoney } from '@/shared/format'
import { useRules } from '@/shared/stores/rules'
import GradeMark from '@/shared/widgets/GradeMark.vue'
import type { OpenedStore } from '@/workers/store-methods'

/** The figures of a store that are looked at first, each with how it is known. */
const { store } = defineProps<{ store: OpenedStore }>()
const rules = useRules()
const shown = [
  'unitsTotal',
  'units',
  'revenue',
  'listings',
  'sellThrough',
  'unitsPerListing',
  'averagePrice',
  'runRate',
  'feedback',
]
const tiles = computed(() =>
  shown.flatMap((name) => {
    const figure = storeFigures.find((f) => f.name === name)
    if (!figure) return []
    const said = store.stated && figure.stated(store.stated)
    const sum = figure.summed && store.summed.listings > 0 ? figure.summed(store.summed) : null
    const isStated = store.stated !== null && said !== null
    const value = isStated ? said : sum
    // how the units of the listings are known says nothing of how many there are
    const ofUnits = !['listings', 'averagePrice'].includes(name)
    const summedGrade = name === 'unitsTotal' ? 'reported' : ofUnits ? store.summed.grade : 'reported'
    const grade = value === null ? null : isStated && store.stated ? statedGrade(figure, store.stated) : summedGrade
    return [{ name, label: figure.label, text: textOf(value, figure), grade, note: noteOf(name, isStated) }]
  }),
)
function textOf(value: number | null, { format }: (typeof storeFigures)[number]): string {
  if (value === null) return '–'
  // amounts of a whole store are read in whole units
  if (format === 'money' && value >= 10_000_000) return wholeMoney(value, rules.home)
  return format === 'money'
    ? `${currencySign(rules.home)} ${figureText(value, format, rules.home)}`
    : figureText(value, format, rules.home)
}
function noteOf(name: string, isStated: boolean): string {
  const { sellThrough, known, listings } = store.summed
  if (name === 'sellThrough' && !isStated && sellThrough)
    return `95\u00a0%: ${percent(sellThrough.low).replace(perCent, '')}–${percent(sellThrough.high)}`
  if (name === 'revenue' && !isStated) {
    const is = store.windows.find((w) => w.days === 30)?.revenueIs
    return is === 'upper' ? 'an upper bound: some vary' : is === 'unknown' ? 'at asking prices' : 'at what is asked'
  }
  if (name === 'listings') return `${count(store.distinctItems)} different goods`
  if (name === 'unitsTotal') return isStated ? 'as a list states' : 'of listings still up'
  if (name === 'runRate') return 'units × 365 / 30'
  if (name === 'feedback') return store.stated?.positive == null ? '' : `${percent(store.stated.positive, 1)} good`
  if (name === 'units' && !isStated && known < listings) return `of ${count(known)} that say so`
  return isStated ? 'as a list states' : ''
}
</script>

<template>
  <dl class="panel tiles" aria-label="Figures of the store">
    <div v-for="t in tiles" :key="t.name">
      <dt>{{ t.label }}</dt>
      <dd>{{ t.text }}<GradeMark :grade="t.grade" /></dd>
      <dd class="small quiet note">{{ t.note }}</dd>
    </div>
    <div>
      <dt>Best fifth makes</dt>
      <dd>{{ percent(store.topFifth) }}<GradeMark :grade="store.topFifth === null ? null : store.summed.grade" /></dd>
      <dd class="small quiet note">
        {{ store.topFifth === null ? '' : `${decimal(store.makes80, 0)} make 80\u00a0%` }}
      </dd>
    </div>
  </dl>
</template>

<style scoped>
.tiles {
  display: grid;
  grid-template-columns: repeat(10, minmax(0, 1fr));
  margin: 0;
  padding: 8px 4px;
}
.tiles > div {
  padding: 0 8px;
  border-left: 1px solid var(--line);
  min-width: 0;
}
.tiles > div:first-child {
  border-left: 0;
}
dt {
  font-size: 11.5px;
  color: var(--quiet);
  white-space: nowrap;
  overflow: hidden;
  text-overflow: ellipsis;
}
dd {
  margin: 0;
  font: 650 16px/1.3 var(--heading);
  white-space: nowrap;
}
dd.note {
  font: 11px/1.25 var(--text);
  white-space: normal;
  min-height: 14px;
}
@media screen and (max-width: 900px) {
  .tiles {
    grid-template-columns: repeat(3, minmax(0, 1fr));
  }
}
</style>
