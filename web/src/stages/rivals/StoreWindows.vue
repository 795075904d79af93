<script setup lang="ts">
import { amount, count, currencySign } from '@/shared/format'
import { useRules } from '@/shared/stores/rules'
import GradeMark from '@/shared/widgets/GradeMark.vue'
import PlainTable from '@/shared/widgets/PlainTable.vue'
import type { OpenedStore } from '@/workers/store-methods'

/** Units and sales over 30, 90 and 180 days, and since its listings were put up. */
defineProps<{ store: OpenedStore }>()
const rules = useRules()
const isWords = {
  asked: '',
  upper: 'upper bound: some listings vary',
  unknown: 'at asking prices; variations not known',
}
</script>

<template>
  <PlainTable class="tight" aria-label="Windows">
    <thead>
      <tr>
        <th>Window</th>
        <th class="num">Units</th>
        <th class="num">Sales, {{ currencySign(rules.home) }}</th>
        <th class="num">Listings that say so</th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="w in store.windows" :key="w.days">
        <th scope="row">{{ w.days === 'all' ? 'since put up' : `${w.days} days` }}</th>
        <td class="num">{{ count(w.units) }}<GradeMark :grade="w.grade" /></td>
        <td class="num" :title="isWords[w.revenueIs]">
          {{ w.revenueIs === 'upper' && w.revenueE4 !== null ? '≤ ' : '' }}{{ amount(w.revenueE4, rules.home) }}
        </td>
        <td class="num">{{ count(w.known) }}</td>
      </tr>
    </tbody>
  </PlainTable>
</template>
