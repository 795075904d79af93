<script setup lang="ts">
import { computed } from 'vue'
import { creatorFigures, type CreatorFigure, type FittingCreator } from '@sickle/core/social'
import { amount, count, currencySign, day, percent } from '@/shared/format'
import { useRules } from '@/shared/stores/rules'
import { usePeople } from '@/shared/stores/people'
import BareButton from '@/shared/widgets/BareButton.vue'
import MoreRows from '@/shared/widgets/MoreRows.vue'
import PlainTable from '@/shared/widgets/PlainTable.vue'
import SortHeads from '@/shared/widgets/SortHeads.vue'
import { useCreators } from './creators-store'

/** Creators in their order, each with what she sold and for how long. */
const creators = useCreators()
const people = usePeople()
const rules = useRules()
const shown = computed((): CreatorFigure[] => [
  ...(creators.goods.length > 0 ? (['fit'] as const) : []),
  'units',
  'revenue',
  'mean',
  'middle',
  'clips',
  'last',
])
/** a day rather than how long ago it was, which depends on what is shown */
function told(f: CreatorFigure, c: FittingCreator): string {
  if (f === 'last') return day(c.lastDay)
  if (f === 'clips') return c.lives === 0 ? count(c.clips) : `${count(c.clips)} + ${count(c.lives)}`
  const { format, of } = creatorFigures[f]
  const value = of(c, 0)
  if (format === 'money') return amount(value === null ? null : value * 10_000, rules.home)
  return format === 'percent' ? percent(value) : count(value)
}
const isChosen = (c: FittingCreator) => creators.chosen?.name === c.name && creators.chosen.market === c.market
const heads = computed(() => {
  const sign = currencySign(rules.home)
  // shorter than they are called, where the column says the rest
  const words: Partial<Record<CreatorFigure, string>> = {
    clips: 'Clips + lives',
    last: 'Last posted',
    revenue: `Sales, ${sign}`,
    mean: `A clip, ${sign}`,
    middle: `Middle, ${sign}`,
  }
  return shown.value.map((name) => {
    const { label } = creatorFigures[name]
    return { name, label: words[name] ?? label, title: label }
  })
})
</script>

<template>
  <section class="panel scroll" tabindex="0" aria-label="Creators">
    <PlainTable class="tight" aria-label="Creators">
      <thead>
        <tr>
          <th>Creator</th>
          <SortHeads
            :heads="heads"
            :by="creators.query.by"
            :descending="creators.query.descending"
            @sort="creators.sortBy"
          />
        </tr>
      </thead>
      <tbody>
        <tr v-for="c in creators.found?.rows ?? []" :key="c.key" :class="{ on: isChosen(c) }">
          <td>
            <BareButton
              type="info"
              class="link"
              :aria-pressed="isChosen(c)"
              @click="creators.chosen = { market: c.market, name: c.name }"
              >{{ c.name }}</BareButton
            >
            <span v-if="people.of(c)" class="small quiet"> · {{ people.of(c)?.state }}</span>
            <span v-if="c.shows > 0" class="small quiet"> · shows mine</span>
            <div class="small quiet">{{ c.branches.map((b) => b.path.split(' / ').at(-1)).join(', ') }}</div>
          </td>
          <td v-for="f in shown" :key="f" class="num">{{ told(f, c) }}</td>
        </tr>
      </tbody>
    </PlainTable>
    <MoreRows :shown="creators.found?.rows.length ?? 0" :found="creators.found?.found ?? 0" @more="creators.more()" />
  </section>
</template>

<style scoped>
section {
  padding: 6px 10px;
}
tr.on {
  background: var(--paper);
  font-weight: 600;
}
</style>
