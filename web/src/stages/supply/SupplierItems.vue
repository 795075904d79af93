<script setup lang="ts">
import { computed, ref } from 'vue'
import type { SupplierItem, SupplierPage } from '@sickle/core/catalog'
import { amount, count, currencySign, plural } from '@/shared/format'
import { useRules } from '@/shared/stores/rules'
import { useSheaf } from '@/shared/stores/sheaf'
import ItemLink from '@/shared/widgets/ItemLink.vue'
import PlainTable from '@/shared/widgets/PlainTable.vue'
import ProfitFigure from '@/shared/widgets/ProfitFigure.vue'
import ViewChoice from '@/shared/widgets/ViewChoice.vue'

/** What it has that sells, those first that sell most: what I reckon with already, and what I have not decided on yet. */
const { page } = defineProps<{ page: SupplierPage }>()
const rules = useRules()
const sheaf = useSheaf()
const shown = ref<'open' | 'kept' | 'used'>('open')
const decided = (i: SupplierItem) => sheaf.decisionOf(i.key)?.state
const lists = computed(() => ({
  open: page.items.filter((i) => decided(i) === undefined),
  kept: page.items.filter((i) => decided(i) === 'keep' || decided(i) === 'hold'),
  used: page.items.filter((i) => i.isUsed),
}))
const options = computed(() => [
  { value: 'open' as const, label: 'Not decided', n: count(lists.value.open.length) },
  { value: 'kept' as const, label: 'Kept, held', n: count(lists.value.kept.length) },
  { value: 'used' as const, label: 'Reckoned with', n: count(lists.value.used.length) },
])
const mostShown = 200
const rows = computed(() => lists.value[shown.value].slice(0, mostShown))
</script>

<template>
  <section class="panel scroll" tabindex="0" aria-label="What it has that sells">
    <header class="row-gap">
      <h2>What it has that sells</h2>
      <ViewChoice v-model="shown" compact label="Which items" :options="options" />
    </header>
    <p class="small quiet">
      Items of which it seems to have the same goods, among the {{ count(page.looked) }} that sell most; profit with its
      offer, at the lowest competing price.
    </p>
    <p v-if="rows.length === 0" class="quiet">
      {{ shown === 'open' ? 'Nothing that sells is left to decide on.' : 'None of these.' }}
    </p>
    <PlainTable v-else aria-label="What it has that sells">
      <thead>
        <tr>
          <th>Item</th>
          <th class="num">Units, 30 days</th>
          <th class="num">Landed, {{ currencySign(rules.home) }}</th>
          <th class="num">Profit</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="i in rows" :key="i.key">
          <td>
            <ItemLink :item-key="i.key" :title="i.title" />
            <div class="small quiet">
              {{ i.offer.id }} · {{ i.offer.title }}{{ i.isUsed ? ' · reckoned with' : '' }}
            </div>
          </td>
          <td class="num">{{ count(i.units) }}</td>
          <td class="num">{{ amount(i.landedE4, rules.home) }}</td>
          <td class="num"><ProfitFigure :e4="i.profitE4" :currency="rules.home" :assumed="i.assumed" /></td>
        </tr>
      </tbody>
    </PlainTable>
    <p v-if="lists[shown].length > mostShown" class="small quiet">
      And {{ plural(lists[shown].length - mostShown, 'other') }} that sell less.
    </p>
  </section>
</template>

<style scoped>
section {
  padding: 10px 14px;
}
header {
  justify-content: space-between;
}
</style>
