<script setup lang="ts">
import { refDebounced, useFileDialog } from '@vueuse/core'
import { NInput } from 'naive-ui'
import { computed, ref, useId, watch } from 'vue'
import { useRouter } from 'vue-router'
import { usePictureSearch } from '@/shared/stores/picture-search'
import { useQuery } from '@/shared/stores/query'
import { useSheaf } from '@/shared/stores/sheaf'
import { useWorkspace } from '@/shared/stores/workspace'
import { useFollow } from '@/shared/use-follow'
import { activeKeys } from '@/shared/use-keys'
import { useLatest } from '@/shared/use-latest'
import HouseModal from '@/shared/widgets/HouseModal.vue'
import { useServices } from '@/services/services'
import { stages } from './stages'

/** Everything by name: places, acts, and all that is gathered. */
const show = defineModel<boolean>('show', { required: true })
const router = useRouter()
const services = useServices()
const query = useQuery()
const sheaf = useSheaf()
const workspace = useWorkspace()
const follow = useFollow()
const typed = ref('')
const asked = refDebounced(typed, 120)
const at = ref(0)
const list = useId()

interface Entry {
  label: string
  hint: string
  run: () => unknown
}
const pictures = usePictureSearch()
const { open: choosePicture, onChange: onPicture } = useFileDialog({ accept: 'image/*', multiple: false, reset: true })
onPicture((files) => {
  if (files?.[0]) void pictures.look(files[0])
})
const places = computed<Entry[]>(() => [
  ...stages.map((s) => ({ label: s.label, hint: 'stage', run: () => router.push(s.path) })),
  { label: 'Settings', hint: 'page', run: () => router.push('/settings') },
  { label: 'Pool of stores', hint: 'page', run: () => router.push('/rivals/pool') },
  { label: 'Find by a picture …', hint: 'search', run: () => choosePicture() },
  { label: 'Quotes and samples', hint: 'page', run: () => router.push('/supply/quotes') },
  { label: 'Made to order', hint: 'page', run: () => router.push('/supply/designs') },
  { label: 'Advertisements', hint: 'page', run: () => router.push('/finds/ads') },
  { label: 'Creators', hint: 'page', run: () => router.push('/rivals/creators') },
  { label: 'What is posted', hint: 'page', run: () => router.push('/finds/posted') },
  { label: 'What if', hint: 'page', run: () => router.push('/sheaves/what-if') },
  { label: 'Stores most like me', hint: 'page', run: () => router.push('/rivals/alike') },
  ...query.cuts.map((c) => ({ label: c.name, hint: 'Cut', run: () => (query.use(c), router.push('/finds')) })),
  ...sheaf.all.map((s) => ({
    label: s.name,
    hint: 'sheaf',
    run: () => (void sheaf.openSheaf(s.id), router.push('/sheaves')),
  })),
  ...workspace.summary.markets.map((market) => ({
    label: `Fees of ${market}`,
    hint: 'fees',
    run: () => router.push({ path: '/margin', query: { fees: market } }),
  })),
  ...activeKeys.flatMap((g) =>
    g.bindings.map((b) => ({
      label: b.label,
      hint: g.group,
      run: () => b.run(new KeyboardEvent('keydown', { key: b.key })),
    })),
  ),
])
const sorts = ['item', 'store', 'category', 'term', 'market']
/** 'gavelhop market' is the market of that name: a sort among the words says what is wanted. */
const wanted = computed(() => {
  const words = asked.value.toLowerCase().trim().split(/\s+/)
  const name = words.filter((w) => !sorts.includes(w))
  return name.length === 0 ? { name: words, sorts: [] } : { name, sorts: words.filter((w) => sorts.includes(w)) }
})
const named = useLatest([asked, show, () => workspace.version], async () =>
  show.value && asked.value.trim() !== '' && workspace.version > 0
    ? services.engine.call('named', [wanted.value.name.join(' ')])
    : null,
)
const gathered = computed<Entry[]>(() => {
  const { items = [], stores = [], categories = [], markets = [], terms = [] } = named.value ?? {}
  const all = [
    ...items.map((i) => ({ label: i.title, hint: 'item', run: () => follow.item(i.key, i.title) })),
    ...stores.map((s) => ({ label: s.store, hint: `store, ${s.market}`, run: () => follow.store(s.market, s.store) })),
    ...categories.map((c) => ({ label: c, hint: 'category', run: () => follow.branchItems(c) })),
    ...terms.map((t) => ({
      label: t.phrase,
      hint: `term, ${t.market}`,
      run: () => router.push({ path: '/demand', query: { term: t.key } }),
    })),
    ...markets.map((m) => ({ label: m, hint: 'market', run: () => follow.market(m) })),
  ]
  const { sorts: only } = wanted.value
  return only.length === 0 ? all : all.filter((e) => only.some((s) => e.hint.startsWith(s)))
})
const found = computed(() => {
  const words = typed.value.toLowerCase().split(/\s+/)
  const fits = (e: Entry) => words.every((w) => `${e.label} ${e.hint}`.toLowerCase().includes(w))
  return [...places.value.filter(fits).slice(0, 12), ...gathered.value]
})
watch([typed, show], () => (at.value = 0))
watch(show, () => (typed.value = ''))
function go(entry: Entry | undefined) {
  show.value = false
  entry?.run()
}
function pressed(event: KeyboardEvent) {
  const acts: Record<string, () => void> = {
    ArrowDown: () => move(1),
    ArrowUp: () => move(-1),
    Enter: () => go(found.value[at.value]),
  }
  const act = acts[event.key]
  if (!act) return
  event.preventDefault()
  act()
}
function move(step: number) {
  at.value = (at.value + step + found.value.length) % Math.max(1, found.value.length)
  document.getElementById(`${list}-${at.value}`)?.scrollIntoView({ block: 'nearest' })
}
</script>

<template>
  <HouseModal v-model:show="show" title="Everything by name" :width="560">
    <NInput
      v-model:value="typed"
      placeholder="An item, a store, a term, a stage, a Cut, an action"
      :input-props="{
        'aria-label': 'Name',
        role: 'combobox',
        'aria-expanded': found.length > 0,
        'aria-controls': list,
        'aria-activedescendant': found.length > 0 ? `${list}-${at}` : undefined,
        'aria-autocomplete': 'list',
      }"
      autofocus
      @keydown="pressed"
    />
    <ul :id="list" role="listbox" aria-label="Found" class="scroll">
      <li
        v-for="(e, i) in found"
        :id="`${list}-${i}`"
        :key="i"
        role="option"
        :aria-selected="i === at"
        :class="{ at: i === at }"
        @click="go(e)"
        @mousemove="at = i"
      >
        <span class="label">{{ e.label }}</span><span class="quiet small">{{ e.hint }}</span>
      </li>
    </ul>
    <p v-if="found.length === 0" class="quiet" role="status">Nothing has that name.</p>
  </HouseModal>
</template>

<style scoped>
ul {
  max-height: 52vh;
  list-style: none;
  margin: 10px 0 0;
  padding: 0;
}
li {
  display: flex;
  gap: 12px;
  justify-content: space-between;
  padding: 6px 8px;
  border-radius: 6px;
  cursor: pointer;
}
.label {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
li .quiet {
  flex: none;
}
li.at {
  background: var(--slate-soft);
}
</style>
