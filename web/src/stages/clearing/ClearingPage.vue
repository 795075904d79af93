<script setup lang="ts">
import { NButton } from 'naive-ui'
import { computed } from 'vue'
import { useRouter } from 'vue-router'
import type { ListingStatus } from '@sickle/core/clear'
import { count, plural } from '@/shared/format'
import { useWorkspace } from '@/shared/stores/workspace'
import EmptyState from '@/shared/widgets/EmptyState.vue'
import StageState from '@/shared/widgets/StageState.vue'
import ViewChoice from '@/shared/widgets/ViewChoice.vue'
import AskMarket from './AskMarket.vue'
import AvoidList from './AvoidList.vue'
import ClearingTable from './ClearingTable.vue'
import { useClearing, type ClearingOf } from './clearing-store'
import { statusWords } from '@/shared/status-words'

/** Whether hundreds of items may be listed, all at once, before any time is lost on them. */
const clearing = useClearing()
const workspace = useWorkspace()
const router = useRouter()
const scopes: { value: ClearingOf; label: string }[] = [
  { value: 'sheaf', label: 'Kept and held' },
  { value: 'found', label: 'Found in Finds' },
  { value: 'all', label: 'All' },
]
const hasList = computed(() => workspace.ledger.some((e) => e.kind === 'restricted'))
const total = computed(() => Object.values(clearing.found?.counts ?? {}).reduce((a, b) => a + b, 0))
const statuses = computed(() => [
  { value: 'any' as const, label: 'all', n: count(total.value) },
  ...(Object.keys(statusWords) as ListingStatus[]).map((s) => ({
    value: s,
    label: statusWords[s].label,
    n: count(clearing.found?.counts[s] ?? 0),
  })),
])
const shown = computed(() => clearing.found?.rows ?? [])
const more = computed(() => {
  const of = clearing.wanted === 'any' ? total.value : (clearing.found?.counts[clearing.wanted] ?? 0)
  return of - shown.value.length
})
</script>

<template>
  <div class="clearing">
    <StageState
      stage="Clearing"
      class="all"
      :ready="clearing.found !== null"
      bring="Bring in a market's listings, and what of them may be listed is told here."
    >
      <section class="panel main" aria-label="May they be listed?">
        <header>
          <h1>Clearing</h1>
          <ViewChoice v-model="clearing.of" :options="scopes" label="Which items" />
          <ViewChoice v-model="clearing.wanted" compact :options="statuses" label="Which answers" />
        </header>
        <div class="scroll body" tabindex="0" role="region" aria-label="Items">
          <EmptyState v-if="total === 0 && clearing.of === 'sheaf'" title="Nothing is kept or held in the open sheaf">
            <p class="quiet">Keep or hold items in Finds first, or look at all that is found there.</p>
            <div class="row-gap">
              <NButton type="primary" @click="router.push('/finds')">To Finds</NButton>
              <NButton @click="clearing.of = 'found'">Found in Finds</NButton>
            </div>
          </EmptyState>
          <p v-else-if="shown.length === 0" class="quiet none">None of these.</p>
          <ClearingTable v-else :rows="shown" />
          <p v-if="more > 0" class="small quiet none">and {{ plural(more, 'other', 'others') }}</p>
        </div>
      </section>
      <aside class="scroll side" tabindex="0" aria-label="Lists">
        <AskMarket />
        <AvoidList />
        <section class="panel small note">
          <h2>Lists of what may be listed</h2>
          <p class="quiet">
            {{
              hasList
                ? 'What a later list says of the same thing on the same market takes the place of an earlier one; the strictest of all that speaks of an item counts.'
                : 'None was brought in. A list of barcodes, brands, categories or phrases with what a market says of them comes in at Gather, as any file.'
            }}
            What nothing speaks of is unknown, never allowed.
          </p>
        </section>
      </aside>
    </StageState>
  </div>
</template>

<style scoped>
.clearing {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 280px;
  gap: 10px;
  height: 100%;
  padding: 10px 12px;
  min-height: 0;
}
.all {
  grid-column: 1 / -1;
}
.main {
  display: flex;
  flex-direction: column;
  min-height: 0;
}
header {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 14px;
  align-items: center;
  padding: 10px 14px;
  border-bottom: 1px solid var(--line);
}
.body {
  flex: 1;
  padding: 4px 14px 12px;
}
.none {
  padding: 12px 0;
}
.side {
  display: grid;
  gap: 10px;
  align-content: start;
}
.note {
  padding: 12px;
  display: grid;
  gap: 6px;
}
h2 {
  font-size: 14px;
}
</style>
