<script setup lang="ts">
import { NButton, NInput } from 'naive-ui'
import { computed, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import { writeCsv } from '@sickle/core/notation'
import { plainAmount } from '@sickle/core/money'
import type { Decision, DecisionState } from '@sickle/core/verdict'
import { downloadText } from '@/shared/download'
import { useLive } from '@/shared/stores/live'
import { useQuery } from '@/shared/stores/query'
import { useRules } from '@/shared/stores/rules'
import { useSheaf } from '@/shared/stores/sheaf'
import EmptyState from '@/shared/widgets/EmptyState.vue'
import DecisionRow from './DecisionRow.vue'

const sheaf = useSheaf()
const rules = useRules()
const live = useLive()
const query = useQuery()
const router = useRouter()
const shown = ref<DecisionState | 'all'>('all')
const words = ref('')
const tabs = computed(() => [
  { value: 'all' as const, label: 'All', n: sheaf.decisions.size },
  { value: 'keep' as const, label: 'Kept', n: sheaf.kept.length },
  { value: 'hold' as const, label: 'Held', n: sheaf.held.length },
  { value: 'drop' as const, label: 'Dropped', n: sheaf.dropped.length },
])
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
const name = ref(sheaf.current.name)
// another sheaf has another name
watch(
  () => sheaf.current.name,
  (now) => (name.value = now),
)
const feesOf = ({ isOld, profitE4, feesAssumed }: ReturnType<typeof live.of>) =>
  isOld || profitE4 === null ? '' : feesAssumed ? 'assumed' : 'entered'
const figure = (e4: number | null) => (e4 === null ? null : Number(plainAmount(e4, rules.home)))
function save() {
  const head = [
    'decision',
    'item',
    'title',
    'reason',
    'note',
    `profit per sale, ${rules.home}`,
    'fees',
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
    feesOf(live.of(d)),
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
  <div class="page">
    <header>
      <h1 class="sr-only">Sheaves</h1>
      <input v-model="name" class="name" aria-label="Name of the sheaf" @change="sheaf.rename(name)" />
      <nav aria-label="Decisions">
        <button
          v-for="t in tabs"
          :key="t.value"
          class="bare tab"
          :class="{ on: shown === t.value }"
          :aria-pressed="shown === t.value"
          @click="shown = t.value"
        >
          {{ t.label }} <span class="quiet">{{ t.n }}</span>
        </button>
      </nav>
      <NInput
        v-model:value="words"
        class="search"
        size="small"
        clearable
        placeholder="Words in titles, reasons, notes"
        :input-props="{ 'aria-label': 'Search the sheaf' }"
      />
      <NButton size="small" :disabled="!sheaf.decisions.size" @click="save">Save as CSV</NButton>
    </header>
    <div v-if="list.length" class="panel scroll list" tabindex="0" role="region" aria-label="Decisions">
      <table class="plain">
        <thead>
          <tr>
            <th>Item</th>
            <th>Decision</th>
            <th>Reason</th>
            <th>Note</th>
            <th class="num">Profit, {{ rules.home }}</th>
            <th class="num">Units, 30 d</th>
            <th>On</th>
            <th><span class="sr-only">Go</span></th>
          </tr>
        </thead>
        <tbody>
          <DecisionRow
            v-for="d in list"
            :key="d.key"
            :decision="d"
            :home="rules.home"
            @decide="(a) => decide(d, a)"
            @note="(t) => note(d, t)"
            @reason="(t) => reason(d, t)"
            @look="look(d)"
            @cost="router.push(`/margin/${encodeURIComponent(d.key)}`)"
          />
        </tbody>
      </table>
    </div>
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
.page {
  height: 100%;
  padding: 12px 16px 0;
  display: flex;
  flex-direction: column;
  gap: 10px;
}
header {
  display: flex;
  align-items: center;
  gap: 14px;
}
.name {
  font: 650 22px var(--heading);
  border: 1px solid transparent;
  border-radius: 6px;
  background: none;
  width: 280px;
  padding: 2px 4px;
}
.name:hover,
.name:focus {
  border-color: var(--line);
  background: var(--panel);
}
nav {
  display: flex;
  gap: 4px;
  flex: 1;
}
.tab {
  padding: 3px 10px;
  border-radius: 6px;
}
.tab.on {
  background: var(--slate-soft);
  color: var(--slate);
  font-weight: 600;
}
.search {
  width: 260px;
}
.list {
  flex: 1;
  border-bottom: 0;
  border-radius: 8px 8px 0 0;
}
thead th {
  position: sticky;
  top: 0;
  background: var(--panel);
}
</style>
