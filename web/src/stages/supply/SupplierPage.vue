<script setup lang="ts">
import { NButton } from 'naive-ui'
import { computed } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { useServices } from '@/services/services'
import { dayInWords, plural } from '@/shared/format'
import { useQuotes } from '@/shared/stores/quotes'
import { useRules } from '@/shared/stores/rules'
import { useWorkspace } from '@/shared/stores/workspace'
import { useKeys } from '@/shared/use-keys'
import { useLatest } from '@/shared/use-latest'
import AgeMark from '@/shared/widgets/AgeMark.vue'
import EmptyState from '@/shared/widgets/EmptyState.vue'
import StageState from '@/shared/widgets/StageState.vue'
import SupplierChecks from './SupplierChecks.vue'
import SupplierItems from './SupplierItems.vue'
import SupplierPrices from './SupplierPrices.vue'
import SupplierRecord from './SupplierRecord.vue'

/** A supplier read whole: its checks one by one, how it kept to what it promised, its prices, and what else it has that sells. */
const route = useRoute()
const router = useRouter()
const services = useServices()
const quotes = useQuotes()
const rules = useRules()
const workspace = useWorkspace()
const name = computed(() => (typeof route.query.name === 'string' ? route.query.name : ''))
const isReady = computed(() => workspace.version > 0)
const found = useLatest([name, () => workspace.version], async () =>
  isReady.value && route.name === 'supplier'
    ? { of: name.value, page: await services.engine.call('supplierPage', [name.value]) }
    : null,
)
const page = computed(() => found.value?.page ?? null)
const isKnown = computed(
  () => page.value !== null || [...quotes.list, ...quotes.purchases].some(({ supplier }) => supplier === name.value),
)
const standing = computed(() => rules.corrections.suppliers[name.value] ?? null)
async function stand(to: 'trusted' | 'avoided') {
  await rules.setStanding(name.value, standing.value === to ? null : to)
  await workspace.follow()
}
useKeys('Supplier', [{ key: 'escape', label: 'Back to the match desk', run: () => void router.push('/supply') }])
</script>

<template>
  <div class="column-page">
    <header class="row-gap">
      <h1>{{ name || 'A supplier' }}</h1>
      <span v-if="page" class="quiet small"
        >{{ plural(page.offers, 'offer') }}, as of {{ dayInWords(page.asOf) }} <AgeMark :day="page.asOf"
      /></span>
      <span class="push row-gap">
        <NButton size="small" :aria-pressed="standing === 'trusted'" @click="stand('trusted')">{{
          standing === 'trusted' ? 'No longer trusted' : 'Trust it'
        }}</NButton>
        <NButton size="small" :aria-pressed="standing === 'avoided'" @click="stand('avoided')">{{
          standing === 'avoided' ? 'No longer avoided' : 'Avoid it'
        }}</NButton>
        <NButton size="small" @click="router.push('/supply/quotes')">Quotes</NButton>
        <NButton size="small" @click="router.push('/supply')">Match desk</NButton>
      </span>
    </header>
    <StageState
      stage="Supplier"
      within
      :ready="isReady && found?.of === name"
      bring="Bring in a supplier's price list, and what it offers stands here."
    >
      <EmptyState v-if="!isKnown" title="Nothing is known of this supplier">
        <p class="quiet">No offer, quote or order of it is gathered.</p>
        <NButton type="primary" @click="router.push('/supply')">To the match desk</NButton>
      </EmptyState>
      <div v-else class="panes">
        <div class="scroll left" tabindex="0" role="region" aria-label="What is known of it">
          <SupplierChecks v-if="page" :checks="page.checks" :offers="page.offers" :standing="standing" />
          <SupplierRecord :supplier="name" />
          <SupplierPrices v-if="page" :moves="page.moves" />
        </div>
        <SupplierItems v-if="page" :page="page" />
      </div>
    </StageState>
  </div>
</template>

<style scoped>
.panes {
  --panes: minmax(0, 5fr) minmax(0, 6fr);
}
.left {
  display: grid;
  gap: 10px;
  align-content: start;
  min-height: 0;
}
</style>
