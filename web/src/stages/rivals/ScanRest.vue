<script setup lang="ts">
import { NButton } from 'naive-ui'
import { computed, ref } from 'vue'
import { describeLimits, limitLabels, noLimits, type LimitName, type ScanEntry } from '@sickle/core/scan'
import { count } from '@/shared/format'
import { useScans } from '@/shared/stores/scans'
import { useLatest } from '@/shared/use-latest'
import BareButton from '@/shared/widgets/BareButton.vue'
import HousePopover from '@/shared/widgets/HousePopover.vue'
import ScanLimitFields from '@/shared/widgets/ScanLimitFields.vue'
import { plain } from '@/storage/plain'
import type { OpenedStore } from '@/workers/store-methods'

/** One press scans the whole of a store that is gathered in part, where a source tells of it; with limits that save work. */
const { store } = defineProps<{ store: OpenedStore }>()
const scans = useScans()
const limits = ref(plain(noLimits))
/** the source that has this store; asked of each, as a source knows its own market alone */
const source = useLatest([() => store.market, () => store.name, () => scans.sources], async () => {
  for (const { id } of scans.sources) {
    const about = await scans.about(id).catch(() => null) // one that does not answer has it not
    if (about?.name === store.market && (about.stores ?? []).includes(store.name)) return { id, about }
  }
  return null
})
const isPart = computed(() => store.summed.listings < (store.stated?.listings ?? 0))
const last = computed<ScanEntry | null>(
  () =>
    scans.list.find(
      (s) => s.plan.by === 'store' && s.plan.value === store.name && s.plan.source === source.value?.id,
    ) ?? null,
)
const isRunning = computed(() => last.value?.state === 'running')
const leftOut = computed(() =>
  Object.entries(last.value?.discarded ?? {})
    .map(([name, n]) => `${count(n)} ${limitLabels[name as LimitName]}`)
    .join(', '),
)
const limitWords = computed(() => describeLimits(limits.value))
const start = () =>
  source.value &&
  void scans.start({
    source: source.value.id,
    list: 'listings',
    by: 'store',
    value: store.name,
    limits: plain(limits.value),
  })
</script>

<template>
  <template v-if="source">
    <span v-if="isRunning && last" class="small quiet" role="status"
      >Scanning: {{ count(last.taken) }}{{ last.total === null ? '' : ` of ${count(last.total)}` }}</span
    >
    <span v-else-if="leftOut" class="small quiet" :title="leftOut">left out: {{ leftOut }}</span>
    <NButton size="small" :type="isPart ? 'primary' : 'default'" :disabled="isRunning" @click="start">{{
      isPart ? 'Scan the rest' : 'Scan it again'
    }}</NButton>
    <HousePopover label="Limits of the scan" placement="bottom-end">
      <template #trigger
        ><BareButton type="info" class="link small">{{
          limitWords === '' ? 'Limits' : 'Limits set'
        }}</BareButton></template
      >
      <ScanLimitFields v-model="limits" :currency="source.about.currency" :market="source.about.name" />
    </HousePopover>
  </template>
</template>
