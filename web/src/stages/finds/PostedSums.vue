<script setup lang="ts">
import { computed } from 'vue'
import type { OptionLift } from '@sickle/core/demand'
import type { ClipSums } from '@sickle/core/social'
import { amount, count, currencySign, percent, signedPercent } from '@/shared/format'
import { useRules } from '@/shared/stores/rules'
import PlainTable from '@/shared/widgets/PlainTable.vue'

/** What clips come to together: how much hangs on the best of them, and what goes with selling at all. */
const { sums, sells } = defineProps<{ sums: ClipSums; sells: OptionLift[] }>()
const rules = useRules()
const luck = computed(() => {
  if (sums.bestClipRatio === null) return 'Nothing sold, or nothing says so.'
  const clip = `The best clip sold ${percent(sums.bestClipRatio)} of all units`
  return `${clip}, the best creator ${percent(sums.bestCreatorRatio)}${sums.bestClipRatio >= 0.5 ? ': one lucky clip, not many that sell' : ''}.`
})
const thousand = computed(() => {
  const each = sums.perThousandE4
  if (!each) return 'not known of so few creators'
  return `${amount(each.value, rules.home)} (${amount(each.low, rules.home)} to ${amount(each.high, rules.home)})`
})
const shown = computed(() =>
  [...sells].sort(
    (a, b) => Number(b.isLift) - Number(a.isLift) || Math.abs(b.lift.difference) - Math.abs(a.lift.difference),
  ),
)
const sure = computed(() => shown.value.filter((s) => s.isLift).length)
</script>

<template>
  <aside class="panel scroll" tabindex="0" aria-label="What they come to">
    <h2>Together</h2>
    <dl>
      <dt>Clips, lives</dt>
      <dd class="num">{{ count(sums.clips) }}, {{ count(sums.lives) }}</dd>
      <dt>Creators</dt>
      <dd class="num">{{ count(sums.creators) }}</dd>
      <dt>Views</dt>
      <dd class="num">{{ count(sums.views) }}</dd>
      <dt>Units</dt>
      <dd class="num">{{ count(sums.units) }}</dd>
      <dt>Sales, {{ currencySign(rules.home) }}</dt>
      <dd class="num">{{ amount(sums.revenueE4, rules.home) }}</dd>
      <dt>Sold nothing</dt>
      <dd class="num">{{ percent(sums.nothingRatio) }}</dd>
      <dt>Reach paid for</dt>
      <dd class="num">{{ percent(sums.paidRatio) }}</dd>
    </dl>
    <p class="small">Sales a thousand views, {{ currencySign(rules.home) }}: {{ thousand }}.</p>
    <p class="small">{{ luck }}</p>
    <h2>What goes with selling</h2>
    <p class="small quiet">
      {{
        shown.length === 0
          ? 'Too few clips to compare: ten on either side are needed.'
          : `Share of clips that sold at least once, against the rest; ${sure === 0 ? 'none stands out beyond chance' : 'those in bold stand out beyond chance'}.`
      }}
    </p>
    <PlainTable v-if="shown.length" class="tight" aria-label="What goes with selling">
      <tbody>
        <tr v-for="s in shown.slice(0, 14)" :key="`${s.choice} ${s.option}`" :class="{ sure: s.isLift }">
          <td>{{ s.choice }}: {{ s.option }}</td>
          <td class="num">{{ percent(s.share.ratio) }}</td>
          <td class="num" :title="`${signedPercent(s.lift.low)} to ${signedPercent(s.lift.high)}`">
            {{ signedPercent(s.lift.difference) }}
          </td>
        </tr>
      </tbody>
    </PlainTable>
  </aside>
</template>

<style scoped>
aside {
  padding: 10px 14px;
  display: grid;
  gap: 6px;
  align-content: start;
}
dl {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 2px 8px;
  margin: 0;
  font-size: 13px;
}
dt {
  color: var(--quiet);
}
dd {
  margin: 0;
}
.sure {
  font-weight: 600;
}
</style>
