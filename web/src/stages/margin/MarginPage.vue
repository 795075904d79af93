<script setup lang="ts">
import { NButton } from 'naive-ui'
import { computed, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { bestMarketOf } from '@sickle/core/catalog'
import { useServices } from '@/services/services'
import { percent } from '@/shared/format'
import { useRules } from '@/shared/stores/rules'
import { useSheaf } from '@/shared/stores/sheaf'
import { useWorkspace } from '@/shared/stores/workspace'
import { useKeys } from '@/shared/use-keys'
import EmptyState from '@/shared/widgets/EmptyState.vue'
import ProfitFigure from '@/shared/widgets/ProfitFigure.vue'
import CostForm from './CostForm.vue'
import FeeEditor from './FeeEditor.vue'
import MarginPicks from './MarginPicks.vue'
import MoneyAnswers from './MoneyAnswers.vue'
import PriceBar from './PriceBar.vue'
import PriceLadder from './PriceLadder.vue'
import TheTornado from './TheTornado.vue'
import TheWaterfall from './TheWaterfall.vue'
import WhatIf from './WhatIf.vue'
import { useCosting } from './use-costing'
import BareButton from '@/shared/widgets/BareButton.vue'
import { useLatest } from '@/shared/use-latest'

const route = useRoute()
const router = useRouter()
const services = useServices()
const workspace = useWorkspace()
const rules = useRules()
const sheaf = useSheaf()
const market = ref('')
const fees = ref(false)
/** the market whose fees are asked for by name, whatever item is costed */
const feesOf = computed(() => (typeof route.query.fees === 'string' ? route.query.fees : ''))
watch(feesOf, (asked) => asked !== '' && (fees.value = true), { immediate: true })
watch(fees, (open) => !open && feesOf.value !== '' && void router.replace({ query: {} }))
const key = computed(() => [route.params.key].flat().join('/') || sheaf.kept[0]?.key || sheaf.held[0]?.key || '')
const item = useLatest([key, () => workspace.version], async () =>
  key.value ? services.engine.call('item', [key.value]) : null,
)
watch(item, (now, before) => {
  const moved = before?.key !== now?.key || !now?.markets.includes(market.value)
  if (now && moved) market.value = bestMarketOf(now)
})
const costing = useCosting(item, market)
const setPrice = (e4: number | null) => item.value && void rules.setPrice(item.value.key, market.value, e4)
let later: ReturnType<typeof setTimeout> | undefined
/** The page follows at once; the finds follow when typing rests. */
function changed() {
  clearTimeout(later)
  later = setTimeout(() => void workspace.follow(), 400)
}
const others = computed(() => item.value?.profits ?? [])
useKeys('Margin', [
  { key: 'l', label: 'Price: lowest less a step', run: () => setPrice(null) },
  { key: 'f', label: 'Price: the floor', run: () => setPrice(costing.floor.value?.lowestE4 ?? null) },
  { key: 'e', label: 'Edit the fees', run: () => (fees.value = true) },
  { key: 'escape', label: 'Back to Finds', run: () => void router.push('/finds') },
])
</script>

<template>
  <div class="margin">
    <MarginPicks class="picks scroll" :current="item?.key ?? ''" />
    <EmptyState v-if="!item" whole class="none" title="Margin">
      <p class="quiet">
        {{
          workspace.state === 'ready'
            ? 'Keep or hold an item in Finds, or press M on one, and its cost sheet opens here.'
            : 'Opening …'
        }}
      </p>
      <NButton type="primary" @click="router.push('/finds')">To Finds</NButton>
    </EmptyState>
    <template v-else>
      <div class="work scroll" tabindex="0" role="region" aria-label="Cost sheet">
        <header>
          <h1>{{ item.title }}</h1>
          <nav class="markets" aria-label="Markets">
            <BareButton
              v-for="p in others"
              :key="p.market"
              class="tab"
              :class="{ on: p.market === market }"
              :aria-pressed="p.market === market"
              @click="market = p.market"
            >
              {{ p.market }}
              <ProfitFigure :e4="p.profitE4" :currency="rules.home" :assumed="p.assumed" />
              <span class="quiet small">{{ percent(p.margin) }}</span>
            </BareButton>
            <BareButton type="info" class="tab edit" @click="fees = true">Fees of {{ market }} …</BareButton>
          </nav>
        </header>
        <h2 class="sr-only">The sale, cost by cost</h2>
        <PriceBar :costing="costing" :home="rules.home" @price="setPrice" />
        <p v-if="costing.notes.value.length" class="notes small">{{ costing.notes.value.join(' · ') }}</p>
        <div class="two">
          <div class="stack">
            <TheWaterfall v-if="costing.sheet.value" :sheet="costing.sheet.value" class="panel" />
            <MoneyAnswers :costing="costing" :home="rules.home" class="panel" />
            <TheTornado :costing="costing" :home="rules.home" class="panel" />
            <WhatIf :costing="costing" :home="rules.home" class="panel" />
          </div>
          <CostForm
            v-if="costing.inputs.value"
            class="panel"
            :item="item"
            :inputs="costing.inputs.value"
            :home="rules.home"
            @changed="changed"
          />
        </div>
      </div>
      <PriceLadder :costing="costing" :home="rules.home" :market="market" class="ladder" @price="setPrice" />
    </template>
    <FeeEditor v-model:show="fees" :market="feesOf || market" @changed="changed" />
  </div>
</template>

<style scoped>
.margin {
  display: grid;
  grid-template-columns: 210px minmax(0, 1fr) 280px;
  height: 100%;
}
.picks {
  border-right: 1px solid var(--line);
}
.none {
  grid-column: 2 / -1;
}
.work {
  padding: 12px 16px 20px;
  display: flex;
  flex-direction: column;
  gap: 10px;
}
.markets {
  display: flex;
  flex-wrap: wrap;
  gap: 4px;
  margin-top: 6px;
}
.tab {
  display: inline-flex;
  align-items: baseline;
  gap: 5px;
  padding: 3px 10px;
  border: 1px solid var(--line);
  border-radius: 6px;
  background: var(--panel);
  font-size: 13px;
}
.tab.on {
  border-color: var(--moss);
  box-shadow: inset 0 0 0 1px var(--moss);
}
.tab.edit {
  margin-left: auto;
}
.two {
  display: grid;
  grid-template-columns: minmax(0, 1.5fr) minmax(0, 1fr);
  gap: 10px;
  align-items: start;
}
.stack {
  display: grid;
  gap: 10px;
}
.two .panel {
  padding: 10px 12px;
}
.notes {
  color: var(--wheat-ink);
}
.ladder {
  border-left: 1px solid var(--line);
  background: var(--panel);
}
</style>
