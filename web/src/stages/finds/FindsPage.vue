<script setup lang="ts">
import { NButton, NInput } from 'naive-ui'
import { nextTick, onMounted, useTemplateRef } from 'vue'
import { useRouter } from 'vue-router'
import { measures } from '@sickle/core/engine'
import { count } from '@/shared/format'
import { useQuery } from '@/shared/stores/query'
import { useWorkspace } from '@/shared/stores/workspace'
import { useFollow } from '@/shared/use-follow'
import { useKeys } from '@/shared/use-keys'
import EmptyState from '@/shared/widgets/EmptyState.vue'
import StageState from '@/shared/widgets/StageState.vue'
import CloseLook from './CloseLook.vue'
import ExportFinds from './ExportFinds.vue'
import FindsGrid from './FindsGrid.vue'
import LimitChips from './LimitChips.vue'
import TheComb from './TheComb.vue'
import { useDecide } from '@/shared/use-decide'
import BareButton from '@/shared/widgets/BareButton.vue'
import LensChoice from '@/shared/widgets/LensChoice.vue'
import HouseSelect from '@/shared/widgets/HouseSelect.vue'
import { plain } from '@/storage/plain'

const query = useQuery()
const workspace = useWorkspace()
const router = useRouter()
const search = useTemplateRef('search')
const grid = useTemplateRef('grid')
const look = useTemplateRef('look')
const decide = useDecide(() => query.selected)
const follow = useFollow()
/** Keys act one after another: a decision pressed right after a step is on the item stepped to. */
let turn: Promise<unknown> = Promise.resolve()
function inTurn(work: () => unknown): void {
  const done = turn.then(work)
  // What fails is told as ever; what was pressed after it goes on.
  turn = done.catch((thrown: unknown) => void Promise.reject(thrown as Error))
}
const toItem = () =>
  query.selected ? follow.item(query.selected, grid.value?.titleOf(query.selected) ?? query.selected) : undefined

onMounted(() => query.ask())
/** From the search straight to the first of what was found. */
async function toList() {
  search.value?.blur()
  query.selected = null
  await nextTick()
  await query.settled()
  await grid.value?.first()
}
/** On to the stores that sell what is found: the order of the items says nothing of them. */
function toStores() {
  const { words, phrase, stores, categories } = query.query
  const said = [words, phrase, ...categories.map((c) => c.split(' / ').at(-1) ?? c), ...stores].filter((s) => s !== '')
  const label = said.length === 0 ? 'what is found' : said.slice(0, 2).join(', ')
  return follow.storesSelling(label, plain(query.query))
}
const toMargin = () => query.selected && router.push(`/margin/${encodeURIComponent(query.selected)}`)
useKeys(
  'Finds',
  [
    { key: '/', label: 'Search', run: () => search.value?.focus() },
    { key: 'arrowdown', label: 'Next item', run: () => inTurn(() => grid.value?.move(1)) },
    { key: 'arrowup', label: 'Item before', run: () => inTurn(() => grid.value?.move(-1)) },
    { key: 'pagedown', label: 'Ten further', run: () => inTurn(() => grid.value?.move(10)) },
    { key: 'pageup', label: 'Ten back', run: () => inTurn(() => grid.value?.move(-10)) },
    { key: 'arrowright', label: 'Show or fold its listings', run: () => inTurn(() => grid.value?.unfoldSelected()) },
    { key: 'k', label: 'Keep', run: () => inTurn(() => decide('keep')) },
    { key: 'h', label: 'Hold', run: () => inTurn(() => decide('hold')) },
    { key: 'd', label: 'Drop', run: () => inTurn(() => decide('drop')) },
    { key: 'r', label: 'Give a reason', run: () => look.value?.focusReason() },
    { key: 'o', label: 'Close look in full (Enter in the list)', run: () => inTurn(toItem) },
    { key: 'm', label: 'Cost it in Margin', run: () => inTurn(toMargin) },
    { key: 's', label: 'The stores that sell what is found', run: () => inTurn(toStores) },
    { key: 'escape', label: 'Close the look', run: () => (query.selected = null) },
  ],
  () => [grid.value?.$el, look.value?.$el],
)
</script>

<template>
  <div class="finds" :class="{ looking: query.selected }">
    <div class="middle">
      <header>
        <h1>Finds</h1>
        <span v-if="!workspace.isBeginning" class="quiet" role="status"
          ><b>{{ count(query.answer?.matching ?? 0) }}</b> of {{ count(query.answer?.total ?? 0) }} items</span
        >
        <LensChoice />
        <NInput
          ref="search"
          :value="query.query.words"
          class="search"
          clearable
          placeholder="Words in titles, tags, stores"
          :input-props="{ 'aria-label': 'Search' }"
          @update:value="(v: string) => query.change({ words: v })"
          @keydown="(e: KeyboardEvent) => ['Enter', 'ArrowDown'].includes(e.key) && (e.preventDefault(), toList())"
        >
          <template #suffix><kbd>/</kbd></template>
        </NInput>
        <BareButton
          type="info"
          class="link small"
          :disabled="!query.answer?.matching"
          title="The stores that sell what is found"
          @click="toStores"
          >Their stores</BareButton
        >
        <ExportFinds />
        <span class="sort small quiet"
          ><span class="of">Sorted by</span>
          <HouseSelect
            filterable
            size="tiny"
            class="by"
            label="Sorted by"
            :model-value="query.query.sort.by"
            :options="measures.map((m) => ({ value: m.name, label: m.label }))"
            @update:model-value="(by) => by !== null && query.change({ sort: { by, descending: true } })"
          />
        </span>
      </header>
      <TheComb />
      <LimitChips />
      <StageState
        stage="Finds"
        within
        :ready="query.answer !== null"
        bring="Bring in a market's file or the demo, and its items show here."
      >
        <EmptyState v-if="query.answer?.matching === 0" title="No item passes all limits">
          <p class="quiet">Each strip says how many come back without its limit.</p>
          <NButton @click="query.clear()">Lift all limits</NButton>
        </EmptyState>
        <FindsGrid v-else ref="grid" @open="toItem" />
      </StageState>
    </div>
    <CloseLook
      v-if="query.selected"
      ref="look"
      :item-key="query.selected"
      class="look scroll"
      @margin="toMargin"
      @full="toItem"
      @close="query.selected = null"
    />
  </div>
</template>

<style scoped>
.finds {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  height: 100%;
}
.finds.looking {
  grid-template-columns: minmax(0, 1fr) 350px;
}
@media (max-width: 900px) {
  .finds.looking {
    grid-template: minmax(0, 1fr) minmax(0, 1fr) / minmax(0, 1fr);
  }
  .finds .middle {
    overflow-y: auto;
  }
  .finds header,
  .finds :deep(.comb) {
    flex-wrap: wrap;
  }
}
.middle {
  display: flex;
  flex-direction: column;
  gap: 8px;
  padding: 10px 12px 0;
  min-width: 0;
  min-height: 0;
}
header {
  display: flex;
  align-items: center;
  gap: 10px;
  white-space: nowrap;
}
.search {
  max-width: 380px;
}
.sort {
  display: flex;
  align-items: center;
  gap: 6px;
  margin-left: auto;
}
.by {
  width: 130px;
}
.looking .of {
  display: none;
}
.look {
  border-left: 1px solid var(--line);
  background: var(--panel);
}
</style>
