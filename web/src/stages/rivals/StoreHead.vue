<script setup lang="ts">
import { NButton } from 'naive-ui'
import { computed } from 'vue'
import { webAddress } from '@sickle/core/catalog'
import { decimal } from '@/shared/format'
import { usePool } from '@/shared/stores/pool'
import { whatIsGathered } from '@/shared/store-answers'
import { useFollow } from '@/shared/use-follow'
import BareButton from '@/shared/widgets/BareButton.vue'
import ListingLink from '@/shared/widgets/ListingLink.vue'
import type { OpenedStore, StoreBeside } from '@/workers/store-methods'
import ScanRest from './ScanRest.vue'
import TakeStores from './TakeStores.vue'

/** Which store it is, and what to do with it. */
const { store } = defineProps<{ store: OpenedStore; beside: StoreBeside | null }>()
defineEmits<{ close: [] }>()
const follow = useFollow()
const pool = usePool()
const gathered = computed(() => whatIsGathered(store))
const named = () => [{ market: store.market, name: store.name }]
const print = () => window.print()
</script>

<template>
  <header>
    <div class="name">
      <h1>{{ store.name }}</h1>
      <p class="small quiet">
        {{ store.market }}{{ store.age === null ? ' · age not known' : ` · ${decimal(store.age, 0)} months old`
        }}{{ store.stated?.country ? ` · ${store.stated.country}` : '' }}{{ gathered ? ` · ${gathered}` : '' }}
        <RouterLink :to="{ path: '/finds/posted', query: { market: store.market, store: store.name } }"
          >What is posted</RouterLink
        >
        <ListingLink :address="webAddress(store.stated?.url ?? null)" :title="store.name" words="Open its shop" />
      </p>
    </div>
    <div class="row-gap acts">
      <ScanRest :store="store" />
      <NButton size="small" @click="pool.toggle(store)"
        >{{ pool.has(store) ? 'Out of the pool' : 'Into the pool' }}&nbsp;<kbd>P</kbd></NButton
      >
      <NButton
        size="small"
        type="primary"
        :disabled="!store.summed.listings"
        @click="follow.storeItems(store.market, store.name)"
        >Its items in Finds</NButton
      >
      <TakeStores table="listings" :names="named" :disabled="!store.summed.listings" :file="store.name" />
      <BareButton type="info" class="link small" @click="print">Print</BareButton>
      <BareButton type="tertiary" aria-label="Back to all stores" @click="$emit('close')">✕</BareButton>
    </div>
  </header>
</template>

<style scoped>
header {
  display: flex;
  align-items: center;
  gap: 16px;
}
.name {
  flex: 1;
  min-width: 0;
}
@media screen and (max-width: 900px) {
  header,
  .acts {
    flex-wrap: wrap;
  }
}
</style>
