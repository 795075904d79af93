<script setup lang="ts">
import { NButton } from 'naive-ui'
import { computed, useTemplateRef, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { useServices } from '@/services/services'
import { percent } from '@/shared/format'
import { usePool } from '@/shared/stores/pool'
import { useWorkspace } from '@/shared/stores/workspace'
import { useDecide } from '@/shared/use-decide'
import { useKeys } from '@/shared/use-keys'
import { useLatest } from '@/shared/use-latest'
import EmptyState from '@/shared/widgets/EmptyState.vue'
import StoreAnswers from './StoreAnswers.vue'
import StoreHead from './StoreHead.vue'
import StoreTiles from './StoreTiles.vue'

/** A store opened whole: its figures, and every question with its answer. */
const route = useRoute()
const router = useRouter()
const services = useServices()
const workspace = useWorkspace()
const pool = usePool()
const text = (v: unknown) => (typeof v === 'string' ? v : '')
const named = computed(() => ({ market: text(route.query.market), name: text(route.query.name) }))
const isHere = () => route.name === 'store' && workspace.version > 0
const ask = <T,>(of: () => Promise<T>) =>
  useLatest([named, () => workspace.version], async () => (isHere() ? of() : null))
const store = ask(() => services.engine.call('store', [named.value.market, named.value.name]))
const beside = ask(() => services.engine.call('storeBeside', [named.value.market, named.value.name]))
const writing = ask(() => services.engine.call('storeWriting', [named.value.market, named.value.name]))
const isShown = computed(() => store.value?.market === named.value.market && store.value.name === named.value.name)

const answers = useTemplateRef('answers')
/** the item that the seller's eyes are on: the one whose listing has the focus */
const focused = () => document.activeElement?.closest<HTMLElement>('[data-item]')?.dataset.item ?? null
const decide = useDecide(focused)
const toRivals = () => void router.push('/rivals')
useKeys(
  'Store',
  [
    { key: 'k', label: 'Keep the item that has the focus (Enter looks at it)', run: () => void decide('keep') },
    { key: 'h', label: 'Hold it', run: () => void decide('hold') },
    { key: 'd', label: 'Drop it', run: () => void decide('drop') },
    { key: 'arrowdown', label: 'Next item', run: () => step(1) },
    { key: 'arrowup', label: 'Item before', run: () => step(-1) },
    { key: 'p', label: 'Into the pool, or out of it', run: () => store.value && void pool.toggle(store.value) },
    { key: 'escape', label: 'Back to all stores', run: toRivals },
  ],
  () => [answers.value?.$el as HTMLElement | undefined],
)
/** From one listing of the page to the next, wherever they stand. */
function step(by: 1 | -1) {
  const page = answers.value?.$el as HTMLElement | undefined
  const all = [...(page?.querySelectorAll<HTMLElement>('[data-item]') ?? [])]
  const at = all.findIndex((e) => e === document.activeElement)
  const next = all[at < 0 ? 0 : Math.max(0, Math.min(all.length - 1, at + by))]
  next?.focus()
}
/** which store the focus was given to: a new one takes it, the same worked out anew does not */
let focusedStore = ''
watch(
  [isShown, named],
  () => {
    const now = JSON.stringify(named.value)
    if (!isShown.value || focusedStore === now) return
    focusedStore = now
    const page = answers.value?.$el as HTMLElement | undefined
    page?.focus({ preventScroll: true })
    page?.scrollTo({ top: 0 })
  },
  { flush: 'post' },
)
</script>

<template>
  <EmptyState v-if="!store || !isShown" whole title="Store">
    <p class="quiet" role="status">
      {{
        workspace.state === 'ready' && store === null
          ? `No store ${named.name} on ${named.market} is among what is gathered.`
          : `Reading ${named.name} … ${workspace.state === 'working' ? percent(workspace.progress) : ''}`
      }}
    </p>
    <NButton @click="toRivals">To all stores</NButton>
  </EmptyState>
  <div v-else class="full">
    <StoreHead :store="store" :beside="beside" @close="toRivals" />
    <StoreTiles :store="store" />
    <StoreAnswers ref="answers" :store="store" :beside="beside" :writing="writing" />
  </div>
</template>

<style scoped>
.full {
  display: grid;
  grid-template: auto auto minmax(0, 1fr) / minmax(0, 1fr);
  gap: 10px;
  height: 100%;
  padding: 10px 12px 0;
}
/* One sheet holds it: small, and of long lists what comes first. */
@media print {
  @page {
    size: A4;
    margin: 8mm;
  }
  .full {
    display: block;
    height: auto;
    padding: 0;
    zoom: 0.66;
  }
  .full :deep(.sr-only),
  .full :deep(.acts),
  .full :deep(table.plain tbody tr:nth-child(n + 7)) {
    display: none;
  }
  .full :deep(.answers) {
    overflow: visible;
    padding-top: 10px;
  }
  .full :deep(article) {
    break-inside: avoid;
    padding: 6px 10px;
  }
}
</style>
