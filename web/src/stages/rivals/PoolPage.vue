<script setup lang="ts">
import { NButton } from 'naive-ui'
import { computed, ref, useTemplateRef } from 'vue'
import { useRouter } from 'vue-router'
import { useServices } from '@/services/services'
import { count, plural } from '@/shared/format'
import { usePool } from '@/shared/stores/pool'
import { useWorkspace } from '@/shared/stores/workspace'
import { useDecide } from '@/shared/use-decide'
import { useFollow } from '@/shared/use-follow'
import { useKeys } from '@/shared/use-keys'
import { useLatest } from '@/shared/use-latest'
import { plain } from '@/storage/plain'
import BareButton from '@/shared/widgets/BareButton.vue'
import EmptyState from '@/shared/widgets/EmptyState.vue'
import NumberField from '@/shared/widgets/NumberField.vue'
import ViewChoice from '@/shared/widgets/ViewChoice.vue'
import GapList from './GapList.vue'
import PoolTable from './PoolTable.vue'
import RivalsHead from './RivalsHead.vue'
import FoundThemes from './FoundThemes.vue'
import TakeStores from './TakeStores.vue'

/** Several stores at once. The page leads from themes: what to design for, and then what proves it. */
const services = useServices()
const workspace = useWorkspace()
const pool = usePool()
const router = useRouter()
const follow = useFollow()
const page = useTemplateRef('page')
const sources = [() => pool.value, () => workspace.version]
const isReady = () => workspace.version > 0 && pool.value.stores.length > 0
const stores = computed(() => plain(pool.value.stores))
const found = useLatest(sources, async () =>
  isReady() ? services.engine.call('pool', [stores.value, pool.value.floor]) : null,
)
const themes = useLatest(sources, async () =>
  isReady() ? services.engine.call('poolThemes', [stores.value, pool.value.floor]) : null,
)
const view = ref<'themes' | 'items' | 'gaps'>('themes')
const views = computed(() => [
  { value: 'themes' as const, label: 'Themes', n: themes.value ? count(themes.value.themes.length) : '…' },
  { value: 'items' as const, label: 'Proven items', n: found.value ? count(found.value.of) : '…' },
  { value: 'gaps' as const, label: 'What I have not' },
])
const label = computed(() => plural(pool.value.stores.length, 'store'))
const floorLimit = computed(() =>
  pool.value.floor > 0 ? { limits: { unitsTotal: [pool.value.floor, null] as [number, null] } } : {},
)
const toFinds = () => follow.storesItems(stores.value, `pool of ${label.value}`, floorLimit.value)
const themeItems = (phrase: string) =>
  follow.storesItems(stores.value, `“${phrase}”, ${label.value}`, { phrase, ...floorLimit.value })
const focused = () => document.activeElement?.closest<HTMLElement>('[data-item]')?.dataset.item ?? null
const decide = useDecide(focused)
useKeys(
  'Pool',
  [
    { key: 'k', label: 'Keep the item that has the focus', run: () => void decide('keep') },
    { key: 'h', label: 'Hold it', run: () => void decide('hold') },
    { key: 'd', label: 'Drop it', run: () => void decide('drop') },
  ],
  () => [page.value],
)
useKeys('Pool', [{ key: 'escape', label: 'Back to all stores', run: () => void router.push('/rivals') }])
</script>

<template>
  <div class="column-page">
    <RivalsHead>
      <template v-if="pool.value.stores.length">
        <span class="small">Items with at least</span>
        <NumberField
          :value="pool.value.floor"
          whole
          :max="1e9"
          label="Least lifetime sales of an item"
          @change="(floor) => pool.change({ floor })"
        />
        <span class="small">lifetime sales</span>
        <BareButton type="info" class="link small" @click="pool.empty()">Empty the pool</BareButton>
      </template>
    </RivalsHead>
    <EmptyState v-if="pool.value.stores.length === 0" title="No store is pooled yet">
      <p class="quiet">
        Tick stores in the list, or press P on one: ten to twenty are usual. What they sell between them, and for whom,
        shows here.
      </p>
      <NButton type="primary" @click="router.push('/rivals')">To the stores</NButton>
    </EmptyState>
    <template v-else>
      <ul class="members" aria-label="Stores of the pool">
        <li v-for="s in pool.value.stores" :key="`${s.market}/${s.name}`">
          <BareButton type="info" class="link" @click="follow.store(s.market, s.name)">{{ s.name }}</BareButton>
          <span class="quiet small">{{ s.market }}</span>
          <BareButton type="tertiary" :aria-label="`Take ${s.name} out of the pool`" @click="pool.toggle(s)"
            >×</BareButton
          >
        </li>
      </ul>
      <div class="row-gap">
        <ViewChoice v-model="view" label="View of the pool" :options="views" />
        <span v-if="found" class="small quiet" role="status"
          >{{ count(found.listings) }} listings; left out: {{ count(found.below) }} items under the floor,
          {{ count(found.unknown) }} whose lifetime sales are not known</span
        >
        <span class="push row-gap">
          <NButton size="small" :disabled="!found?.of" @click="toFinds">In Finds</NButton>
          <TakeStores
            v-if="view !== 'gaps'"
            :table="view === 'themes' ? 'themes' : 'pool'"
            :names="() => stores"
            :floor="pool.value.floor"
            :file="view === 'themes' ? 'pool-themes' : 'pool'"
          />
        </span>
      </div>
      <p v-if="found?.without.length" class="small caution">
        Of {{ found.without.map((s) => s.name).join(', ') }} no listing is gathered: open it to scan the rest.
      </p>
      <div ref="page" class="panel scroll body">
        <template v-if="view === 'themes'">
          <p class="quiet small lead">
            What several of them sell for the same audience or occasion: a theme to design for, not a design to copy.
          </p>
          <p v-if="!themes" class="quiet" role="status">Reading the titles …</p>
          <FoundThemes v-else :found="themes" :most="24" pooled @finds="themeItems" />
          <p v-if="themes?.themes.length === 0 && found?.of" class="small">
            Their titles name goods and say little of whom these are for.
            <BareButton type="info" class="link" @click="view = 'items'">To the proven items</BareButton>
          </p>
        </template>
        <template v-else-if="view === 'items'">
          <p v-if="!found" class="quiet" role="status">Adding up …</p>
          <PoolTable v-else :pool="found" />
        </template>
        <GapList v-else :stores="stores" file="pool-gaps" />
      </div>
    </template>
  </div>
</template>

<style scoped>
.members {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 8px;
  list-style: none;
  margin: 0;
  padding: 0;
  font-size: 13px;
  max-height: 84px;
  overflow: auto;
}
.members li {
  display: flex;
  gap: 6px;
  align-items: center;
  padding: 1px 8px;
  border: 1px solid var(--line);
  border-radius: 12px;
  background: var(--panel);
}
.caution {
  color: var(--wheat-ink);
}
.body {
  flex: 1;
  padding: 10px 14px;
  font-size: 13px;
  margin-bottom: 12px;
}
.lead {
  margin-bottom: 6px;
}
</style>
