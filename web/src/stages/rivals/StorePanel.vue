<script setup lang="ts">
import { NButton } from 'naive-ui'
import { decimal } from '@/shared/format'
import { usePool } from '@/shared/stores/pool'
import { whatIsGathered, whatIsNew, whatMadeTheMoney } from '@/shared/store-answers'
import { useFollow } from '@/shared/use-follow'
import GradeMark from '@/shared/widgets/GradeMark.vue'
import type { OpenedStore } from '@/workers/store-methods'
import ListingTable from './ListingTable.vue'
import StoreMoney from './StoreMoney.vue'

/** One store in short: what made its money, what sells best, what is new. */
const { store } = defineProps<{ store: OpenedStore }>()
const follow = useFollow()
const pool = usePool()
</script>

<template>
  <section class="panel scroll store" :aria-label="`Store ${store.name}`">
    <header class="row-gap">
      <h2>{{ store.name }}</h2>
      <span class="quiet small"
        >{{ store.market }}{{ store.age === null ? '' : `, ${decimal(store.age, 0)} months old`
        }}{{ store.stated?.country ? `, ${store.stated.country}` : '' }}</span
      >
      <span class="row-gap push">
        <NButton size="small" @click="pool.toggle(store)"
          >{{ pool.has(store) ? 'Out of the pool' : 'Into the pool' }}&nbsp;<kbd>P</kbd></NButton
        >
        <NButton size="small" type="primary" @click="follow.store(store.market, store.name)"
          >Open whole&nbsp;<kbd>O</kbd></NButton
        >
      </span>
    </header>
    <h3>What made the money? <GradeMark v-if="store.summed.grade" :grade="store.summed.grade" /></h3>
    <p>{{ whatMadeTheMoney(store) }}</p>
    <p v-if="whatIsGathered(store)" class="quiet small">{{ whatIsGathered(store) }}</p>
    <StoreMoney :store="store" :height="70" />
    <h3>What sells best now?</h3>
    <p v-if="store.best.length === 0" class="small">No listing of it is known to sell.</p>
    <ListingTable v-else label="Best sellers" :listings="store.best.slice(0, 6)" :keys="store.itemKeys" />
    <h3>What is new and already sells?</h3>
    <p class="small">{{ whatIsNew(store) }}</p>
    <ListingTable
      v-if="store.newSelling.length"
      label="New and selling"
      :listings="store.newSelling.slice(0, 4)"
      :keys="store.itemKeys"
    />
  </section>
</template>

<style scoped>
.store {
  padding: 12px 14px;
  font-size: 13px;
}
header {
  flex-wrap: wrap;
}
h3 {
  margin: 12px 0 4px;
}
</style>
