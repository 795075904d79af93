<script setup lang="ts">
import { NButton, NInput } from 'naive-ui'
import { computed, ref, shallowRef } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import type { Span } from '@sickle/core/engine'
import {
  allClips,
  clipFigureNames,
  clipFigures,
  type ClipFigure,
  type ClipLimits,
  type ClipQuery,
} from '@sickle/core/social'
import { useServices } from '@/services/services'
import { useLens } from '@/shared/stores/lens'
import { count, plural } from '@/shared/format'
import { limitChips, withLimit } from '@/shared/figure-limits'
import { useWorkspace } from '@/shared/stores/workspace'
import { useGrowing } from '@/shared/use-growing'
import { useKeys } from '@/shared/use-keys'
import { useLatest } from '@/shared/use-latest'
import EmptyState from '@/shared/widgets/EmptyState.vue'
import AddLimit from '@/shared/widgets/AddLimit.vue'
import LensChoice from '@/shared/widgets/LensChoice.vue'
import LimitRow from '@/shared/widgets/LimitRow.vue'
import StageState from '@/shared/widgets/StageState.vue'
import ViewChoice from '@/shared/widgets/ViewChoice.vue'
import { plain } from '@/storage/plain'
import type { ClipScope } from '@/workers/clip-methods'
import PostedField from './PostedField.vue'
import PostedSums from './PostedSums.vue'
import PostedTable from './PostedTable.vue'

/** What is posted: clips and lives about an item, about what a store sells, or all, to sort and to limit, and what goes with selling. */
const services = useServices()
const lens = useLens()
const workspace = useWorkspace()
const route = useRoute()
const router = useRouter()
const text = (v: unknown) => (typeof v === 'string' ? v : '')
const scope = computed((): ClipScope => {
  const { item, market, store, phrase } = route.query
  if (text(phrase) !== '') return { of: 'phrase', phrase: text(phrase) }
  if (text(item) !== '') return { of: 'item', key: text(item) }
  return text(store) !== '' ? { of: 'store', market: text(market), name: text(store) } : { of: 'all' }
})
const about = computed(
  () =>
    text(route.query.label) ||
    (scope.value.of === 'phrase' ? `“${scope.value.phrase}”` : '') ||
    (scope.value.of === 'store' ? scope.value.name : ''),
)
const query = shallowRef<ClipQuery>(allClips)
const change = (some: Partial<ClipQuery>) => void (query.value = { ...query.value, ...some })
const { most, more } = useGrowing([scope, query])
const found = useLatest([scope, query, most, () => lens.markets, () => workspace.version], async () =>
  workspace.version === 0
    ? null
    : services.engine.call('clips', [plain(scope.value), plain(query.value), plain(lens.markets), most.value]),
)
const pointed = ref<number | null>(null)
const told = useLatest([pointed], async () =>
  pointed.value === null
    ? null
    : services.engine.call('clipAt', [plain(scope.value), pointed.value, plain(lens.markets)]),
)
const figures = clipFigureNames.flatMap((name) => {
  const { label, format } = clipFigures[name]
  return format === 'day' ? [] : [{ name, label, format }]
})
const setLimit = (name: ClipFigure, span: Span | null) => change({ limits: withLimit(query.value.limits, name, span) })
/** Several at once: a brush that moves is one question. */
function setLimits(some: Partial<Record<string, Span | null>>) {
  const one = (all: ClipLimits, [name, span]: [string, Span | null | undefined]) =>
    withLimit(all, name as ClipFigure, span ?? null)
  change({ limits: Object.entries(some).reduce(one, query.value.limits) })
}
/** limits by what a clip came to */
const outcomes: ClipFigure[] = ['views', 'likes', 'comments', 'shares', 'units', 'revenue', 'perThousand']
const isPicked = computed(() => outcomes.some((name) => query.value.limits[name]))
const chips = computed(() => limitChips(figures, query.value.limits, setLimit))
function sortBy(by: ClipFigure) {
  change({ by, descending: query.value.by === by ? !query.value.descending : true })
}
const sorts: { value: ClipQuery['sort']; label: string }[] = [
  { value: 'all', label: 'All' },
  { value: 'clips', label: 'Clips' },
  { value: 'lives', label: 'Lives' },
]
const reaches: { value: ClipQuery['reach']; label: string }[] = [
  { value: 'all', label: 'Any reach' },
  { value: 'unpaid', label: 'Not paid' },
  { value: 'paid', label: 'Paid' },
]
useKeys('What is posted', [{ key: 'escape', label: 'Back', run: () => router.back() }])
</script>

<template>
  <div class="column-page">
    <header class="row-gap">
      <h1>What is posted</h1>
      <span class="quiet small">{{ about ? `about ${about}` : 'all clips and lives that are gathered' }}</span>
      <LensChoice />
      <span class="push row-gap">
        <NButton v-if="scope.of !== 'all'" size="small" @click="router.push('/finds/posted')">All clips</NButton>
        <NButton size="small" @click="router.push('/finds')">Finds</NButton>
      </span>
    </header>
    <StageState
      stage="What is posted"
      within
      :ready="found !== null"
      bring="Bring in a social market's clips, and what each sold stands here."
    >
      <EmptyState v-if="found?.of === 0" title="No clips are gathered about it">
        <p class="quiet">Bring in a file of clips and lives, or scan them from a source.</p>
        <NButton type="primary" @click="router.push('/gather')">To Gather</NButton>
      </EmptyState>
      <template v-else-if="found">
        <div class="row-gap limits small">
          <NInput
            class="words"
            size="small"
            clearable
            :value="query.words"
            placeholder="Words, or a creator"
            :input-props="{ 'aria-label': 'Words of clips, or a creator' }"
            @update:value="(words) => change({ words })"
          />
          <ViewChoice
            compact
            label="Clips or lives"
            :options="sorts"
            :model-value="query.sort"
            @update:model-value="(sort) => change({ sort })"
          />
          <ViewChoice
            compact
            label="Reach"
            :options="reaches"
            :model-value="query.reach"
            @update:model-value="(reach) => change({ reach })"
          />
          <span class="quiet" role="status"
            >{{ count(found.found) }} of {{ plural(found.of, 'clip or live', 'clips and lives') }}</span
          >
        </div>
        <div class="panes">
          <div class="middle">
            <PostedField
              :points="found.field"
              :limits="query.limits"
              :told="told"
              @limit="setLimits"
              @point="(place) => (pointed = place)"
            />
            <div class="row-gap limit-row">
              <LimitRow :chips="chips" :limited="chips.length > 0" @clear="change({ limits: {} })">
                <AddLimit :figures="figures" :limits="query.limits" @set="setLimit" />
              </LimitRow>
            </div>
            <PostedTable :rows="found.rows" :found="found.found" :query="query" @sort="sortBy" @more="more" />
          </div>
          <PostedSums :sums="found.sums" :sells="found.sells" :earns="found.earns" :is-picked="isPicked" />
        </div>
      </template>
    </StageState>
  </div>
</template>

<style scoped>
.limits {
  flex-wrap: wrap;
  margin-bottom: 8px;
}
.words {
  width: 190px;
}
.middle {
  display: flex;
  flex-direction: column;
  gap: 10px;
  min-height: 0;
}
.panes {
  --panes: minmax(0, 1fr) 320px;
}
</style>
