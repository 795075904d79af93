<script setup lang="ts">
import { NButton, NInput } from 'naive-ui'
import { computed, useTemplateRef, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { creatorFigureNames, creatorFigures, type CreatorQuery } from '@sickle/core/social'
import { count } from '@/shared/format'
import { limitChips } from '@/shared/figure-limits'
import { useKeys } from '@/shared/use-keys'
import AddLimit from '@/shared/widgets/AddLimit.vue'
import EmptyState from '@/shared/widgets/EmptyState.vue'
import HouseSelect from '@/shared/widgets/HouseSelect.vue'
import LensChoice from '@/shared/widgets/LensChoice.vue'
import LimitRow from '@/shared/widgets/LimitRow.vue'
import StageState from '@/shared/widgets/StageState.vue'
import ViewChoice from '@/shared/widgets/ViewChoice.vue'
import CreatorPane from './CreatorPane.vue'
import { useCreators } from './creators-store'
import CreatorTable from './CreatorTable.vue'
import PeopleList from './PeopleList.vue'
import RivalsHead from './RivalsHead.vue'

/** Who shows goods, who of them fits mine and does not show them yet, and whom to write to. */
const creators = useCreators()
const route = useRoute()
const router = useRouter()
const search = useTemplateRef('search')
const text = (v: unknown) => (typeof v === 'string' ? v : '')
watch(
  () => route.query,
  ({ item, label }) => {
    if (route.name !== 'creators') return
    creators.fitTo(text(item) === '' ? null : { key: text(item), title: text(label) || text(item) })
  },
  { immediate: true },
)
const told = computed(() => {
  const [first, ...others] = creators.goods
  if (!first) return null
  return others.length === 0 ? `“${first.title}”` : `${count(others.length + 1)} kept items`
})
const fits = computed((): { value: CreatorQuery['fit']; label: string }[] => [
  { value: 'any', label: 'All' },
  { value: 'fits', label: 'Sell things like mine' },
  { value: 'free', label: 'and show mine not yet' },
])
const figures = creatorFigureNames.map((name) => ({ name, ...creatorFigures[name] }))
const chips = computed(() => limitChips(figures, creators.query.limits, creators.setLimit))
const branches = computed(() => [
  { value: '', label: 'Any category' },
  ...(creators.found?.branches ?? []).map((b) => ({ value: b, label: b })),
])
useKeys('Creators', [
  { key: '/', label: 'Search by name', run: () => search.value?.focus() },
  { key: 'escape', label: 'Back to all stores', run: () => void router.push('/rivals') },
])
</script>

<template>
  <div class="column-page">
    <StageState
      stage="Rivals"
      :ready="creators.found !== null"
      bring="Bring a social market's clips, and those who make them stand here."
    >
      <RivalsHead>
        <span role="status" class="quiet"
          ><b>{{ count(creators.found?.found ?? 0) }}</b> of {{ count(creators.found?.of ?? 0) }} creators</span
        >
        <LensChoice />
        <NInput
          ref="search"
          class="search push"
          size="small"
          clearable
          placeholder="Name"
          :value="creators.query.words"
          :input-props="{ 'aria-label': 'Search creators' }"
          @update:value="(words: string) => creators.change({ words })"
          ><template #suffix><kbd>/</kbd></template></NInput
        >
      </RivalsHead>
      <EmptyState v-if="creators.found?.of === 0" title="No creator is known">
        <p class="quiet">Creators are those who make clips and lives: bring in a file of these, or scan them.</p>
        <NButton type="primary" @click="router.push('/gather')">To Gather</NButton>
      </EmptyState>
      <template v-else>
        <div class="row-gap limits small">
          <template v-if="told">
            <ViewChoice
              compact
              label="How they fit"
              :options="fits"
              :model-value="creators.query.fit"
              @update:model-value="
                (fit) => creators.change(fit === 'any' ? { fit } : { fit, by: 'fit', descending: true })
              "
            />
            <span class="quiet">mine: {{ told }}</span>
            <NButton v-if="creators.named" size="tiny" @click="router.push('/rivals/creators')">What I kept</NButton>
          </template>
          <span v-else class="quiet">Keep items, and who fits them can be asked for.</span>
          <HouseSelect
            class="branch"
            size="tiny"
            label="Category"
            :model-value="creators.query.branch"
            :options="branches"
            @update:model-value="(branch) => creators.change({ branch: branch ?? '' })"
          />
          <LimitRow :chips="chips" :limited="chips.length > 0" @clear="creators.change({ limits: {} })">
            <AddLimit :figures="figures" :limits="creators.query.limits" @set="creators.setLimit" />
          </LimitRow>
        </div>
        <div class="panes">
          <CreatorTable />
          <aside class="right">
            <CreatorPane v-if="creators.look" :look="creators.look" />
            <p v-else class="panel hint small quiet">Press a name: what she showed, and how it sold, opens here.</p>
            <PeopleList :goods="creators.goods" />
          </aside>
        </div>
      </template>
    </StageState>
  </div>
</template>

<style scoped>
.search {
  width: 180px;
}
.branch {
  width: 130px;
}
.limits {
  flex-wrap: wrap;
  margin-bottom: 8px;
}
.panes {
  --panes: minmax(0, 1fr) 350px;
}
.right {
  display: grid;
  grid-template-rows: minmax(0, 1.2fr) minmax(0, 1fr);
  gap: 10px;
  min-height: 0;
}
.hint {
  padding: 10px 14px;
}
</style>
