<script setup lang="ts">
import { NButton, NInput } from 'naive-ui'
import { computed, ref } from 'vue'
import { useRouter } from 'vue-router'
import { writeCsv } from '@sickle/core/notation'
import { plainAmount } from '@sickle/core/money'
import type { Decision, DecisionState } from '@sickle/core/verdict'
import { downloadText } from '@/shared/download'
import { count } from '@/shared/format'
import { useLive } from '@/shared/stores/live'
import { useQuery } from '@/shared/stores/query'
import { useRules } from '@/shared/stores/rules'
import { useSheaf } from '@/shared/stores/sheaf'
import EmptyState from '@/shared/widgets/EmptyState.vue'
import DecisionTable from './DecisionTable.vue'
import ViewChoice from '@/shared/widgets/ViewChoice.vue'
import LineField from '@/shared/widgets/LineField.vue'

const sheaf = useSheaf()
const rules = useRules()
const live = useLive()
const query = useQuery()
const router = useRouter()
const shown = ref<DecisionState | 'all'>('all')
const words = ref('')
const tabs = computed(() => [
  { value: 'all' as const, label: 'All', n: count(sheaf.decisions.size) },
  { value: 'keep' as const, label: 'Kept', n: count(sheaf.kept.length) },
  { value: 'hold' as const, label: 'Held', n: count(sheaf.held.length) },
  { value: 'drop' as const, label: 'Dropped', n: count(sheaf.dropped.length) },
])
/** the name is a heading until it is meant to be changed */
const unframed = { border: '1px solid transparent', color: 'transparent', paddingMedium: '0 4px' }
const order: DecisionState[] = ['keep', 'hold', 'drop']
const list = computed(() => {
  const wanted = words.value.toLowerCase()
  return [...sheaf.decisions.values()]
    .filter(
      (d) =>
        (shown.value === 'all' || d.state === shown.value) &&
        `${d.snapshot.title} ${d.reason} ${d.note}`.toLowerCase().includes(wanted),
    )
    .sort((a, b) => order.indexOf(a.state) - order.indexOf(b.state) || b.at - a.at)
})
const decide = (d: Decision, action: DecisionState | 'clear') =>
  sheaf.record({ key: d.key, action, text: d.reason, snapshot: d.snapshot })
const note = (d: Decision, text: string) => sheaf.record({ key: d.key, action: 'note', text, snapshot: d.snapshot })
const reason = (d: Decision, text: string) => sheaf.record({ key: d.key, action: d.state, text, snapshot: d.snapshot })
async function look(d: Decision) {
  query.selected = d.key
  await router.push('/finds')
}
const assumedIn = ({ isOld, profitE4, assumed }: ReturnType<typeof live.of>) =>
  isOld || profitE4 === null ? '' : assumed.join(', ')
const figure = (e4: number | null) => (e4 === null ? null : Number(plainAmount(e4, rules.home)))
function save() {
  const head = [
    'decision',
    'item',
    'title',
    'reason',
    'note',
    `profit per sale, ${rules.home}`,
    'assumed',
    `profit when decided, ${rules.home}`,
    'units 30 d',
    'decided',
  ]
  const rows = [...sheaf.decisions.values()].map((d) => [
    d.state,
    d.key,
    d.snapshot.title,
    d.reason,
    d.note,
    figure(live.of(d).profitE4),
    assumedIn(live.of(d)),
    figure(d.snapshot.profitE4),
    live.of(d).units,
    new Date(d.at).toISOString(),
  ])
  downloadText(
    `sheaf-${sheaf.current.name.toLowerCase().replace(/\W+/g, '-')}.csv`,
    writeCsv([head, ...rows]),
    'text/csv',
  )
}
</script>

<template>
  <div class="column-page page">
    <header>
      <h1 class="sr-only">Sheaves</h1>
      <LineField
        :theme-overrides="unframed"
        class="name"
        size="medium"
        label="Name of the sheaf"
        :value="sheaf.current.name"
        @change="(name) => sheaf.rename(name)"
      />
      <ViewChoice v-model="shown" label="Decisions shown" :options="tabs" />
      <NInput
        v-model:value="words"
        class="search"
        size="small"
        clearable
        placeholder="Words in titles, reasons, notes"
        :input-props="{ 'aria-label': 'Search the sheaf' }"
      />
      <NButton size="small" :disabled="!sheaf.kept.length" @click="router.push('/sheaves/what-if')">What if …</NButton>
      <NButton size="small" :disabled="!sheaf.decisions.size" @click="save">Save as CSV</NButton>
    </header>
    <DecisionTable
      v-if="list.length"
      class="panel list"
      :list="list"
      :home="rules.home"
      @decide="decide"
      @note="note"
      @reason="reason"
      @look="look"
      @cost="(d) => router.push(`/margin/${encodeURIComponent(d.key)}`)"
    />
    <EmptyState v-else :title="sheaf.decisions.size ? 'Nothing here fits' : 'Nothing is decided in this sheaf yet'">
      <p class="quiet">
        Look through the finds and press <kbd>K</kbd> to keep, <kbd>H</kbd> to hold or <kbd>D</kbd> to drop. Every step
        can be undone.
      </p>
      <NButton v-if="!sheaf.decisions.size" type="primary" @click="router.push('/finds')">To Finds</NButton>
    </EmptyState>
  </div>
</template>

<style scoped>
@media (max-width: 900px) {
  .page header {
    flex-wrap: wrap;
  }
}
header {
  display: flex;
  align-items: center;
  gap: 14px;
}
.name {
  width: 280px;
}
.name :deep(.n-input__input-el) {
  font: 650 22px var(--heading);
}
nav {
  display: flex;
  gap: 4px;
  flex: 1;
}
.search {
  width: 260px;
}
.list {
  flex: 1;
  border-bottom: 0;
  border-radius: 8px 8px 0 0;
}
</style>
