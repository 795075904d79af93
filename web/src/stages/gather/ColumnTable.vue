<script setup lang="ts">
import { computed } from 'vue'
import { recordKind } from '@sickle/core/records'
import type { ColumnUse, Surety } from '@sickle/core/intake'
import { isoDay } from '@sickle/core/identity'
import { useGather } from './gather-store'
import HouseSelect from '@/shared/widgets/HouseSelect.vue'
import PlainTable from '@/shared/widgets/PlainTable.vue'

const gather = useGather()
const now = computed(() => gather.current!)
const fields = computed(() =>
  recordKind(now.value.mapping.kind).fields.filter(
    (f) => f.type !== 'tiers' || now.value.mapping.columns.some((c) => c.as === 'field' && c.field === 'tiers'),
  ),
)
const guess = computed(() => now.value.proposal.kinds.find((k) => k.kind === now.value.mapping.kind))

/** Days of a wide file and price steps fold into one row each: nobody wants to see 180 of them. */
const rows = computed(() => {
  const all = now.value.mapping.columns.map((use, i) => ({
    i,
    use,
    heading: now.value.summary.headings[i] ?? '',
    surety: suretyOf(use, i),
    samples: samples(i),
  }))
  const days = all.filter((r) => r.use.as === 'day')
  return days.length > 3 ? all.filter((r) => r.use.as !== 'day') : all
})
const days = computed(() => now.value.mapping.columns.filter((c) => c.as === 'day'))

function samples(i: number): string {
  const cells = now.value.summary.firstRows
    .map((r) => r.cells[i])
    .filter((c) => c !== null && c !== undefined && c !== '')
  return cells.slice(0, 3).map(String).join(' · ')
}
/** As proposed, or as the user says. */
function suretyOf(use: ColumnUse, i: number): Surety {
  const proposed = guess.value?.columns[i]
  return proposed && JSON.stringify(proposed.use) === JSON.stringify(use) ? proposed.surety : 'said'
}
const shownSurety: Record<Surety, { word: string; share: number }> = {
  said: { word: 'as you said', share: 1 },
  sure: { word: 'sure', share: 1 },
  likely: { word: 'likely', share: 0.66 },
  unsure: { word: 'please check', share: 0.33 },
  none: { word: 'not used', share: 0 },
}
function value(use: ColumnUse): string {
  return use.as === 'field' ? `field:${use.field}` : use.as === 'tier' ? `tier:${use.from}` : use.as
}
function optionsFor(use: ColumnUse) {
  const tier = use.as === 'tier' ? [{ value: value(use), label: `Price from ${use.from}` }] : []
  const known = fields.value.map((f) => ({
    value: `field:${f.name}`,
    label: `${f.label}${f.required ? ' *' : ''}`,
    title: f.help,
  }))
  return [{ value: 'unused', label: 'not used' }, ...tier, ...known]
}
function choose(i: number, text: string) {
  const [as, name] = text.split(':')
  const use: ColumnUse =
    as === 'field' ? { as, field: name ?? '' } : as === 'tier' ? { as, from: Number(name) } : { as: 'unused' }
  const columns = now.value.mapping.columns.map((c, at): ColumnUse => {
    if (at === i) return use
    return use.as === 'field' && c.as === 'field' && c.field === use.field ? { as: 'unused' } : c
  })
  void gather.correct({ columns })
}
</script>

<template>
  <div tabindex="0" role="region" aria-label="Columns">
    <PlainTable>
      <thead>
        <tr>
          <th>Column in the file</th>
          <th>Taken for</th>
          <th>How surely</th>
          <th>First values</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="r in rows" :key="r.i" :class="{ unused: r.use.as === 'unused' }">
          <td class="heading">{{ r.heading }}</td>
          <td>
            <HouseSelect
              filterable
              size="tiny"
              class="use"
              :model-value="value(r.use)"
              :label="`${r.heading} is`"
              :options="optionsFor(r.use)"
              @update:model-value="(use) => use !== null && choose(r.i, use)"
            />
          </td>
          <td class="sure">
            <span class="meter" aria-hidden="true"
              ><i :style="{ width: `${shownSurety[r.surety].share * 100}%` }" :class="{ low: r.surety === 'unsure' }"
            /></span>
            <span class="small">{{ shownSurety[r.surety].word }}</span>
          </td>
          <td class="quiet samples">{{ r.samples }}</td>
        </tr>
        <tr v-if="days.length > 3">
          <td class="heading">{{ days.length }} columns, one a day</td>
          <td>Units on {{ isoDay(days[0]!.day) }} to {{ isoDay(days.at(-1)!.day) }}</td>
          <td class="sure">
            <span class="meter" aria-hidden="true"><i style="width: 95%" /></span><span class="small">sure</span>
          </td>
          <td class="quiet samples">empty is not known, not zero</td>
        </tr>
      </tbody>
    </PlainTable>
  </div>
</template>

<style scoped>
thead th {
  position: sticky;
  top: 0;
  background: var(--panel);
  z-index: 1;
}
td {
  vertical-align: middle;
}
.heading {
  font-weight: 500;
  max-width: 210px;
  overflow-wrap: anywhere;
}
.unused .heading {
  color: var(--quiet);
  font-weight: 400;
}
.use {
  width: 190px;
}
.sure {
  white-space: nowrap;
}
.meter {
  display: inline-block;
  width: 54px;
  height: 6px;
  border-radius: 3px;
  background: var(--sunk);
  margin-right: 8px;
  overflow: hidden;
}
.meter i {
  display: block;
  height: 100%;
  background: var(--moss);
}
.meter i.low {
  background: var(--wheat);
}
.samples {
  max-width: 0;
  width: 40%;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
</style>
