<script setup lang="ts">
import { NButton, NCheckbox, NInput } from 'naive-ui'
import { computed, ref, shallowRef, useTemplateRef } from 'vue'
import { useRouter } from 'vue-router'
import type { Span } from '@sickle/core/engine'
import {
  adFacetLabels,
  adFacets,
  adFigureNames,
  adFigures,
  allAds,
  type AdFigure,
  type AdQuery,
} from '@sickle/core/social'
import { useServices } from '@/services/services'
import { count, plural } from '@/shared/format'
import { limitChips, withLimit } from '@/shared/figure-limits'
import { useAdCuts } from '@/shared/stores/ad-cuts'
import { useLens } from '@/shared/stores/lens'
import { useSettings } from '@/shared/stores/settings'
import { useWorkspace } from '@/shared/stores/workspace'
import { useGrowing } from '@/shared/use-growing'
import { useKeys } from '@/shared/use-keys'
import { useLatest } from '@/shared/use-latest'
import AddLimit from '@/shared/widgets/AddLimit.vue'
import EmptyState from '@/shared/widgets/EmptyState.vue'
import FacetList from '@/shared/widgets/FacetList.vue'
import LensChoice from '@/shared/widgets/LensChoice.vue'
import LimitRow from '@/shared/widgets/LimitRow.vue'
import StageState from '@/shared/widgets/StageState.vue'
import BareButton from '@/shared/widgets/BareButton.vue'
import { plain } from '@/storage/plain'
import AdPane from './AdPane.vue'
import AdTable from './AdTable.vue'

/** Advertisements, each under all its numbers: which run long and are seen more and more, and what they sell. */
const services = useServices()
const lens = useLens()
const cuts = useAdCuts()
const settings = useSettings()
const workspace = useWorkspace()
const router = useRouter()
const search = useTemplateRef('search')
const query = shallowRef<AdQuery>(allAds)
const change = (some: Partial<AdQuery>) => void (query.value = { ...query.value, ...some })
const { most, more } = useGrowing([query])
const found = useLatest([query, most, () => lens.markets, () => workspace.version], async () =>
  workspace.version === 0 ? null : services.engine.call('ads', [plain(query.value), plain(lens.markets), most.value]),
)
const chosen = ref<string | null>(null)
const row = computed(() => found.value?.rows.find((r) => r.ad.key === chosen.value) ?? null)
/** a score is a rule of thumb: it is off unless wanted */
const figures = computed(() =>
  adFigureNames
    .filter((name) => name !== 'score' || settings.value.adScore)
    .map((name) => ({ name, ...adFigures[name] })),
)
const setLimit = (name: AdFigure, span: Span | null) => change({ limits: withLimit(query.value.limits, name, span) })
const sortBy = (by: AdFigure) =>
  change({ by, descending: query.value.by === by ? !query.value.descending : by !== 'last' })
const chips = computed(() => [
  ...adFacets.flatMap((facet) =>
    query.value[facet].map((value) => ({
      label: value,
      lift: () => change({ [facet]: query.value[facet].filter((v) => v !== value) }),
    })),
  ),
  ...limitChips(figures.value, query.value.limits, setLimit),
])
const clear = () => change({ ...allAds, words: '', by: query.value.by, descending: query.value.descending })
const ofAdvertiser = (name: string) => change({ ...allAds, words: name })
async function setScore(adScore: boolean) {
  await settings.change({ adScore })
  if (!adScore && (query.value.by === 'score' || query.value.limits.score)) {
    setLimit('score', null)
    if (query.value.by === 'score') change({ by: 'days', descending: true })
  }
}
useKeys('Advertisements', [
  { key: '/', label: 'Search', run: () => search.value?.focus() },
  { key: 'escape', label: 'Back', run: () => router.back() },
])
</script>

<template>
  <div class="column-page">
    <header class="row-gap">
      <h1>Advertisements</h1>
      <span v-if="found" role="status" class="quiet"
        ><b>{{ count(found.found) }}</b> of {{ plural(found.of, 'ad') }} under
        {{ plural(found.numbers, 'number') }}</span
      >
      <LensChoice />
      <NInput
        ref="search"
        class="search"
        size="small"
        clearable
        placeholder="Words, or an advertiser"
        :value="query.words"
        :input-props="{ 'aria-label': 'Search advertisements' }"
        @update:value="(words: string) => change({ words })"
        ><template #suffix><kbd>/</kbd></template></NInput
      >
      <NCheckbox size="small" class="push" :checked="settings.value.adScore" @update:checked="setScore"
        >Score</NCheckbox
      >
      <NButton size="small" @click="router.push('/finds')">Finds</NButton>
    </header>
    <StageState
      stage="Advertisements"
      within
      :ready="found !== null"
      bring="Bring in advertisements that were seen, and which of them run long stands here."
    >
      <EmptyState v-if="found?.of === 0" title="No advertisement is gathered">
        <p class="quiet">Bring in a file of advertisements, or scan them from a source.</p>
        <NButton type="primary" @click="router.push('/gather')">To Gather</NButton>
      </EmptyState>
      <template v-else-if="found">
        <div class="row-gap limits small">
          <span v-if="cuts.all.length" class="quiet">Cuts:</span>
          <span v-for="c in cuts.all" :key="c.name" class="cut">
            <BareButton type="info" class="link" @click="change({ ...allAds, ...c.query })">{{ c.name }}</BareButton>
            <BareButton class="cross" :aria-label="`Forget the Cut ${c.name}`" @click="cuts.drop(c.name)">×</BareButton>
          </span>
          <LimitRow
            :chips="chips"
            :limited="chips.length > 0 || query.words !== ''"
            :keep="(name) => cuts.keep(name, query)"
            @clear="clear"
          >
            <AddLimit :figures="figures" :limits="query.limits" @set="setLimit" />
          </LimitRow>
        </div>
        <div class="panes">
          <div class="scroll side" tabindex="0" role="group" aria-label="What ads are chosen by">
            <FacetList
              v-for="f in adFacets"
              :key="f"
              :title="adFacetLabels[f]"
              :options="found.facets[f]"
              :chosen="query[f]"
              @change="(values) => change({ [f]: values })"
            />
          </div>
          <AdTable
            v-model="chosen"
            :rows="found.rows"
            :found="found.found"
            :query="query"
            :has-score="settings.value.adScore"
            @sort="sortBy"
            @more="more"
          />
          <AdPane v-if="row" :row="row" :has-score="settings.value.adScore" @advertiser="ofAdvertiser" />
          <p v-else class="panel hint small quiet">
            Press an ad: what it says, what it shows and how long it ran opens here.
          </p>
        </div>
      </template>
    </StageState>
  </div>
</template>

<style scoped>
.search {
  width: 200px;
}
.limits {
  flex-wrap: wrap;
  margin-bottom: 8px;
}
.cut {
  white-space: nowrap;
}
.panes {
  --panes: 150px minmax(0, 1fr) 310px;
}
.hint {
  padding: 10px 14px;
}
</style>
