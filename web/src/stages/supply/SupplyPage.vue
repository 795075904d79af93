<script setup lang="ts">
import { NButton } from 'naive-ui'
import { computed, nextTick, onMounted, ref, useTemplateRef, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import type { MatchJudgement } from '@sickle/core/supply'
import { plural } from '@/shared/format'
import { useWorkspace } from '@/shared/stores/workspace'
import { useKeys } from '@/shared/use-keys'
import EmptyState from '@/shared/widgets/EmptyState.vue'
import StageState from '@/shared/widgets/StageState.vue'
import CandidateRow from './CandidateRow.vue'
import DeskHead from './DeskHead.vue'
import { judgementWords } from '@/shared/supply-words'
import { judgementKeys } from './judgement-keys'
import MatchQueue from './MatchQueue.vue'
import OfferPane from './OfferPane.vue'
import RulesOfSupply from './RulesOfSupply.vue'
import { useSupply } from './supply-store'

/** The match desk: the wanted item beside its candidates, judged one by one by key. */
const supply = useSupply()
const workspace = useWorkspace()
const route = useRoute()
const router = useRouter()
const head = useTemplateRef('head')
const list = useTemplateRef<HTMLElement>('list')
const rules = ref(false)
// The item stands in the address, so that other stages can lead to it.
watch(
  () => route.params.key,
  (key) => {
    const asked = [key ?? ''].flat().join('/')
    if (asked !== '') supply.wanted = asked
  },
  { immediate: true },
)
watch(
  () => supply.at,
  async () => {
    await nextTick()
    list.value?.querySelector('.here')?.scrollIntoView({ block: 'nearest' })
  },
)
onMounted(() => supply.refill())
const desk = computed(() => supply.desk)
/** whose candidates the focus was given to: another item's take it, the same worked out anew do not */
let focused = ''
watch(desk, async (now) => {
  if (!now || focused === now.item.key) return
  focused = now.item.key
  await nextTick()
  if (!isTyping()) list.value?.focus({ preventScroll: true })
})
const isTyping = () => document.activeElement instanceof HTMLInputElement
const say = (j: MatchJudgement) => ({
  key: judgementKeys[j],
  label: `This offer: ${judgementWords[j]}`,
  run: () => void supply.judge(j),
})
useKeys('Supply', [
  say('same'),
  say('pack'),
  say('similar'),
  say('no'),
  { key: 'j', label: 'Next offer', run: () => supply.move(1) },
  { key: 'k', label: 'Offer before', run: () => supply.move(-1) },
  { key: 'n', label: 'Next item', run: () => supply.turn(1) },
  { key: 'b', label: 'Item before', run: () => supply.turn(-1) },
  { key: '/', label: 'Search offers by own words', run: () => head.value?.focusSearch() },
])
</script>

<template>
  <div class="supply">
    <StageState
      stage="Supply"
      class="all"
      :ready="workspace.version > 0"
      bring="Bring in a market's listings and a supplier's price list, and what each item could be bought for stands here."
    >
      <EmptyState v-if="workspace.summary.offers === 0" class="all" whole title="No supplier offers are gathered yet">
        <p class="quiet">
          Bring in a supplier's price list as a file, and what each item could be bought for stands here.
        </p>
        <NButton type="primary" @click="router.push('/gather')">To Gather</NButton>
      </EmptyState>
      <template v-else>
        <div class="side">
          <h1>Supply</h1>
          <div class="row-gap ways">
            <NButton size="tiny" @click="router.push('/supply/quotes')">Quotes</NButton>
            <NButton size="tiny" @click="router.push('/supply/designs')">Made to order</NButton>
            <NButton size="tiny" @click="rules = true">Rules …</NButton>
          </div>
          <MatchQueue />
        </div>
        <section class="panel desk" aria-label="Match desk">
          <template v-if="desk">
            <DeskHead ref="head" :desk="desk" />
            <p v-if="desk.candidates.length === 0" class="quiet none">
              No offer {{ supply.words === '' ? 'looks alike' : `has “${supply.words}”` }}. Try words of your own.
            </p>
            <ul v-else ref="list" class="scroll" tabindex="0" :aria-label="plural(desk.candidates.length, 'offer')">
              <CandidateRow
                v-for="(c, i) in desk.candidates"
                :key="c.match.offer.key"
                :candidate="c"
                :item-key="desk.item.key"
                :picture="desk.item.picture"
                :is-here="supply.candidate === c"
                :is-used="desk.item.offer?.offer.key === c.match.offer.key"
                @look="supply.look(i)"
                @judge="
                  (j) => {
                    supply.look(i)
                    void supply.judge(j)
                  }
                "
              />
            </ul>
            <footer class="small quiet">
              <span v-for="(label, j) in judgementWords" :key="j"
                ><kbd>{{ judgementKeys[j].toUpperCase() }}</kbd> {{ label }}</span
              >
              <span><kbd>J</kbd> <kbd>K</kbd> offer</span><span><kbd>N</kbd> <kbd>B</kbd> item</span>
            </footer>
          </template>
          <p v-else class="quiet none" role="status">
            {{ supply.queue ? 'Nothing lies on the desk: choose other items at the left.' : 'Filling the queue …' }}
          </p>
        </section>
        <OfferPane v-if="desk && supply.candidate" :candidate="supply.candidate" :desk="desk" />
      </template>
    </StageState>
    <RulesOfSupply :show="rules" @close="rules = false" />
  </div>
</template>

<style scoped>
.supply {
  display: grid;
  grid-template-columns: 220px minmax(0, 1fr) 320px;
  gap: 10px;
  height: 100%;
  padding: 10px 12px;
  min-height: 0;
}
.all {
  grid-column: 1 / -1;
}
.side {
  display: grid;
  grid-template-rows: auto auto minmax(0, 1fr);
  gap: 8px;
  min-height: 0;
}
.ways {
  gap: 5px;
}
.desk {
  display: flex;
  flex-direction: column;
  min-height: 0;
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
  flex: 1;
}
.none {
  padding: 20px;
}
footer {
  display: flex;
  gap: 14px;
  padding: 6px 12px;
  border-top: 1px solid var(--line);
}
</style>
