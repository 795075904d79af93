<script setup lang="ts">
import { NButton, NCheckbox, NInput } from 'naive-ui'
import { useTemplateRef } from 'vue'
import { useRouter } from 'vue-router'
import { count } from '@/shared/format'
import { useWorkspace } from '@/shared/stores/workspace'
import { useKeys } from '@/shared/use-keys'
import EmptyState from '@/shared/widgets/EmptyState.vue'
import NumberField from '@/shared/widgets/NumberField.vue'
import { useRivals } from './rivals-store'
import StoreField from './StoreField.vue'
import StorePanel from './StorePanel.vue'
import StoreTable from './StoreTable.vue'

const rivals = useRivals()
const workspace = useWorkspace()
const router = useRouter()
const table = useTemplateRef('table')
const page = useTemplateRef('page')
const search = useTemplateRef('search')
useKeys(
  'Rivals',
  [
    { key: 'j', label: 'Next store', run: () => table.value?.move(1) },
    { key: 'k', label: 'Store before', run: () => table.value?.move(-1) },
  ],
  () => [page.value],
)
useKeys('Rivals', [{ key: '/', label: 'Search by name', run: () => search.value?.focus() }])
</script>

<template>
  <div ref="page" class="column-page page">
    <EmptyState v-if="workspace.empty" title="Nothing is gathered yet">
      <p class="quiet">Bring a market's listings or a list of stores, and the stores stand here by age and sales.</p>
      <NButton type="primary" @click="router.push('/gather')">To Gather</NButton>
    </EmptyState>
    <p v-else-if="!rivals.list" class="quiet" role="status">Adding up the stores …</p>
    <template v-else>
      <header class="row-gap">
        <h1>Rivals</h1>
        <span role="status" class="quiet"
          ><b>{{ count(rivals.found.length) }}</b> of {{ count(rivals.list.count) }} stores,
          <b>{{ count(rivals.meeting) }}</b> worth a study</span
        >
        <NInput
          ref="search"
          class="search"
          size="small"
          clearable
          placeholder="Words in the name"
          :value="rivals.query.words"
          :input-props="{ 'aria-label': 'Search stores' }"
          @update:value="(words: string) => rivals.change({ words })"
        />
      </header>
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
        <span class="quiet small">a corner of the field, which can be dragged</span>
      </div>
      <div class="two" :class="{ alone: !rivals.opened }">
        <StoreField class="panel" />
        <StorePanel
          v-if="rivals.opened"
          :key="`${rivals.opened.market}/${rivals.opened.name}`"
          :store="rivals.opened"
        />
      </div>
      <StoreTable ref="table" />
    </template>
  </div>
</template>

<style scoped>
.search {
  width: 240px;
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
  grid-template: minmax(0, 1fr) / minmax(0, 1fr) minmax(0, 1fr);
  gap: 10px;
}
.two.alone {
  grid-template-columns: minmax(0, 1fr);
}
.page > :last-child {
  flex: 1;
}
</style>
