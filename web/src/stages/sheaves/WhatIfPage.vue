<script setup lang="ts">
import { NButton } from 'naive-ui'
import { computed, ref } from 'vue'
import { useRouter } from 'vue-router'
import type { ItemScenarios } from '@sickle/core/catalog'
import { useServices } from '@/services/services'
import { currencySign, money, percent, plural } from '@/shared/format'
import { scenarioTold } from '@/shared/scenario-words'
import { useRules } from '@/shared/stores/rules'
import { useScenarios } from '@/shared/stores/scenarios'
import { useSheaf } from '@/shared/stores/sheaf'
import { useWorkspace } from '@/shared/stores/workspace'
import { useKeys } from '@/shared/use-keys'
import { useLatest } from '@/shared/use-latest'
import { plain } from '@/storage/plain'
import BareButton from '@/shared/widgets/BareButton.vue'
import EmptyState from '@/shared/widgets/EmptyState.vue'
import PlainTable from '@/shared/widgets/PlainTable.vue'
import ProfitFigure from '@/shared/widgets/ProfitFigure.vue'
import ScenarioEditor from '@/shared/widgets/ScenarioEditor.vue'
import StageState from '@/shared/widgets/StageState.vue'
import { nearestTurn } from './nearest-turn'

/** All that is kept under the seller's what-ifs: which items turn to a loss, and at what change. */
const services = useServices()
const rules = useRules()
const scenarios = useScenarios()
const sheaf = useSheaf()
const workspace = useWorkspace()
const router = useRouter()
const isOpen = ref(false)
const keys = computed(() => sheaf.kept.map((d) => d.key))
const found = useLatest([keys, () => scenarios.list, () => workspace.version], async () =>
  workspace.version === 0 ? null : services.engine.call('scenarios', [plain(keys.value), plain(scenarios.list)]),
)
/** those that a what-if hits hardest come first */
const rows = computed(() => {
  const least = ({ now, under }: ItemScenarios) => Math.min(...[now, ...under].map((u) => u.profitE4 ?? 0))
  return [...(found.value ?? [])].sort((a, b) => least(a) - least(b))
})
const losses = computed(() =>
  scenarios.list.map((_, i) => rows.value.filter((r) => (r.under[i]?.profitE4 ?? 0) < 0).length),
)
const lossesNow = computed(() => rows.value.filter((r) => (r.now.profitE4 ?? 0) < 0).length)
useKeys('What if', [{ key: 'escape', label: 'Back to the sheaf', run: () => void router.push('/sheaves') }])
</script>

<template>
  <div class="column-page">
    <header class="row-gap">
      <h1>What if</h1>
      <span class="quiet small">{{ sheaf.current.name }}, what is kept, at the lowest competing price</span>
      <span class="push row-gap">
        <NButton size="small" @click="isOpen = true">What-ifs …</NButton>
        <NButton size="small" @click="router.push('/sheaves')">Back to the sheaf</NButton>
      </span>
    </header>
    <StageState
      stage="What if"
      within
      :ready="found !== null"
      bring="Bring in a market's listings, keep some, and what changes of costs would make of them stands here."
    >
      <EmptyState v-if="rows.length === 0" title="No profit is known of what is kept">
        <p class="quiet">Keep items in Finds, and give them a supplier's offer in Supply.</p>
        <NButton type="primary" @click="router.push('/finds')">To Finds</NButton>
      </EmptyState>
      <div v-else class="panel scroll list" tabindex="0" role="region" aria-label="Items under what-ifs">
        <PlainTable aria-label="What is kept, under what-ifs">
          <thead>
            <tr>
              <th>Profit a sale, {{ currencySign(rules.home) }}</th>
              <th class="num">As it is</th>
              <th v-for="s in scenarios.list" :key="s.name" class="num">
                {{ s.name }}
                <div class="small quiet">{{ scenarioTold(s) }}</div>
              </th>
              <th>Turns to a loss first by</th>
            </tr>
          </thead>
          <tbody>
            <tr class="sum">
              <td>Items at a loss</td>
              <td class="num">{{ lossesNow }} of {{ rows.length }}</td>
              <td v-for="(n, i) in losses" :key="i" class="num" :class="{ loss: n > lossesNow }">
                {{ n }} of {{ rows.length }}
              </td>
              <td />
            </tr>
            <tr v-for="r in rows" :key="r.key">
              <td>
                <BareButton type="info" class="link" @click="router.push(`/margin/${encodeURIComponent(r.key)}`)">{{
                  r.title
                }}</BareButton>
                <div class="small quiet">{{ r.market }}, {{ money(r.now.priceE4, rules.home) }}</div>
              </td>
              <td class="num">
                <ProfitFigure :e4="r.now.profitE4" :currency="rules.home" :assumed="r.assumed" />
                <div class="small quiet">{{ percent(r.now.margin) }}</div>
              </td>
              <td v-for="(u, i) in r.under" :key="i" class="num" :class="{ same: u.profitE4 === r.now.profitE4 }">
                <ProfitFigure :e4="u.profitE4" :currency="rules.home" :assumed="r.assumed" />
                <div class="small quiet">{{ percent(u.margin) }}</div>
              </td>
              <td class="small">{{ nearestTurn(r.turns) }}</td>
            </tr>
          </tbody>
        </PlainTable>
        <p v-if="keys.length > rows.length" class="small quiet rest">
          Of {{ plural(keys.length - rows.length, 'kept item') }} no price or cost is known.
        </p>
      </div>
    </StageState>
    <ScenarioEditor :show="isOpen" @close="isOpen = false" />
  </div>
</template>

<style scoped>
.list {
  flex: 1;
  padding: 8px 14px;
}
.sum td {
  font-weight: 600;
}
.same {
  opacity: 0.6;
}
.rest {
  padding: 10px 0;
}
</style>
