<script setup lang="ts">
import { computed } from 'vue'
import { amount, count, currencySign, percent } from '@/shared/format'
import { useRules } from '@/shared/stores/rules'
import { ownWayWords } from '@/shared/stores/own'
import { atWhatPrices, whatIsMissing, whereWeMeetWords } from '@/shared/store-answers'
import ItemLink from '@/shared/widgets/ItemLink.vue'
import PlainTable from '@/shared/widgets/PlainTable.vue'
import type { OpenedStore, StoreBeside } from '@/workers/store-methods'
import GapList from './GapList.vue'
import PriceSpread from './PriceSpread.vue'

/** A store beside others and beside me: prices, where we meet, and what it has that I have not. */
const { store, beside } = defineProps<{ store: OpenedStore; beside: StoreBeside | null }>()
const rules = useRules()
const names = computed(() => [{ market: store.market, name: store.name }])
</script>

<template>
  <div v-if="beside" class="beside">
    <article>
      <h3>At what prices?</h3>
      <p>{{ atWhatPrices(beside) }}</p>
      <PriceSpread v-if="beside.prices.prices.length > 1" :prices="beside.prices.prices" :home="rules.home" />
    </article>
    <article>
      <h3>Where do we meet?</h3>
      <p>{{ whereWeMeetWords(beside) }}</p>
      <PlainTable v-if="beside.meetings.length" class="tight" aria-label="Where we meet">
        <thead>
          <tr>
            <th>Its listing, and mine</th>
            <th class="num">Its price, {{ currencySign(rules.home) }}</th>
            <th class="num">Mine</th>
            <th class="num">It is featured</th>
            <th>Most featured</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="m in beside.meetings" :key="m.listing.key">
            <td>
              <ItemLink :item-key="m.itemKey" :title="m.listing.title" without-mine />
              <div class="small quiet">{{ m.mine }} · by {{ ownWayWords[m.way] }}</div>
            </td>
            <td class="num">{{ amount(m.listing.priceE4, rules.home) }}</td>
            <td class="num">{{ amount(m.myPriceE4, rules.home) }}</td>
            <td class="num">{{ percent(m.featured) }}</td>
            <td>
              <template v-if="m.leader"
                >{{ m.leader.store }}, {{ percent(m.leader.featured) }} at
                {{ amount(m.leader.priceE4, rules.home) }}</template
              ><span v-else class="quiet">not said</span>
            </td>
          </tr>
        </tbody>
      </PlainTable>
      <p v-if="beside.met > beside.meetings.length" class="small quiet">
        The {{ count(beside.meetings.length) }} that sell most, of {{ count(beside.met) }}.
      </p>
    </article>
    <article>
      <h3>What has it that I have not?</h3>
      <p>{{ whatIsMissing(beside) }}</p>
      <GapList v-if="beside.goods > 0" :stores="names" :file="`gaps-${store.name}`" :most="10" />
    </article>
  </div>
</template>

<style scoped>
.beside {
  display: grid;
  gap: 10px;
  min-width: 0;
}
</style>
