<script setup lang="ts">
import { NInput } from 'naive-ui'
import { computed, ref, useTemplateRef, watch } from 'vue'
import type { MatchDesk } from '@sickle/core/catalog'
import { count, money, plural } from '@/shared/format'
import { useRules } from '@/shared/stores/rules'
import { canIGetIt } from '@/shared/answers'
import { statusWords } from '@/shared/status-words'
import GoodsPicture from '@/shared/widgets/GoodsPicture.vue'
import PackStepper from '@/shared/widgets/PackStepper.vue'
import CostAgainstDays from './CostAgainstDays.vue'
import { useSupply } from './supply-store'

/** The wanted item, as it is sold. */
const { desk } = defineProps<{ desk: MatchDesk }>()
const supply = useSupply()
const rules = useRules()
const item = computed(() => desk.item)
const typed = ref('')
const search = useTemplateRef('search')
watch(
  () => supply.words,
  (now) => (typed.value = now),
)
const look = () => void (supply.words = typed.value.trim())
const span = computed(() => {
  const { priceLowE4: low, priceHighE4: high } = item.value
  return low === high ? money(low, rules.home) : `${money(low, rules.home)} to ${money(high, rules.home)}`
})
async function setPack(pack: number | null) {
  await rules.setPack(item.value.key, pack)
  supply.followLater()
}
defineExpose({ focusSearch: () => search.value?.focus() })
</script>

<template>
  <header>
    <GoodsPicture :src="item.picture" :title="item.title" :size="64" />
    <div class="what">
      <h2>
        {{ item.title }} <RouterLink :to="`/finds/item/${encodeURIComponent(item.key)}`">Close look</RouterLink
        ><RouterLink :to="{ path: '/supply/quotes', query: { ask: item.key } }">Ask for quotes …</RouterLink>
      </h2>
      <p class="small quiet">
        {{ plural(item.listings.length, 'listing') }} on {{ item.markets.join(', ') }} · {{ span }} ·
        {{ item.units === null ? 'units not known' : `${count(item.units)} units in 30 days` }}
        <template v-if="item.kind !== 'digital'">
          · pack of <PackStepper :value="item.pack" label="Pieces in the listing" @change="setPack" />
          {{
            item.packFrom === null ? 'assumed' : item.packFrom === 'set by you' ? 'set by you' : `“${item.packFrom}”`
          }}
        </template>
      </p>
      <p v-if="item.clearing === 'restricted' || item.clearing === 'needs approval'" class="small">
        <RouterLink to="/clearing" :class="statusWords[item.clearing].tone"
          >{{ statusWords[item.clearing].sign }} {{ statusWords[item.clearing].label }}</RouterLink
        >
      </p>
      <p class="small">{{ canIGetIt(item, rules.home) }}</p>
      <CostAgainstDays :choice="item.choice" :home="rules.home" />
    </div>
    <NInput
      ref="search"
      v-model:value="typed"
      class="search"
      size="small"
      clearable
      placeholder="Own words"
      :input-props="{ 'aria-label': 'Search offers by own words' }"
      @keyup.enter="look"
      @blur="look"
      @clear="supply.words = ''"
    />
  </header>
</template>

<style scoped>
header {
  display: grid;
  grid-template-columns: 64px minmax(0, 1fr) 150px;
  align-items: start;
  gap: 12px;
  padding: 10px 12px;
  border-bottom: 1px solid var(--line);
}
.what {
  display: grid;
  gap: 3px;
  min-width: 0;
}
h2 a {
  font: 400 12px var(--text);
  margin-left: 8px;
}
</style>
