<script setup lang="ts">
import { timeFormat } from 'd3'
import { computed, onMounted, shallowRef, watch } from 'vue'
import { useRouter } from 'vue-router'
import type { FindRow } from '@sickle/core/engine'
import { sinceDecided, type SinceDecided } from '@sickle/core/verdict'
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

const services = useServices()
const workspace = useWorkspace()
const sheaf = useSheaf()
const visits = useVisits()
const query = useQuery()
const router = useRouter()
const movers = shallowRef<{ rising: FindRow[]; fading: FindRow[] }>({ rising: [], fading: [] })
const changes = shallowRef<SinceDecided[]>([])
const watched = computed(() => [...sheaf.kept, ...sheaf.held])
const sinceWords = computed(() =>
  visits.before
    ? `What changed since ${timeFormat('%-d %B, %H:%M')(new Date(visits.before.at))}, and what waits for you.`
    : 'What moves, and what waits for you.',
)

watch(
  () => [workspace.version, workspace.state, watched.value.map((d) => d.key).join()],
  () => void look(),
)
onMounted(() => void look())
async function look() {
  if (workspace.empty) return void router.replace('/gather')
  if (workspace.state !== 'ready') return
  movers.value = await services.engine.call('movers', [6])
  const rows = await services.engine.call('rows', [watched.value.map((d) => d.key)])
  const byKey = new Map(rows.map((r) => [r.key, r.row]))
  changes.value = watched.value.flatMap((d) => sinceDecided(d, byKey.get(d.key) ?? null) ?? [])
  await visits.note(
    ...((['rising', 'fading'] as const).map((m) => movers.value[m].map((r) => r.key)) as [string[], string[]]),
  )
}
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
