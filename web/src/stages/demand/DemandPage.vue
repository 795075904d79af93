<script setup lang="ts">
import { NInput } from 'naive-ui'
import { computed, useTemplateRef, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { useLens } from '@/shared/stores/lens'
import { useRules } from '@/shared/stores/rules'
import { useTrail } from '@/shared/stores/trail'
import { useFollow } from '@/shared/use-follow'
import { useKeys } from '@/shared/use-keys'
import StageState from '@/shared/widgets/StageState.vue'
import LensChoice from '@/shared/widgets/LensChoice.vue'
import BranchTable from './BranchTable.vue'
import CategoryIcicle from './CategoryIcicle.vue'
import TermPanel from './TermPanel.vue'
import TermsPane from './TermsPane.vue'
import BranchThemes from './BranchThemes.vue'
import TwoWordings from './TwoWordings.vue'
import { useDemand } from './demand-store'
import BareButton from '@/shared/widgets/BareButton.vue'

const demand = useDemand()
const lens = useLens()
const rules = useRules()
const trail = useTrail()
const follow = useFollow()
const route = useRoute()
const router = useRouter()
const search = useTemplateRef('search')

// Branch and term stand in the address, so that the browser's own way back works too.
const text = (v: unknown) => (typeof v === 'string' ? v : null)
watch(
  () => route.query,
  (now) => {
    if (route.name !== 'demand') return
    demand.named = text(now.branch) ?? ''
    demand.term = text(now.term)
    demand.other = text(now.beside)
  },
  { immediate: true },
)
const address = (some: Record<string, string | undefined>) =>
  router.resolve({ path: '/demand', query: { ...route.query, ...some } }).fullPath

async function walk(path: string) {
  const to = address({ branch: path || undefined })
  await router.push(to)
  if (path !== '') await trail.step({ kind: 'branch', key: path, label: path.split(' / ').at(-1) ?? path, to })
}
async function choose(key: string) {
  const to = address({ term: key, beside: undefined })
  await router.push(to)
  await trail.step({ kind: 'term', key, label: key.slice(key.indexOf('/') + 1), to })
}
const beside = (key: string) => router.push(address({ beside: key }))
const crumbs = computed(() => {
  const parts = demand.branch === '' ? [] : demand.branch.split(' / ')
  return parts.map((name, i) => ({ name, path: parts.slice(0, i + 1).join(' / ') }))
})
const best = computed(() => demand.tree?.best?.path ?? null)
useKeys('Demand', [
  { key: '/', label: 'Narrow the tree by a broad word', run: () => search.value?.focus() },
  { key: 'b', label: 'To the best branch', run: () => best.value !== null && void walk(best.value) },
  { key: 'u', label: 'One branch up', run: () => void walk(crumbs.value.at(-2)?.path ?? '') },
  {
    key: 'i',
    label: 'Items of this branch in Finds',
    run: () => demand.branch && void follow.branchItems(demand.branch),
  },
  {
    key: 't',
    label: 'Items that sell under the term',
    run: () => demand.look && void follow.phraseItems(demand.look.term.phrase),
  },
])
</script>

<template>
  <div class="demand">
    <StageState
      stage="Demand"
      class="all"
      :ready="demand.tree !== null"
      bring="Bring in a market's listings and its search terms, or the demo, and demand shows here."
    >
      <section class="half" aria-label="Categories">
        <div class="panel top">
          <header class="row-gap">
            <h1>Demand</h1>
            <LensChoice />
            <nav class="crumbs" aria-label="Branch">
              <BareButton
                :type="demand.branch === '' ? 'default' : 'info'"
                :class="{ on: demand.branch === '' }"
                @click="walk('')"
                >All</BareButton
              >
              <template v-for="c in crumbs" :key="c.path"
                >&nbsp;/&nbsp;<BareButton
                  :type="c.path === demand.branch ? 'default' : 'info'"
                  :class="{ on: c.path === demand.branch }"
                  @click="walk(c.path)"
                >
                  {{ c.name }}
                </BareButton></template
              >
            </nav>
            <NInput
              ref="search"
              v-model:value="demand.words"
              size="small"
              class="word"
              clearable
              placeholder="A broad word"
              :input-props="{ 'aria-label': 'A broad word' }"
              @keydown.enter="search?.blur()"
            >
              <template #suffix><kbd>/</kbd></template>
            </NInput>
          </header>
          <CategoryIcicle
            class="fill"
            :branches="demand.tree?.branches ?? []"
            :from="demand.branch"
            :best="best"
            :home="rules.home"
            @walk="walk"
          />
        </div>
        <div class="panel scroll low">
          <BranchTable
            v-if="demand.here && demand.here.items > 0"
            :here="demand.here"
            :below="demand.below"
            :branches="demand.tree?.branches ?? []"
            :home="rules.home"
            @walk="walk"
            @finds="follow.branchItems"
            @stores="(path) => follow.storesSelling(path.split(' / ').at(-1) ?? path, { categories: [path] })"
          />
          <p v-else class="none quiet">No item has all these words. Try a broader one.</p>
          <BranchThemes
            v-if="demand.branch && demand.themes"
            :found="demand.themes"
            :branch="demand.branch"
            @finds="(phrase) => follow.themeItems(phrase, demand.branch)"
          />
        </div>
      </section>
      <section class="half" aria-label="Search terms">
        <div class="panel top">
          <TermsPane
            v-if="demand.field && demand.field.of > 0"
            class="fill"
            :answer="demand.field"
            :market="demand.market"
            :chosen="demand.term"
            :other="demand.other"
            @choose="choose"
            @market="(m) => (demand.market = m)"
          />
          <p v-else class="none quiet">
            {{
              demand.field
                ? `No search terms ${lens.told ? `of ${lens.markets.join(', ')} ` : ''}are gathered: bring in a market’s search report, or scan its terms.`
                : 'Reading the terms …'
            }}
          </p>
        </div>
        <div class="panel scroll low">
          <TwoWordings
            v-if="demand.look && demand.against"
            :first="demand.look"
            :second="demand.against"
            :wordings="demand.wordings"
            :home="rules.home"
            @choose="choose"
            @close="router.push(address({ beside: undefined }))"
          />
          <TermPanel
            v-else-if="demand.look"
            :look="demand.look"
            :terms="demand.field?.terms ?? []"
            :home="rules.home"
            @choose="choose"
            @beside="beside"
            @finds="follow.phraseItems"
            @stores="(phrase) => follow.storesSelling(`“${phrase}”`, { phrase })"
            @item="follow.item"
          />
          <p v-else class="none quiet">
            Press a term: it opens with its year, its places, longer phrases around it and what sells under it.
          </p>
        </div>
      </section>
    </StageState>
  </div>
</template>

<style scoped>
.demand {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: 10px;
  height: 100%;
  padding: 10px 12px;
}
.all {
  grid-column: 1 / -1;
}
.half {
  display: grid;
  grid-template-rows: minmax(0, 46fr) minmax(0, 54fr);
  gap: 10px;
  min-height: 0;
}
.top {
  display: flex;
  flex-direction: column;
  gap: 6px;
  padding: 8px 12px 6px;
  min-height: 0;
}
.fill {
  flex: 1;
  min-height: 0;
}
.crumbs {
  flex: 1;
  min-width: 0;
  overflow: hidden;
  white-space: nowrap;
  font-size: 13px;
  color: var(--quiet);
}
.crumbs button.on {
  font-weight: 600;
}
.word {
  width: 150px;
}
.none {
  padding: 14px;
}
@media (max-width: 900px) {
  .demand {
    grid-template-columns: minmax(0, 1fr);
    grid-auto-rows: max-content;
    overflow-y: auto;
  }
  .half {
    grid-template-rows: 340px auto;
    min-width: 0;
  }
  .half > * {
    min-width: 0;
    overflow-x: hidden;
  }
  .top :deep(.row-gap) {
    flex-wrap: wrap;
  }
}
</style>
