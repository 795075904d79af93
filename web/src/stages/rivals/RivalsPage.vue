<script setup lang="ts">
import { NButton, NCheckbox, NInput } from 'naive-ui'
import { useTemplateRef, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import type { Query } from '@sickle/core/engine'
import { count } from '@/shared/format'
import { usePool } from '@/shared/stores/pool'
import { useFollow } from '@/shared/use-follow'
import { useKeys } from '@/shared/use-keys'
import EmptyState from '@/shared/widgets/EmptyState.vue'
import StageState from '@/shared/widgets/StageState.vue'
import LensChoice from '@/shared/widgets/LensChoice.vue'
import NumberField from '@/shared/widgets/NumberField.vue'
import PasteNames from './PasteNames.vue'
import RivalsHead from './RivalsHead.vue'
import { useRivals } from './rivals-store'
import StoreChips from './StoreChips.vue'
import StoreField from './StoreField.vue'
import StorePanel from './StorePanel.vue'
import StoreTable from './StoreTable.vue'
import TakeStores from './TakeStores.vue'

const rivals = useRivals()
const pool = usePool()
const router = useRouter()
const route = useRoute()
const follow = useFollow()
const table = useTemplateRef('table')
const page = useTemplateRef('page')
const search = useTemplateRef('search')
// What stores are to sell stands in the address, so that a stop of the Trail brings it back.
const text = (v: unknown) => (typeof v === 'string' ? v : null)
watch(
  () => route.query,
  ({ selling, of }) => {
    if (route.name !== 'rivals') return
    const label = text(selling)
    rivals.setSelling(label === null ? null : { label, of: queryIn(text(of)) })
  },
  { immediate: true },
)
function queryIn(json: string | null): Partial<Query> {
  try {
    const read: unknown = JSON.parse(json ?? '{}')
    return typeof read === 'object' && read !== null && !Array.isArray(read) ? read : {}
  } catch (thrown) {
    if (thrown instanceof SyntaxError) return {} // an address that somebody cut short
    throw thrown
  }
}
const shownNames = () => [...rivals.found].flatMap((s) => rivals.nameAt(s) ?? [])
const toStore = () => rivals.chosen && void follow.store(rivals.chosen.market, rivals.chosen.name)
const toPool = () => rivals.chosen && void pool.toggle(rivals.chosen)
useKeys(
  'Rivals',
  [
    { key: 'j', label: 'Next store', run: () => table.value?.move(1) },
    { key: 'k', label: 'Store before', run: () => table.value?.move(-1) },
    { key: 'o', label: 'The store, opened whole (Enter in the list)', run: toStore },
    { key: 'p', label: 'Into the pool, or out of it', run: toPool },
  ],
  () => [page.value],
)
useKeys('Rivals', [{ key: '/', label: 'Search by name', run: () => search.value?.focus() }])
</script>

<template>
  <div ref="page" class="column-page page">
    <StageState
      stage="Rivals"
      ready
      bring="Bring a market's listings or a list of stores, and the stores stand here by age and sales."
    >
      <RivalsHead v-if="!rivals.list"><span class="quiet" role="status">Adding up the stores …</span></RivalsHead>
      <template v-else>
        <RivalsHead>
          <span role="status" class="quiet"
            ><b>{{ count(rivals.found.length) }}</b> of {{ count(rivals.finder?.count ?? 0) }} stores,
            <b>{{ count(rivals.meeting) }}</b> worth a study</span
          >
          <LensChoice />
          <NInput
            ref="search"
            class="search"
            size="small"
            clearable
            placeholder="Words in the name"
            :value="rivals.query.words"
            :input-props="{ 'aria-label': 'Search stores' }"
            @update:value="(words: string) => rivals.change({ words })"
            ><template #suffix><kbd>/</kbd></template></NInput
          >
          <PasteNames />
          <TakeStores table="stores" :names="shownNames" :disabled="rivals.found.length === 0" file="stores" />
        </RivalsHead>
        <div class="row-gap criteria">
          <span>Worth a study: at least</span>
          <NumberField
            :value="rivals.query.criteria.leastSales"
            whole
            :min="1"
            :max="1e9"
            label="Least sales since it opened"
            @change="(leastSales) => rivals.setCriteria({ leastSales })"
          />
          <span>sold in at most</span>
          <NumberField
            :value="rivals.query.criteria.mostMonths"
            whole
            :min="1"
            :max="600"
            label="Most months since it opened"
            @change="(mostMonths) => rivals.setCriteria({ mostMonths })"
          />
          <span>months</span>
          <NCheckbox
            size="small"
            :checked="rivals.query.meetsOnly"
            @update:checked="(meetsOnly: boolean) => rivals.change({ meetsOnly })"
            >Only these</NCheckbox
          >
        </div>
        <EmptyState v-if="rivals.list.count === 0" title="No store is named yet">
          <p class="quiet">
            What is gathered names no store. Bring listings with a column of who sells them, or a list of stores.
          </p>
          <NButton type="primary" @click="router.push('/gather')">To Gather</NButton>
        </EmptyState>
        <template v-else-if="rivals.answer && rivals.onField.length === 0">
          <StoreChips />
          <EmptyState title="No store passes all limits">
            <NButton @click="rivals.clear()">Lift all limits</NButton>
          </EmptyState>
        </template>
        <template v-else>
          <div class="two" :class="{ alone: !rivals.opened }">
            <StoreField class="panel" />
            <StorePanel
              v-if="rivals.opened"
              :key="`${rivals.opened.market}/${rivals.opened.name}`"
              :store="rivals.opened"
            />
          </div>
          <StoreChips />
          <StoreTable ref="table" @open="toStore" />
        </template>
      </template>
    </StageState>
  </div>
</template>

<style scoped>
.search {
  width: 200px;
  margin-left: auto;
}
.criteria {
  font-size: 13px;
  flex-wrap: wrap;
}
.two {
  flex: 1.25;
  min-height: 0;
  display: grid;
  grid-template: minmax(0, 1fr) / minmax(0, 1.15fr) minmax(0, 1fr);
  gap: 10px;
}
.two.alone {
  grid-template-columns: minmax(0, 1fr);
}
.page > :last-child {
  flex: 1;
}
@media (max-width: 900px) {
  .two {
    grid-template: 260px minmax(0, 1fr) / minmax(0, 1fr);
  }
}
</style>
