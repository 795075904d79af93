<script setup lang="ts">
import { computed, ref } from 'vue'
import { choicesOf } from '@/shared/choices'
import { hasPlace } from '@/shared/charts/term-field'
import { balanceWords } from '@/shared/demand-answers'
import { count, plural, signedPercent } from '@/shared/format'
import type { TermsAnswer } from '@/workers/demand-methods'
import TermByName from './TermByName.vue'
import TermField from './TermField.vue'
import BareButton from '@/shared/widgets/BareButton.vue'
import ViewChoice from '@/shared/widgets/ViewChoice.vue'
import HouseSelect from '@/shared/widgets/HouseSelect.vue'
import PlainTable from '@/shared/widgets/PlainTable.vue'

/** What people search for: the field, a way to a term by name, and the terms that rise. */
const { answer } = defineProps<{
  answer: TermsAnswer
  market: string | null
  chosen: string | null
  other: string | null
}>()
const emit = defineEmits<{ choose: [key: string]; market: [name: string | null] }>()
const view = ref<'field' | 'rising'>('field')
const views = computed(() => [
  { value: 'field' as const, label: 'Field' },
  { value: 'rising' as const, label: 'Rising', n: count(answer.rising.length) },
])
const choose = (key: string) => emit('choose', key)
const markets = computed(() => [{ value: '', label: 'All markets' }, ...choicesOf(...answer.markets)])
const left = computed(() => answer.terms.filter((t) => !hasPlace(t)).length)
</script>

<template>
  <div class="pane">
    <header class="row-gap">
      <h2>Search terms</h2>
      <ViewChoice v-model="view" compact label="Shown as" :options="views" />
      <TermByName class="by-name" :terms="answer.terms" hint="A term by name" @choose="choose" />
      <HouseSelect
        v-if="answer.markets.length > 1"
        class="market"
        label="Market of the terms"
        :model-value="market ?? ''"
        :options="markets"
        @update:model-value="(name) => emit('market', name || null)"
      />
    </header>
    <TermField
      v-if="view === 'field'"
      class="fill"
      :terms="answer.terms"
      :chosen="chosen"
      :other="other"
      @choose="choose"
    />
    <div v-else class="fill scroll">
      <PlainTable v-if="answer.rising.length" aria-label="Rising terms">
        <thead>
          <tr>
            <th>Term</th>
            <th class="num">Change</th>
            <th class="num">95&nbsp;%, from</th>
            <th class="num">Searches a month</th>
            <th class="num">Balance</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="t in answer.rising" :key="t.key">
            <td>
              <BareButton type="info" class="link" @click="choose(t.key)">{{ t.phrase }}</BareButton>
              <span class="quiet small"> {{ t.market }}</span>
            </td>
            <td class="num">{{ signedPercent(t.change?.ratio) }}</td>
            <td class="num">{{ signedPercent(t.change?.low) }}</td>
            <td class="num">{{ count(t.searches) }}</td>
            <td class="num">{{ balanceWords(t.balance) }}</td>
          </tr>
        </tbody>
      </PlainTable>
      <p v-else class="quiet">No term rises beyond chance.</p>
    </div>
    <p class="small quiet">
      {{ plural(answer.terms.length, 'term')
      }}<template v-if="answer.of > answer.terms.length"> of {{ count(answer.of) }}</template
      >, reported ◐; searches a month over a year<template v-if="left"
        >; {{ left }} without listings are not placed</template
      >. Shaded: the best quarter by balance.
    </p>
  </div>
</template>

<style scoped>
.pane {
  display: flex;
  flex-direction: column;
  min-height: 0;
  gap: 4px;
}
header {
  flex: none;
  white-space: nowrap;
}
.by-name {
  flex: 1;
  min-width: 90px;
}
.fill {
  flex: 1;
  min-height: 0;
}
.market {
  flex: none;
  width: 132px;
}
table.plain td {
  padding: 3px 6px;
}
</style>
