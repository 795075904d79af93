<script setup lang="ts">
import { computed, useTemplateRef } from 'vue'
import { comparable, type Item } from '@sickle/core/catalog'
import { priceSpread } from '@sickle/core/room'
import { useServices } from '@/services/services'
import { useLens } from '@/shared/stores/lens'
import { plain } from '@/storage/plain'
import { howPriceTells, whatDoesItSellFor } from '@/shared/answers'
import ChartTable from '@/shared/charts/ChartTable.vue'
import { priceBars } from '@/shared/charts/price-bars'
import { amount, money, percent } from '@/shared/format'
import { useLatest } from '@/shared/use-latest'
import { useRoom } from '@/shared/use-room'
import GradeMark from '@/shared/widgets/GradeMark.vue'

/** What is asked and what buyers pay, delivery included. */
const { item, home } = defineProps<{ item: Item; home: string }>()
const services = useServices()
const lens = useLens()
const response = useLatest([() => item], () => services.engine.call('response', [item.key, plain(lens.markets)]))
const box = useTemplateRef('box')
const { width } = useRoom(box)
const height = 66
const compared = computed(() => comparable(item.listings))
const prices = computed(() => compared.value.list.map((l) => ({ priceE4: l.deliveredE4 as number, units: l.units })))
const spread = computed(() => priceSpread(prices.value))
const shape = computed(() => priceBars(prices.value, Math.max(80, width.value || 300), height))
const rows = computed(() =>
  shape.value.bars.map((b) => ({
    label: `${money(b.fromE4, home)} to ${money(b.toE4, home)}`,
    value: `${percent(b.asked)} of listings, ${percent(b.sold)} of units`,
  })),
)
</script>

<template>
  <article>
    <h3>What does it sell for? <GradeMark v-if="spread" grade="reported" /></h3>
    <p>{{ whatDoesItSellFor(spread, item, home) }}</p>
    <p v-if="response">{{ howPriceTells(response) }} <GradeMark grade="estimated" /></p>
    <figure v-if="spread && spread.highE4 > spread.lowE4" ref="box">
      <svg :width="width" :height="height + 14" role="img" aria-label="Delivered prices asked, and at which units sold">
        <g v-for="b in shape.bars" :key="b.fromE4">
          <rect :x="b.x" :y="height - b.askedHeight" :width="b.width / 2" :height="b.askedHeight" class="asked" />
          <rect
            :x="b.x + b.width / 2"
            :y="height - b.soldHeight"
            :width="b.width / 2"
            :height="b.soldHeight"
            class="sold"
          />
        </g>
        <line x1="0" :x2="width" :y1="height" :y2="height" class="base" />
        <text x="0" :y="height + 12">{{ amount(spread.lowE4, home) }}</text>
        <text :x="width" :y="height + 12" text-anchor="end">{{ amount(spread.highE4, home) }}</text>
      </svg>
      <p class="small quiet">
        <i class="key asked" /> listings that ask it <i class="key sold" /> units sold at it, 30 days
      </p>
      <ChartTable caption="Delivered prices" :rows="rows" />
    </figure>
  </article>
</template>

<style scoped>
figure {
  margin: 0;
}
.asked {
  fill: var(--bar);
  background: var(--bar);
}
.sold {
  fill: var(--moss);
  background: var(--moss);
}
.base {
  stroke: var(--quiet);
}
text {
  font-size: 10.5px;
  fill: var(--quiet);
}
.key {
  display: inline-block;
  width: 9px;
  height: 9px;
  border-radius: 2px;
}
</style>
