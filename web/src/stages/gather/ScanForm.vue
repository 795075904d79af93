<script setup lang="ts">
import { NAutoComplete, NButton } from 'naive-ui'
import { computed, ref, shallowRef, watch } from 'vue'
import { recordKind } from '@sickle/core/records'
import { describeLimits, idsOf, lists, noLimits, type ListName, type ScanBy } from '@sickle/core/scan'
import { count } from '@/shared/format'
import { plain } from '@/storage/plain'
import { toProblem } from '@/shared/problem'
import { useScans } from '@/shared/stores/scans'
import ScanLimitFields from './ScanLimitFields.vue'
import HousePopover from '@/shared/widgets/HousePopover.vue'

/** Asks for a scan: of which source, what, and what is left out on the way. */
const scans = useScans()
const source = ref('')
const list = ref<ListName>('listings')
const by = ref<ScanBy>('term')
const value = ref('')
const limits = ref(plain(noLimits))
const fault = ref('')
const about = shallowRef<Awaited<ReturnType<typeof scans.about>> | null>(null)
const ways: { by: ScanBy; label: string; hint: string }[] = [
  { by: 'term', label: 'Term', hint: 'Words buyers use' },
  { by: 'store', label: 'Store', hint: 'Name of the store' },
  { by: 'category', label: 'Category', hint: 'Category' },
  { by: 'ids', label: 'Identifiers', hint: 'Identifiers, separated by spaces' },
]
/** What the source has, and how it is asked for it: identifiers are those of listings. */
const offered = computed(() =>
  (Object.keys(lists) as ListName[]).filter((name) => (about.value?.lists ?? ['listings']).includes(name)),
)
const kinds = computed(() => ways.filter((w) => w.by !== 'ids' || list.value === 'listings'))
watch(kinds, (now) => {
  if (!now.some((k) => k.by === by.value)) by.value = 'term'
})
watch(offered, (now) => {
  if (!now.includes(list.value)) list.value = now[0] ?? 'listings'
})
watch(
  () => scans.sources,
  (list) => (source.value ||= list[0]?.id ?? ''),
  { immediate: true },
)
watch(
  source,
  async (now) => {
    about.value = null
    fault.value = ''
    if (now === '') return
    try {
      about.value = await scans.about(now)
    } catch (thrown) {
      fault.value = toProblem(thrown).message
    }
  },
  { immediate: true },
)
const known = computed(() => {
  const lists = { term: about.value?.terms, store: about.value?.stores, category: about.value?.categories, ids: [] }
  const typed = value.value.trim().toLowerCase()
  return (lists[by.value] ?? []).filter((v) => v.toLowerCase().includes(typed)).slice(0, 200)
})
const limitWords = computed(() => describeLimits(limits.value))
/** those of the scan before: offered, never taken over by themselves */
const before = computed(() => scans.list[0]?.plan.limits ?? noLimits)
const beforeWords = computed(() => describeLimits(before.value))
const ready = computed(() => source.value !== '' && value.value.trim() !== '')
async function start() {
  if (!ready.value) return
  await scans.start({
    source: source.value,
    list: list.value,
    by: by.value,
    value: value.value.trim(),
    limits: plain(limits.value),
  })
  limits.value = plain(noLimits)
  value.value = ''
}
</script>

<template>
  <form class="scan" aria-label="Scan a source" @submit.prevent="start">
    <div class="line">
      <b>Scan a source</b>
      <select v-model="source" aria-label="Source">
        <option v-for="s in scans.sources" :key="s.id" :value="s.id">{{ s.name }}</option>
      </select>
      <span class="spring" />
      <HousePopover label="Limits of the scan" placement="bottom-end">
        <template #trigger>
          <button type="button" class="bare small link">{{ limitWords === '' ? 'Limits' : 'Limits set' }}</button>
        </template>
        <ScanLimitFields v-model="limits" :currency="about?.currency ?? ''" />
      </HousePopover>
    </div>
    <div class="line">
      <select v-model="list" aria-label="What to bring">
        <option v-for="name in offered" :key="name" :value="name">{{ recordKind(lists[name]).label }}</option>
      </select>
      <select v-model="by" aria-label="What to scan">
        <option v-for="k in kinds" :key="k.by" :value="k.by">{{ k.label }}</option>
      </select>
      <NAutoComplete
        v-model:value="value"
        size="small"
        :options="known"
        :get-show="() => by !== 'ids'"
        blur-after-select
        :placeholder="ways.find((k) => k.by === by)?.hint"
        :input-props="{ 'aria-label': 'What to look for' }"
      />
      <NButton size="small" type="primary" attr-type="submit" :disabled="!ready">Scan</NButton>
    </div>
    <p v-if="limitWords !== ''" class="small">
      Only {{ limitWords }}. <button type="button" class="bare link" @click="limits = plain(noLimits)">Lift</button>
    </p>
    <p v-else-if="beforeWords !== ''" class="small quiet">
      The last scan took only {{ beforeWords }}.
      <button type="button" class="bare link" @click="limits = plain(before)">The same again</button>
    </p>
    <p v-if="fault" class="small loss" role="alert">{{ fault }}</p>
    <p v-else class="small quiet">
      {{ by === 'ids' && value ? `${count(idsOf(value).length)} identifiers. ` : '' }}It runs in the background, rests
      when you pause it or close the tab, and goes on without loss.
    </p>
  </form>
</template>

<style scoped>
.scan {
  display: grid;
  gap: 8px;
  align-content: center;
}
.line {
  display: flex;
  align-items: center;
  gap: 8px;
}
.spring {
  flex: 1;
}
select {
  border: 1px solid var(--line);
  border-radius: 6px;
  background: var(--panel);
  padding: 4px;
}
p {
  margin: 0;
}
</style>
