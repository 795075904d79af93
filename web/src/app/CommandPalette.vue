<script setup lang="ts">
import { NInput } from 'naive-ui'
import { computed, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import { useQuery } from '@/shared/stores/query'
import { useSheaf } from '@/shared/stores/sheaf'
import { activeKeys } from '@/shared/use-keys'
import { stages } from './stages'
import HouseModal from '@/shared/widgets/HouseModal.vue'

const show = defineModel<boolean>('show', { required: true })
const router = useRouter()
const query = useQuery()
const sheaf = useSheaf()
const typed = ref('')
const at = ref(0)

interface Entry {
  label: string
  hint: string
  run: () => unknown
}
const entries = computed<Entry[]>(() => [
  ...stages.map((s) => ({ label: s.label, hint: 'stage', run: () => router.push(s.path) })),
  { label: 'Settings', hint: 'page', run: () => router.push('/settings') },
  ...query.cuts.map((c) => ({ label: c.name, hint: 'Cut', run: () => (query.use(c), router.push('/finds')) })),
  ...sheaf.all.map((s) => ({
    label: s.name,
    hint: 'sheaf',
    run: () => (void sheaf.openSheaf(s.id), router.push('/sheaves')),
  })),
  ...activeKeys.flatMap((g) =>
    g.bindings.map((b) => ({
      label: b.label,
      hint: g.group,
      run: () => b.run(new KeyboardEvent('keydown', { key: b.key })),
    })),
  ),
])
const found = computed(() => {
  const words = typed.value.toLowerCase().split(/\s+/)
  return entries.value.filter((e) => words.every((w) => `${e.label} ${e.hint}`.toLowerCase().includes(w))).slice(0, 12)
})
watch([typed, show], () => (at.value = 0))
watch(show, () => (typed.value = ''))
function go(entry: Entry | undefined) {
  show.value = false
  entry?.run()
}
function move(step: number) {
  at.value = (at.value + step + found.value.length) % Math.max(1, found.value.length)
}
</script>

<template>
  <HouseModal v-model:show="show" title="Everything by name" :width="520">
    <NInput
      v-model:value="typed"
      placeholder="A stage, a Cut, a sheaf, an action"
      :input-props="{ 'aria-label': 'Name' }"
      autofocus
      @keydown.down.prevent="move(1)"
      @keydown.up.prevent="move(-1)"
      @keydown.enter.prevent="go(found[at])"
    />
    <ul role="listbox" aria-label="Found">
      <li
        v-for="(e, i) in found"
        :key="i"
        role="option"
        :aria-selected="i === at"
        :class="{ at: i === at }"
        @click="go(e)"
        @mousemove="at = i"
      >
        <span>{{ e.label }}</span><span class="quiet small">{{ e.hint }}</span>
      </li>
      <li v-if="found.length === 0" class="quiet">Nothing has that name.</li>
    </ul>
  </HouseModal>
</template>

<style scoped>
ul {
  list-style: none;
  margin: 10px 0 0;
  padding: 0;
}
li {
  display: flex;
  justify-content: space-between;
  padding: 6px 8px;
  border-radius: 6px;
  cursor: pointer;
}
li.at {
  background: var(--slate-soft);
}
</style>
