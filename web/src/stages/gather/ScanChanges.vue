<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { describePlan, type ChangeSort, type ScanEntry } from '@sickle/core/scan'
import { count } from '@/shared/format'
import { useScans } from '@/shared/stores/scans'
import HouseDrawer from '@/shared/widgets/HouseDrawer.vue'
import ViewChoice from '@/shared/widgets/ViewChoice.vue'
import PlainTable from '@/shared/widgets/PlainTable.vue'
import { useLatest } from '@/shared/use-latest'

/** What one look differs in from the look before it. */
const { scan } = defineProps<{ scan: ScanEntry | null }>()
const emit = defineEmits<{ close: [] }>()
const scans = useScans()
const changes = useLatest([() => scan], async () => scan && scans.changes(scan), { isClearedFirst: true })
const sort = ref<ChangeSort>('new')
const sorts: { value: ChangeSort; label: string }[] = [
  { value: 'new', label: 'New' },
  { value: 'gone', label: 'Gone' },
  { value: 'dearer', label: 'Dearer' },
  { value: 'cheaper', label: 'Cheaper' },
  { value: 'rising', label: 'Rising' },
  { value: 'fading', label: 'Fading' },
]
watch(changes, (now) => now && (sort.value = sorts.find((s) => countOf(s.value) > 0)?.value ?? 'new'))
const countOf = (which: ChangeSort) => changes.value?.filter((c) => c.sort === which).length ?? 0
const views = computed(() => sorts.map((s) => ({ ...s, n: count(countOf(s.value)) })))
const shown = computed(() => (changes.value ?? []).filter((c) => c.sort === sort.value).slice(0, 500))
const isUnits = computed(() => sort.value === 'rising' || sort.value === 'fading')
const word = (v: number | null) => (v === null ? '–' : isUnits.value ? count(v) : (v / 1e4).toFixed(2))
</script>

<template>
  <HouseDrawer
    :show="scan !== null"
    :width="640"
    :title="`What changed: ${scan ? describePlan(scan.plan) : ''}`"
    @close="emit('close')"
  >
    <p v-if="!changes" class="quiet" role="status">Comparing …</p>
    <template v-else>
      <ViewChoice v-model="sort" label="Sort of change" :options="views" />
      <p class="small quiet">
        A price counts as moved by more than 1&nbsp;%; units as rising or fading where the 95&nbsp;% interval of their
        growth leaves zero out.
      </p>
      <PlainTable>
        <thead>
          <tr>
            <th>Listing</th>
            <th class="num">Before</th>
            <th class="num">Now</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="c in shown" :key="c.id">
            <td>
              {{ c.title }} <span class="quiet small">{{ c.id }}</span>
            </td>
            <td class="num">{{ word(c.before) }}</td>
            <td class="num">{{ word(c.after) }}</td>
          </tr>
        </tbody>
      </PlainTable>
      <p v-if="shown.length === 0" class="quiet">None.</p>
    </template>
  </HouseDrawer>
</template>

<style scoped></style>
