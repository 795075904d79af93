<script setup lang="ts">
import { NButton } from 'naive-ui'
import { computed, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { useServices } from '@/services/services'
import { plural } from '@/shared/format'
import { useQuotes } from '@/shared/stores/quotes'
import { useSheaf } from '@/shared/stores/sheaf'
import { useWorkspace } from '@/shared/stores/workspace'
import { useKeys } from '@/shared/use-keys'
import { useLatest } from '@/shared/use-latest'
import EmptyState from '@/shared/widgets/EmptyState.vue'
import StageState from '@/shared/widgets/StageState.vue'
import { plain } from '@/storage/plain'
import AskQuotes from './AskQuotes.vue'
import { quotesOfItems } from './quotes-of-items'
import QuoteTable from './QuoteTable.vue'
import SidePicks from './SidePicks.vue'

/** Quotes and samples: what was asked of suppliers, what they answered, beside each other by landed cost. */
const services = useServices()
const quotes = useQuotes()
const sheaf = useSheaf()
const workspace = useWorkspace()
const route = useRoute()
const router = useRouter()
const isAsking = ref(false)
const items = computed(() => quotesOfItems(quotes.list, quotes.today()))
const wanted = ref<string | null>(typeof route.query.item === 'string' ? route.query.item : null)
const item = computed(() => items.value.find((i) => i.key === wanted.value) ?? items.value[0] ?? null)
const compared = useLatest([item, () => workspace.version], async () =>
  workspace.version === 0 || item.value === null
    ? null
    : services.engine.call('compareQuotes', [item.value.key, plain(item.value.quotes)]),
)
/** the item that the address names, or all that is kept and held */
const toAsk = computed(() => {
  const named = [route.query.ask ?? []].flat().filter((key) => key !== null)
  return named.length > 0 ? named : [...sheaf.kept, ...sheaf.held].map((d) => d.key)
})
watch(
  () => [route.query.ask, workspace.version] as const,
  ([asked, version]) => {
    if (asked === undefined || version === 0) return
    const key = String(asked)
    if (items.value.some((i) => i.key === key)) wanted.value = key
    isAsking.value = true
  },
  { immediate: true },
)
watch(isAsking, (open) => {
  if (!open && route.query.ask !== undefined) void router.replace({ path: '/supply/quotes' })
})
useKeys('Quotes', [
  { key: 'a', label: 'Ask for quotes', run: () => (isAsking.value = true) },
  { key: 'escape', label: 'Back to the match desk', run: () => void router.push('/supply') },
])
</script>

<template>
  <div class="column-page">
    <header class="row-gap">
      <h1>Quotes and samples</h1>
      <span class="quiet small">{{
        quotes.late.length ? `${plural(quotes.late.length, 'answer or sample', 'answers or samples')} late` : ''
      }}</span>
      <span class="push row-gap">
        <NButton size="small" :type="items.length ? 'default' : 'primary'" @click="isAsking = true"
          >Ask for quotes …&nbsp;<kbd>A</kbd></NButton
        >
        <NButton size="small" @click="router.push('/supply')">Match desk</NButton>
      </span>
    </header>
    <StageState
      stage="Quotes"
      within
      :ready="workspace.version > 0"
      bring="Bring in a market's listings and a supplier's price list, and several suppliers can be asked about an item."
    >
      <EmptyState v-if="items.length === 0" title="Nothing is asked yet">
        <p class="quiet">
          Ask several suppliers about what you keep or hold: each gets a message of its own to copy, and what they
          answer is compared by landed cost.
        </p>
      </EmptyState>
      <div v-else class="panes">
        <SidePicks
          label="Items that were asked about"
          :picks="items"
          :model-value="item?.key ?? null"
          @update:model-value="(key) => (wanted = key)"
        />
        <QuoteTable v-if="item" :key="item.key" :item="item" :compared="compared" />
      </div>
    </StageState>
    <AskQuotes v-model:show="isAsking" :keys="toAsk" @asked="(key) => (wanted = key)" />
  </div>
</template>

<style scoped>
.panes {
  --panes: 260px minmax(0, 1fr);
}
</style>
