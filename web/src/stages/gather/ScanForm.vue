<script setup lang="ts">
import { NAutoComplete, NButton } from 'naive-ui'
import { computed, ref, watch } from 'vue'
import { recordKind } from '@sickle/core/records'
import { describeLimits, idsOf, lists, noLimits, type ListName, type ScanBy } from '@sickle/core/scan'
import { count } from '@/shared/format'
import { plain } from '@/storage/plain'
import { toProblem } from '@/shared/problem'
import { useScans } from '@/shared/stores/scans'
import ScanLimitFields from '@/shared/widgets/ScanLimitFields.vue'
import HousePopover from '@/shared/widgets/HousePopover.vue'
import BareButton from '@/shared/widgets/BareButton.vue'
import HouseSelect from '@/shared/widgets/HouseSelect.vue'
import { useLatest } from '@/shared/use-latest'

/** Asks for a scan: of which source, what, and what is left out on the way. */
const scans = useScans()
const source = ref('')
const list = ref<ListName>('listings')
const by = ref<ScanBy>('term')
const value = ref('')
const limits = ref(plain(noLimits))
const asked = useLatest([source], () => askAbout(source.value), { isClearedFirst: true })
const about = computed(() => asked.value?.about ?? null)
const fault = computed(() => asked.value?.fault ?? '')
async function askAbout(id: string) {
  try {
    return { about: id === '' ? null : await scans.about(id), fault: '' }
  } catch (thrown) {
    return { about: null, fault: toProblem(thrown).message }
  }
}
const ways: { value: ScanBy; label: string; hint: string }[] = [
  { value: 'term', label: 'Term', hint: 'Words buyers use' },
  { value: 'store', label: 'Store', hint: 'Name of the store' },
  { value: 'category', label: 'Category', hint: 'Category' },
  { value: 'ids', label: 'Identifiers', hint: 'Identifiers, separated by spaces' },
]
/** What the source has, and how it is asked for it: identifiers are those of listings. */
const offered = computed(() =>
  (Object.keys(lists) as ListName[]).filter((name) => (about.value?.lists ?? ['listings']).includes(name)),
)
const kinds = computed(() => ways.filter((w) => w.value !== 'ids' || list.value === 'listings'))
const sources = computed(() => scans.sources.map((s) => ({ value: s.id, label: s.name })))
const listed = computed(() => offered.value.map((name) => ({ value: name, label: recordKind(lists[name]).label })))
watch(kinds, (now) => {
  if (!now.some((k) => k.value === by.value)) by.value = 'term'
})
watch(offered, (now) => {
  if (!now.includes(list.value)) list.value = now[0] ?? 'listings'
})
watch(
  () => scans.sources,
  (list) => (source.value ||= list[0]?.id ?? ''),
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
      <HouseSelect v-model="source" class="select" label="Source" :options="sources" />
      <HousePopover label="Limits of the scan" placement="bottom-end">
        <template #trigger>
          <BareButton type="info" class="small link">{{ limitWords === '' ? 'Limits' : 'Limits set' }}</BareButton>
        </template>
        <ScanLimitFields v-model="limits" :currency="about?.currency ?? ''" :market="about?.name ?? ''" />
      </HousePopover>
    </div>
    <div class="line">
      <HouseSelect v-model="list" class="select" label="What to bring" :options="listed" />
      <HouseSelect v-model="by" class="select" label="What to scan" :options="kinds" />
      <NAutoComplete
        v-model:value="value"
        size="small"
        :options="known"
        :get-show="() => by !== 'ids'"
        blur-after-select
        :placeholder="ways.find((k) => k.value === by)?.hint"
        :input-props="{ 'aria-label': 'What to look for' }"
      />
      <NButton size="small" type="primary" attr-type="submit" :disabled="!ready">Scan</NButton>
    </div>
    <p v-if="limitWords !== ''" class="small">
      Only {{ limitWords }}. <BareButton type="info" class="link" @click="limits = plain(noLimits)">Lift</BareButton>
    </p>
    <p v-else-if="beforeWords !== ''" class="small quiet">
      The last scan took only {{ beforeWords }}.
      <BareButton type="info" class="link" @click="limits = plain(before)">The same again</BareButton>
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
.select {
  flex: 1 1 110px;
  min-width: 96px;
}
.line b {
  white-space: nowrap;
}
p {
  margin: 0;
}
</style>
