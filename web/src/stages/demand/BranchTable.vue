<script setup lang="ts">
import { NButton } from 'naive-ui'
import { computed } from 'vue'
import { bestBranch, type Branch } from '@sickle/core/engine'
import { howUnitsAreKnown, whereItSellsBest } from '@/shared/demand-answers'
import IntervalMark from '@/shared/charts/IntervalMark.vue'
import { amount, count, currencySign, decimal, signedPercent } from '@/shared/format'
import BareButton from '@/shared/widgets/BareButton.vue'
import PlainTable from '@/shared/widgets/PlainTable.vue'

/** A branch and those right below it, best sell-through first. */
const { here, branches } = defineProps<{ here: Branch; below: Branch[]; branches: Branch[]; home: string }>()
defineEmits<{ walk: [path: string]; finds: [path: string]; stores: [path: string] }>()
const best = computed(() => bestBranch(branches, here.path))
const sure = (b: Branch) => (b.growth?.low ?? 0) > 0 || (b.growth?.high ?? 0) < 0
const growthTip = (b: Branch) =>
  b.growth ? `95\u00a0%: ${signedPercent(b.growth.low)} to ${signedPercent(b.growth.high)}` : ''
</script>

<template>
  <div class="branch">
    <p class="answer">{{ whereItSellsBest(here, best) }}</p>
    <div class="row-gap acts">
      <NButton v-if="best" size="small" type="primary" @click="$emit('walk', best.path)">To {{ best.name }}</NButton>
      <NButton v-if="here.path" size="small" @click="$emit('finds', here.path)"
        >{{ count(here.items) }} items in Finds</NButton
      >
      <NButton v-if="here.path" size="small" @click="$emit('stores', here.path)">Its stores</NButton>
      <span class="small quiet">Units: {{ howUnitsAreKnown(here) }}</span>
    </div>
    <p v-if="below.length" class="small quiet">
      Windows of 30 days; the last column is 28 days against the 28 before, “?” where it may be chance.
    </p>
    <PlainTable v-if="below.length" class="tight" aria-label="Branches below">
      <thead>
        <tr>
          <th>Branch</th>
          <th>Listings sold, 95&nbsp;%</th>
          <th class="num">Units each</th>
          <th class="num">Listings</th>
          <th class="num">Sales, k{{ currencySign(home) }}</th>
          <th class="num">Mean {{ currencySign(home) }}</th>
          <th class="num">28 days</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="b in below" :key="b.path">
          <td>
            <BareButton type="info" class="link" @click="$emit('walk', b.path)">{{ b.name }}</BareButton>
          </td>
          <td><IntervalMark :share="b.sellThrough" /></td>
          <td class="num">{{ decimal(b.unitsPerListing, 1) }}</td>
          <td class="num">{{ count(b.listings) }}</td>
          <td class="num">{{ decimal(b.revenueE4 / 10_000_000, 1) }}</td>
          <td class="num">{{ amount(b.averageE4, home) }}</td>
          <td class="num" :class="{ quiet: !sure(b) }" :title="growthTip(b)">
            {{ signedPercent(b.growth?.ratio) }}{{ b.growth && !sure(b) ? ' ?' : '' }}
          </td>
        </tr>
      </tbody>
    </PlainTable>
    <p v-else class="quiet">No narrower branch. Its items are one step away, in Finds.</p>
  </div>
</template>

<style scoped>
.branch {
  display: grid;
  gap: 8px;
  align-content: start;
  padding: 10px 14px;
}
.answer {
  font-size: 13.5px;
}
</style>
