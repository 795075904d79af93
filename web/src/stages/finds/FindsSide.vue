<script setup lang="ts">
import { useFileDialog } from '@vueuse/core'
import { ref } from 'vue'
import { useServices } from '@/services/services'
import { downloadText } from '@/shared/download'
import { count } from '@/shared/format'
import { plain } from '@/storage/plain'
import { toProblem } from '@/shared/problem'
import { useQuery } from '@/shared/stores/query'
import { useWorkspace } from '@/shared/stores/workspace'
import { facetLabels, facets, type Cut } from '@sickle/core/engine'
import CutChanges from './CutChanges.vue'
import FacetList from './FacetList.vue'
import BareButton from '@/shared/widgets/BareButton.vue'
import { useAfterPaint } from '@/shared/use-after-paint'
import { useLatest } from '@/shared/use-latest'

const query = useQuery()
const workspace = useWorkspace()
const services = useServices()
const fault = ref('')
const counts = useLatest([() => query.cuts, () => workspace.version], () =>
  services.engine.call('counts', [query.cuts.map((c) => plain(c.query)), []]),
)
// the rows of the finds are wanted first
const areRowsPainted = useAfterPaint(() => query.rows.size > 0 || query.answer !== null)
const dialog = useFileDialog({ accept: '.json', multiple: false })
dialog.onChange((files) => void take(files))
async function take(files: FileList | null) {
  const text = await files?.[0]?.text()
  if (text === undefined) return
  try {
    await query.takeCut(JSON.parse(text))
    fault.value = ''
  } catch (thrown) {
    fault.value = thrown instanceof SyntaxError ? 'The file is no JSON.' : toProblem(thrown).message
  }
  dialog.reset()
}
const save = (cut: Cut) =>
  downloadText(
    `cut-${cut.name.toLowerCase().replace(/\W+/g, '-')}.json`,
    JSON.stringify({ name: cut.name, query: cut.query }, null, 2),
    'application/json',
  )
</script>

<template>
  <div class="side">
    <h3>Cuts</h3>
    <ul>
      <li v-for="(c, i) in query.cuts" :key="c.name" :class="{ on: query.isUsed(c) }">
        <BareButton class="cut" @click="query.use(c)">
          <span>{{ c.name }}</span><span class="quiet">{{ count(counts?.[i]) }}</span>
        </BareButton>
        <CutChanges v-if="query.isUsed(c)" :cut="c" />
        <span v-if="query.isUsed(c)" class="acts"
          ><BareButton @click="save(c)">Save as a file</BareButton
          ><BareButton v-if="!c.ships" @click="query.dropCut(c.name)">Forget</BareButton></span
        >
      </li>
    </ul>
    <BareButton type="info" class="small link" @click="dialog.open()">Bring a Cut from a file</BareButton>
    <p v-if="fault" class="small loss" role="alert">{{ fault }}</p>
    <FacetList
      v-for="f in areRowsPainted ? facets : []"
      :key="f"
      :title="facetLabels[f]"
      :tree="f === 'categories'"
      :options="query.answer?.facets[f] ?? []"
      :chosen="query.query[f]"
      @change="(chosen) => query.change({ [f]: chosen })"
    />
  </div>
</template>

<style scoped>
.side {
  padding: 12px 10px 20px;
}
h3 {
  padding: 0 6px 4px;
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
}
li.on {
  background: var(--moss-soft);
  border-radius: 6px;
  color: var(--moss);
  font-weight: 600;
}
.cut {
  display: flex;
  justify-content: space-between;
  gap: 6px;
  width: 100%;
  padding: 3px 6px;
  font-size: 13px;
}
.acts {
  display: flex;
  gap: 10px;
  padding: 0 6px 4px;
  font-size: 12px;
}
.acts button,
.link {
  padding: 4px 6px;
}
</style>
