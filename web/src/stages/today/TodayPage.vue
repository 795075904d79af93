<script setup lang="ts">
import { timeFormat } from 'd3'
import { computed, watch } from 'vue'
import { useRouter } from 'vue-router'
import type { FindRow } from '@sickle/core/engine'
import { sinceDecided } from '@sickle/core/verdict'
import { useServices } from '@/services/services'
import { useVisits } from '@/shared/stores/visits'
import { useQuery } from '@/shared/stores/query'
import { useSheaf } from '@/shared/stores/sheaf'
import { useWorkspace } from '@/shared/stores/workspace'
import MoverList from './MoverList.vue'
import SinceList from './SinceList.vue'
import WaitingList from './WaitingList.vue'
import AgeMark from '@/shared/widgets/AgeMark.vue'
import KeptChanges from './KeptChanges.vue'
import { useLatest } from '@/shared/use-latest'

const services = useServices()
const workspace = useWorkspace()
const sheaf = useSheaf()
const visits = useVisits()
const query = useQuery()
const router = useRouter()
const watched = computed(() => [...sheaf.kept, ...sheaf.held])
const sinceWords = computed(() =>
  visits.before
    ? `What changed since ${timeFormat('%-d %B, %H:%M')(new Date(visits.before.at))}, and what waits for you.`
    : 'What moves, and what waits for you.',
)

watch(
  () => workspace.empty,
  (empty) => empty && void router.replace('/gather'),
  { immediate: true },
)
const seen = useLatest([() => workspace.version, () => watched.value.map((d) => d.key).join()], async () => {
  if (workspace.version === 0 || workspace.ledger.length === 0) return null
  const decisions = watched.value
  const movers = await services.engine.call('movers', [6])
  const rows = await services.engine.call('rows', [decisions.map((d) => d.key)])
  const byKey = new Map(rows.map((r) => [r.key, r.row]))
  return { movers, changes: decisions.flatMap((d) => sinceDecided(d, byKey.get(d.key) ?? null) ?? []) }
})
const movers = computed(() => seen.value?.movers ?? { rising: [], fading: [] })
const changes = computed(() => seen.value?.changes ?? [])
const keysOf = (rows: readonly FindRow[]) => rows.map((r) => r.key)
watch(seen, (now) => now && void visits.note(keysOf(now.movers.rising), keysOf(now.movers.fading)))
function open(key: string) {
  query.selected = key
  void router.push('/finds')
}
</script>

<template>
  <div class="page scroll">
    <header>
      <h1>Today</h1>
      <span class="quiet">{{ sinceWords }}</span>
      <AgeMark :day="workspace.summary.figuresTo" />
    </header>
    <p v-if="workspace.state === 'opening' || workspace.state === 'working'" class="quiet" role="status">
      Working the items out …
    </p>
    <div v-else class="columns">
      <div class="column">
        <WaitingList />
        <SinceList />
      </div>
      <div class="column">
        <MoverList
          title="Rising"
          none="No item is rising beyond chance."
          :rows="movers.rising"
          :before="visits.before?.rising ?? null"
          @open="open"
        />
        <MoverList
          title="Fading"
          none="No item is fading beyond chance."
          :rows="movers.fading"
          :before="visits.before?.fading ?? null"
          @open="open"
        />
        <KeptChanges :changes="changes" :watched="watched.length" @open="open" />
      </div>
    </div>
  </div>
</template>

<style scoped>
.page {
  height: 100%;
  padding: 16px 20px;
}
header {
  display: flex;
  align-items: baseline;
  gap: 12px;
  margin-bottom: 14px;
}
.columns {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1.15fr);
  gap: 14px;
}
.column {
  display: grid;
  gap: 14px;
  align-content: start;
}
</style>
