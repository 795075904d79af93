<script setup lang="ts">
import type { Item } from '@sickle/core/catalog'
import { howEstimated } from '@/shared/answers'
import { amount, count, currencySign, decimal } from '@/shared/format'
import GradeMark from '@/shared/widgets/GradeMark.vue'
import ListingLink from '@/shared/widgets/ListingLink.vue'

/** The listings of an item, under its row; where it is a pack, prices a piece too. */
defineProps<{ item: Item; home: string }>()
</script>

<template>
  <div class="listings" role="gridcell">
    <div v-for="l in item.listings" :key="l.key" class="one">
      <span class="title" :title="l.title">{{ l.title }} <ListingLink :address="l.url" :title="l.title" /></span>
      <span class="quiet">{{ l.market }}{{ l.store ? `, ${l.store}` : '' }}</span>
      <span class="num"
        >{{ currencySign(home) }} {{ amount(l.deliveredE4, home) }} {{ l.isDeliveryKnown ? 'delivered' : 'and delivery'
        }}<template v-if="item.pack > 1 && l.priceE4 !== null"
          >, {{ amount(l.priceE4 / item.pack, home) }} a piece</template
        ></span
      >
      <span class="num" :title="l.unpublished ? howEstimated(l.unpublished) : ''"
        >{{ count(l.units) }} units<GradeMark :grade="l.grade"
      /></span>
      <span class="num">{{ l.rating === null ? '–' : `${decimal(l.rating, 1)} ★` }}</span>
    </div>
  </div>
</template>

<style scoped>
.listings {
  grid-column: 1 / -1;
  padding: 0 0 8px 48px;
  font-size: 12.5px;
}
.one {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 150px 190px 80px 50px;
  gap: 10px;
  height: 24px;
  align-items: center;
}
.title,
.quiet {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
</style>
