<script setup lang="ts">
import { NButton } from 'naive-ui'
import { computed, useTemplateRef, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { useServices } from '@/services/services'
import { whatDoIMake } from '@/shared/answers'
import { percent } from '@/shared/format'
import { useLens } from '@/shared/stores/lens'
import { useRules } from '@/shared/stores/rules'
import { useSettings } from '@/shared/stores/settings'
import { useWorkspace } from '@/shared/stores/workspace'
import { useKeys } from '@/shared/use-keys'
import { useLatest } from '@/shared/use-latest'
import { plain } from '@/storage/plain'
import EmptyState from '@/shared/widgets/EmptyState.vue'
import ItemAllowed from './ItemAllowed.vue'
import ItemCourse from './ItemCourse.vue'
import ItemJoin from './ItemJoin.vue'
import ItemEarnings from './ItemEarnings.vue'
import ItemImprove from './ItemImprove.vue'
import ItemOptions from './ItemOptions.vue'
import ItemPosted from './ItemPosted.vue'
import ItemPrice from './ItemPrice.vue'
import ItemRoom from './ItemRoom.vue'
import ItemSellers from './ItemSellers.vue'
import ItemSelling from './ItemSelling.vue'
import ItemSource from './ItemSource.vue'
import ItemWords from './ItemWords.vue'
import JudgementList from './JudgementList.vue'
import GradeMark from '@/shared/widgets/GradeMark.vue'
import LookHead from './LookHead.vue'
import WorthParts from './WorthParts.vue'

/** The Close look in full: every question with its answer, and the judgement beside it. */
const route = useRoute()
const router = useRouter()
const services = useServices()
const workspace = useWorkspace()
const rules = useRules()
const head = useTemplateRef('head')
const sellers = useTemplateRef('sellers')
const key = computed(() => [route.params.key].flat().join('/'))
const lens = useLens()
const settings = useSettings()
const item = useLatest([key, () => lens.markets, () => workspace.version], async () =>
  workspace.version === 0 ? null : services.engine.call('seenItem', [key.value, plain(lens.markets)]),
)
/** whoever sells by clips asks what they earn before what selling would */
const isAffiliate = computed(() => settings.value.seller === 'social')
const back = () => void router.push('/finds')
const toMargin = () => void router.push(`/margin/${encodeURIComponent(key.value)}`)
useKeys('Close look', [
  { key: 'k', label: 'Keep', run: () => void head.value?.decide('keep') },
  { key: 'h', label: 'Hold', run: () => void head.value?.decide('hold') },
  { key: 'd', label: 'Drop', run: () => void head.value?.decide('drop') },
  { key: 'r', label: 'Give a reason', run: () => void head.value?.focusReason() },
  { key: 's', label: 'All that its best seller sells', run: () => void sellers.value?.toBest() },
  { key: 'm', label: 'Cost it in Margin', run: toMargin },
  { key: 'escape', label: 'Back to Finds', run: back },
])
const answers = useTemplateRef('answers')
/** which item the focus was given to: a new one takes it, the same worked out anew does not */
let shown = ''
watch(
  item,
  (now) => {
    if (!now || shown === key.value) return
    shown = key.value
    answers.value?.focus({ preventScroll: true })
  },
  { flush: 'post' },
)
</script>

<template>
  <EmptyState v-if="!item" whole class="none" title="Close look">
    <p class="quiet" role="status">
      {{
        workspace.state === 'ready'
          ? 'This item is not among what is gathered.'
          : `Working the items out … ${percent(workspace.progress)}`
      }}
    </p>
    <NButton @click="back">To Finds</NButton>
  </EmptyState>
  <div v-else class="full">
    <LookHead ref="head" class="head" :item="item" large @margin="toMargin" @close="back" />
    <div ref="answers" class="scroll answers" tabindex="0" role="region" aria-label="Answers">
      <h2 class="sr-only">Answers</h2>
      <div class="column">
        <ItemSelling :item="item" tall />
        <ItemCourse :item="item" />
        <ItemOptions :item="item" />
        <ItemImprove :item="item" />
        <ItemPosted :item="item" />
        <ItemAllowed :item="item" />
      </div>
      <div class="column">
        <ItemRoom :item="item" />
        <ItemPrice :item="item" :home="rules.home" />
        <ItemEarnings v-if="isAffiliate" :item="item" />
        <article>
          <h3>What do I make? <GradeMark v-if="item.best" grade="estimated" /></h3>
          <p>{{ whatDoIMake(item, rules.home) }}</p>
          <WorthParts :worth="item.worth" />
        </article>
        <ItemEarnings v-if="!isAffiliate" :item="item" />
        <ItemSource :item="item" />
      </div>
      <ItemSellers ref="sellers" class="wide" :item="item" full />
      <ItemJoin class="wide" :item="item" />
      <ItemWords class="wide" :item="item" />
    </div>
    <JudgementList class="judge panel scroll" :item="item" />
  </div>
</template>

<style scoped>
.full {
  display: grid;
  grid-template: auto minmax(0, 1fr) / minmax(0, 1fr) 214px;
  gap: 10px 12px;
  height: 100%;
  padding: 10px 12px 0;
}
.head {
  grid-column: 1 / -1;
}
.judge {
  margin-bottom: 14px;
}
</style>
