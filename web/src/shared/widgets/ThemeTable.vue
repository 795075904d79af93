<script setup lang="ts">
import type { ListingTheme } from '@sickle/core/catalog'
import IntervalMark from '@/shared/charts/IntervalMark.vue'
import { count, decimal } from '@/shared/format'
import BareButton from './BareButton.vue'
import GradeMark from './GradeMark.vue'
import PlainTable from './PlainTable.vue'

/** Narrow themes with what they sell: what to design for. */
defineProps<{ themes: readonly ListingTheme[]; withLifetime?: boolean; withStores?: boolean }>()
defineEmits<{ finds: [phrase: string] }>()
const months = (days: number | null) => (days === null ? '–' : decimal(days / 30.4375, days < 300 ? 1 : 0))
</script>

<template>
  <PlainTable class="tight" aria-label="Themes">
    <thead>
      <tr>
        <th>Theme</th>
        <th>Listings sold, 95&nbsp;%</th>
        <th class="num">Units, 30 d</th>
        <th v-if="withLifetime" class="num">Lifetime</th>
        <th class="num">Listings</th>
        <th v-if="withStores" class="num">Stores</th>
        <th class="num" title="Middle age of its listings">Months old</th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="t in themes" :key="t.phrases.join()">
        <td>
          <BareButton
            type="info"
            class="link"
            :title="`Items in Finds: ${t.phrases[0] ?? ''}`"
            @click="$emit('finds', t.phrases[0] ?? '')"
            >{{ t.phrases[0] }}</BareButton
          >
          <div v-if="t.phrases.length > 1" class="small quiet">{{ t.phrases.slice(1).join(', ') }}</div>
        </td>
        <td><IntervalMark :share="t.sums.sellThrough" /></td>
        <td class="num">{{ count(t.sums.units) }}<GradeMark :grade="t.sums.grade" /></td>
        <td v-if="withLifetime" class="num">{{ count(t.unitsTotal) }}</td>
        <td class="num">{{ count(t.sums.listings) }}</td>
        <td v-if="withStores" class="num">{{ count(t.sums.stores) }}</td>
        <td class="num">{{ months(t.medianAgeDays) }}</td>
      </tr>
    </tbody>
  </PlainTable>
</template>
