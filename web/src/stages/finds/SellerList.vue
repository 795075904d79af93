<script setup lang="ts">
import { computed, ref } from 'vue'
import type { ItemSeller } from '@sickle/core/catalog'
import { howEstimated } from '@/shared/answers'
import { amount, count, currencySign, decimal, percent } from '@/shared/format'
import GradeMark from '@/shared/widgets/GradeMark.vue'
import ProfitFigure from '@/shared/widgets/ProfitFigure.vue'
import BareButton from '@/shared/widgets/BareButton.vue'
import PlainTable from '@/shared/widgets/PlainTable.vue'

const { sellers, home, full = false } = defineProps<{ sellers: ItemSeller[]; home: string; full?: boolean }>()
defineEmits<{ store: [market: string, store: string] }>()
const all = ref(false)
const few = computed(() => (full ? 12 : 6))
const shown = computed(() => (all.value ? sellers : sellers.slice(0, few.value)))
const words = { selling: '', quiet: 'no feedback in 30 days', inactive: 'no feedback in 90 days: not selling' }
/** What stands against copying a seller. */
const doubts = (s: ItemSeller) => [
  ...(s.activity ? [words[s.activity]] : []),
  ...(s.myProfitE4 !== null && s.myProfitE4 < 0 ? ['below my break-even'] : []),
]
const windows = (f: NonNullable<ItemSeller['feedback']>) => [f.days30, f.days90, f.days365].map(count).join(' / ')
function howKnown({ estimate, unpublished, units }: ItemSeller): string {
  if (unpublished) return howEstimated(unpublished)
  return estimate && units === null ? `from feedback; 80\u00a0%: ${count(estimate.low)} to ${count(estimate.high)}` : ''
}
const units = (s: ItemSeller) => s.units ?? s.estimate?.units ?? null
</script>

<template>
  <PlainTable class="list" :class="{ full }">
    <thead>
      <tr>
        <th>Store, market</th>
        <th class="num">Delivered, {{ currencySign(home) }}</th>
        <th v-if="full" class="num">My profit there</th>
        <th class="num">Units, 30 d</th>
        <th v-if="full" class="num">Feedback 30 / 90 / 365 d</th>
        <th v-if="full" class="num">Shown first</th>
        <th class="num">Stars</th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="(s, i) in shown" :key="i" :class="{ faint: s.activity === 'inactive' }">
        <td>
          <BareButton
            v-if="s.store !== null"
            type="info"
            class="link"
            :title="`All that ${s.store} sells`"
            @click="$emit('store', s.market, s.store)"
          >
            {{ s.store }}</BareButton><template v-else>store not known</template>
          <component :is="full ? 'span' : 'div'" class="quiet small">{{ full ? ' · ' : '' }}{{ s.market }}</component>
          <div v-for="d in doubts(s).filter((t) => t !== '')" :key="d" class="small doubt">{{ d }}</div>
        </td>
        <td class="num">
          {{ amount(s.deliveredE4, home)
          }}<template v-if="!s.isDeliveryKnown"><br /><span class="quiet small">delivery not known</span></template>
        </td>
        <td v-if="full" class="num">
          <ProfitFigure :e4="s.myProfitE4" :currency="home" :assumed="s.assumed" />
        </td>
        <td class="num" :title="howKnown(s)">
          {{ count(units(s)) }}<GradeMark :grade="s.units !== null ? s.grade : s.estimate ? 'estimated' : null" />
        </td>
        <td v-if="full" class="num">{{ s.feedback ? windows(s.feedback) : '–' }}</td>
        <td v-if="full" class="num">{{ percent(s.featured) }}</td>
        <td class="num">{{ s.rating === null ? '–' : decimal(s.rating, 1) }}</td>
      </tr>
    </tbody>
  </PlainTable>
  <BareButton v-if="sellers.length > few" type="info" class="link small" @click="all = !all">
    {{ all ? 'Show fewer' : `Show all ${sellers.length}` }}
  </BareButton>
</template>

<style scoped>
.list td,
.list th {
  padding: 3px 4px;
}
.full td,
.full th {
  padding: 4px 10px;
}
.list td:first-child,
.list th:first-child {
  padding-left: 0;
}
.doubt {
  color: var(--clay);
}
.faint {
  color: var(--quiet);
}
</style>
