<script setup lang="ts">
import { useFileDialog } from '@vueuse/core'
import { NButton, useMessage } from 'naive-ui'
import { computed, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import { draftsFromCsv, draftsFromJsonLd, draftsToCsv, draftsToJsonLd } from '@sickle/core/launch'
import { useServices } from '@/services/services'
import { downloadText } from '@/shared/download'
import { plural } from '@/shared/format'
import { toProblem } from '@/shared/problem'
import { useAsk } from '@/shared/stores/ask'
import { useDrafts } from '@/shared/stores/drafts'
import { useOwn } from '@/shared/stores/own'
import { useSheaf } from '@/shared/stores/sheaf'
import { useWorkspace } from '@/shared/stores/workspace'
import { useKeys } from '@/shared/use-keys'
import EmptyState from '@/shared/widgets/EmptyState.vue'
import DraftEditor from './DraftEditor.vue'
import DraftList from './DraftList.vue'

const drafts = useDrafts()
const sheaf = useSheaf()
const own = useOwn()
const workspace = useWorkspace()
const services = useServices()
const router = useRouter()
const message = useMessage()
const { ask } = useAsk()
const chosen = ref<string[]>([])
const current = ref<string | null>(null)
const draft = computed(() => drafts.all.find((d) => d.id === current.value) ?? null)
const undrafted = computed(() => sheaf.kept.filter((k) => !drafts.all.some((d) => d.item === k.key)))
watch(
  () => drafts.all.map((d) => d.id).join(),
  () => {
    chosen.value = chosen.value.filter((id) => drafts.all.some((d) => d.id === id))
    if (!draft.value) current.value = drafts.all[0]?.id ?? null
  },
  { immediate: true },
)
async function draftKept() {
  const keys = await withoutMine(undrafted.value.map((d) => d.key))
  const items = await services.engine.call('items', [keys])
  const made = await drafts.draftItems(items)
  message.success(`${plural(made, 'draft')} made`)
}
/** What I sell already is not drafted a second time without a word. */
async function withoutMine(keys: string[]): Promise<string[]> {
  const mine = keys.filter((key) => own.isMine(key))
  if (mine.length === 0) return keys
  const titles = mine.slice(0, 3).map((key) => own.of(key)?.title ?? '')
  const isWanted = await ask({
    title: `${plural(mine.length, 'item')} of these I sell already`,
    content: `${titles.join('; ')}${mine.length > 3 ? ' and others' : ''}.`,
    yes: 'Draft them too',
    no: 'Leave them out',
  })
  return isWanted ? keys : keys.filter((key) => !mine.includes(key))
}
const out = computed(() =>
  chosen.value.length > 0 ? drafts.all.filter((d) => chosen.value.includes(d.id)) : drafts.all,
)
const barred = computed(() => out.value.filter((d) => drafts.obstaclesOf(d).length > 0))
const ready = computed(() => out.value.filter((d) => drafts.obstaclesOf(d).length === 0))
/** Only what is ready leaves. */
function save(kind: 'csv' | 'jsonld') {
  const list = ready.value
  if (kind === 'csv') downloadText('listings.csv', draftsToCsv(list), 'text/csv')
  else downloadText('listings.jsonld', draftsToJsonLd(list), 'application/ld+json')
}
function exportAs(kind: 'csv' | 'jsonld') {
  if (barred.value.length === 0) return save(kind)
  const some = ready.value.length > 0
  void ask({
    title: `${plural(barred.value.length, 'draft')} not ready`,
    content: barred.value
      .slice(0, 4)
      .map((d) => `${d.title || 'Without title'}: ${drafts.obstaclesOf(d)[0]}`)
      .join('. '),
    yes: some ? `Export the ${ready.value.length} that ${ready.value.length === 1 ? 'is' : 'are'} ready` : undefined,
    no: 'Mend first',
  }).then((yes) => void (yes && save(kind)))
}
const files = useFileDialog({ accept: '.csv,.jsonld,.json', multiple: false })
files.onChange((list) => void take(list))
async function take(list: FileList | null) {
  const file = list?.[0]
  files.reset()
  if (!file) return
  try {
    const text = await file.text()
    const read = text.trimStart().startsWith('{') ? draftsFromJsonLd(text, file.name) : draftsFromCsv(text, file.name)
    await drafts.take(read)
    message.success(`${plural(read.length, 'draft')} read from ${file.name}`)
  } catch (thrown) {
    message.error(toProblem(thrown).message, { duration: 0, closable: true })
  }
}
function remove() {
  const ids = chosen.value.length > 0 ? chosen.value : current.value ? [current.value] : []
  void ask({
    title: `Remove ${plural(ids.length, 'draft')}?`,
    content: 'The items stay in the sheaf.',
    yes: 'Remove',
    no: 'Keep',
  }).then((yes) => void (yes && drafts.remove(ids)))
}
useKeys('Launch', [
  { key: 'n', label: 'Draft what is kept', run: () => undrafted.value.length && void draftKept() },
  { key: 'x', label: 'Export as CSV', run: () => drafts.all.length && exportAs('csv') },
])
</script>

<template>
  <div class="column-page page">
    <header>
      <h1>Launch</h1>
      <span class="quiet"
        >{{ plural(drafts.all.length, 'draft')
        }}<template v-if="chosen.length">, {{ chosen.length }} chosen</template></span
      >
      <span class="spring" />
      <NButton
        v-if="undrafted.length"
        size="small"
        type="primary"
        :disabled="workspace.state !== 'ready'"
        @click="draftKept"
        >Draft {{ plural(undrafted.length, 'kept item') }}&nbsp;<kbd>N</kbd></NButton
      >
      <NButton size="small" @click="files.open()">Bring drafts from a file</NButton>
      <NButton size="small" :disabled="!drafts.all.length" @click="remove">Remove</NButton>
      <NButton
        size="small"
        :disabled="!drafts.all.length"
        :type="undrafted.length ? 'default' : 'primary'"
        @click="exportAs('csv')"
        >Export {{ out.length }} as CSV&nbsp;<kbd>X</kbd></NButton
      >
      <NButton size="small" :disabled="!drafts.all.length" @click="exportAs('jsonld')">as JSON-LD</NButton>
    </header>
    <div v-if="drafts.all.length" class="two">
      <DraftList v-model:chosen="chosen" v-model:current="current" class="panel scroll" />
      <DraftEditor v-if="draft" :key="draft.id" :draft="draft" class="panel scroll" />
    </div>
    <EmptyState v-else title="No drafts yet">
      <p class="quiet">
        {{
          undrafted.length
            ? `${plural(undrafted.length, 'item')} kept: draft a listing for each, with words that sell and a price by your rule.`
            : 'Keep items in Finds, and their listings are drafted here.'
        }}
      </p>
      <NButton v-if="!undrafted.length" type="primary" @click="router.push('/finds')">To Finds</NButton>
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
  gap: 8px;
}
.spring {
  flex: 1;
}
.two {
  flex: 1;
  min-height: 0;
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: 10px;
  padding-bottom: 10px;
}
</style>
