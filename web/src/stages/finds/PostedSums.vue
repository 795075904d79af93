<script setup lang="ts">
import { computed, ref } from 'vue'
import type { OptionLift } from '@sickle/core/demand'
import type { ClipSums, KindEarnings } from '@sickle/core/social'
import { amount, count, currencySign, percent, plural, signed, signedPercent } from '@/shared/format'
import { useRules } from '@/shared/stores/rules'
import PlainTable from '@/shared/widgets/PlainTable.vue'
import ViewChoice from '@/shared/widgets/ViewChoice.vue'

/** What clips come to together: how much hangs on the best of them, and what goes with selling at all. */
const { sums, sells, earns } = defineProps<{
  sums: ClipSums
  sells: OptionLift[]
  earns: KindEarnings[]
  /** clips are limited by how they did */
  isPicked: boolean
}>()
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
const view = ref<'sells' | 'earns'>('sells')
const views = [
  { value: 'sells' as const, label: 'Sold at all' },
  { value: 'earns' as const, label: 'Took more' },
]
const inOrder = <T extends { isSure: boolean; size: number }>(list: T[]) =>
  list.sort((a, b) => Number(b.isSure) - Number(a.isSure) || b.size - a.size)
/** what is compared, surest first: an option, its figure, and by how much it is above the rest */
const shown = computed(() =>
  view.value === 'sells'
    ? inOrder(
        sells.map((s) => ({
          name: `${s.choice}: ${s.option}`,
          value: percent(s.share.ratio),
          more: signedPercent(s.lift.difference),
          span: `${signedPercent(s.lift.low)} to ${signedPercent(s.lift.high)}`,
          size: Math.abs(s.lift.difference),
          isSure: s.isLift,
        })),
      )
    : inOrder(
        earns.map((e) => ({
          name: `${e.choice}: ${e.option}`,
          value: amount(e.meanE4, rules.home),
          more: signed(e.differenceE4, rules.home),
          span: `${signed(e.lowE4, rules.home)} to ${signed(e.highE4, rules.home)}, ${plural(e.creators, 'creator')}`,
          size: Math.abs(e.differenceE4),
          isSure: e.isSure,
        })),
      ),
)
const told = computed(() => {
  const sure = shown.value.some((s) => s.isSure)
  if (shown.value.length === 0)
    return view.value === 'sells'
      ? 'Too few clips to compare: ten on either side are needed.'
      : 'Too few creators to compare: ten on either side are needed, whose clips say what they took.'
  const what =
    view.value === 'sells' ? 'Share of clips that sold at least once' : `Sales a clip, ${currencySign(rules.home)}`
  return `${what}, and by how much above the rest; ${sure ? 'those in bold stand out beyond chance' : 'none stands out beyond chance'}.`
})
</script>

<template>
  <aside class="panel text-pane scroll" tabindex="0" aria-label="What they come to">
    <h2>Together</h2>
    <dl class="facts">
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
    <h2>Which kinds do better</h2>
    <ViewChoice v-model="view" compact label="Better by" :options="views" />
    <p class="small quiet">{{ told }}</p>
    <p v-if="isPicked" class="small caution">
      A limit by views or sales chooses by the outcome: what is compared here are its winners alone.
    </p>
    <PlainTable v-if="shown.length" class="tight" aria-label="Which kinds do better">
      <tbody>
        <tr v-for="s in shown.slice(0, 16)" :key="s.name" :class="{ sure: s.isSure }">
          <td>{{ s.name }}</td>
          <td class="num">{{ s.value }}</td>
          <td class="num" :title="s.span">{{ s.more }}</td>
        </tr>
      </tbody>
    </PlainTable>
  </aside>
</template>

<style scoped>
.facts {
  --facts: minmax(0, 1fr) auto;
}
.sure {
  font-weight: 600;
}
</style>
