<script setup lang="ts">
import { NButton, NInput } from 'naive-ui'
import { computed, nextTick, ref, useTemplateRef, watch } from 'vue'
import { useServices } from '@/app/services'
import { canIGetIt, isItSelling, isThereRoom, whatDoIMake } from '@/shared/answers'
import SalesChart from '@/shared/charts/SalesChart.vue'
import { plural } from '@/shared/format'
import { useRules } from '@/shared/stores/rules'
import { useSheaf } from '@/shared/stores/sheaf'
import { useTrail } from '@/shared/stores/trail'
import { useWorkspace } from '@/shared/stores/workspace'
import { useFollow } from '@/shared/use-follow'
import { useLatest } from '@/shared/use-latest'
import GradeMark from '@/shared/widgets/GradeMark.vue'
import GoodsPicture from '@/shared/widgets/GoodsPicture.vue'
import PackStepper from '@/shared/widgets/PackStepper.vue'
import ItemCourse from './ItemCourse.vue'
import ItemWords from './ItemWords.vue'
import OfferList from './OfferList.vue'
import SellerList from './SellerList.vue'
import WorthParts from './WorthParts.vue'
import { useDecide } from './use-decide'

const { itemKey } = defineProps<{ itemKey: string }>()
defineEmits<{ margin: []; close: [] }>()
const services = useServices()
const workspace = useWorkspace()
const rules = useRules()
const sheaf = useSheaf()
const decide = useDecide()
const follow = useFollow()
const trail = useTrail()
const days = ref(90)
const reasonBox = useTemplateRef('reasonBox')
const reason = ref('')
const decision = computed(() => sheaf.decisionOf(itemKey))
const item = useLatest([() => itemKey, () => workspace.version], () => services.engine.call('item', [itemKey]))
watch([() => itemKey, decision], () => (reason.value = decision.value?.reason ?? ''), { immediate: true })
const words = { keep: 'Kept', hold: 'Held', drop: 'Dropped' }
async function focusReason() {
  await nextTick()
  reasonBox.value?.focus()
}
async function give() {
  if (decision.value && reason.value !== decision.value.reason) await decide(decision.value.state, reason.value)
  reasonBox.value?.blur()
}
async function setPack(pack: number | null) {
  await rules.setPack(itemKey, pack)
  await workspace.reprice()
}
/** From the item to a seller of it: both are stops of the Trail. */
async function toStore(market: string, store: string) {
  if (!item.value) return
  await trail.step({
    kind: 'item',
    key: itemKey,
    label: item.value.title,
    to: `/finds/item/${encodeURIComponent(itemKey)}`,
  })
  await follow.store(market, store)
}
defineExpose({ focusReason })
</script>

<template>
  <section aria-label="Close look" class="look">
    <template v-if="item">
      <header>
        <GoodsPicture :src="item.picture" :title="item.title" :size="52" />
        <div>
          <h2>{{ item.title }}</h2>
          <p class="small quiet">
            {{ plural(item.listings.length, 'listing') }} on {{ item.markets.join(', ')
            }}{{ item.gtin ? ' · barcode known' : '' }}
          </p>
        </div>
        <button class="bare close" aria-label="Close the look" @click="$emit('close')">✕</button>
      </header>
      <div class="acts">
        <NButton size="small" :type="decision?.state === 'keep' ? 'primary' : 'default'" @click="decide('keep')"
          >Keep&nbsp;<kbd>K</kbd></NButton
        >
        <NButton size="small" :type="decision?.state === 'hold' ? 'warning' : 'default'" @click="decide('hold')"
          >Hold&nbsp;<kbd>H</kbd></NButton
        >
        <NButton size="small" :type="decision?.state === 'drop' ? 'error' : 'default'" @click="decide('drop')"
          >Drop&nbsp;<kbd>D</kbd></NButton
        >
        <NButton size="small" @click="$emit('margin')">Cost it&nbsp;<kbd>M</kbd></NButton>
      </div>
      <form v-if="decision" class="row-gap" @submit.prevent="give">
        <NInput
          ref="reasonBox"
          v-model:value="reason"
          size="small"
          :placeholder="`${words[decision.state]}. Why? (key R)`"
          :input-props="{ 'aria-label': 'Reason' }"
          @blur="give"
        />
      </form>
      <article>
        <h3>Is it really selling? <GradeMark :grade="item.unitsGrade" /></h3>
        <p>{{ isItSelling(item) }}</p>
        <SalesChart v-if="item.series" v-model:days="days" :series="item.series" />
      </article>
      <ItemCourse :item="item" />
      <article>
        <h3>Is there room?</h3>
        <p>{{ isThereRoom(item) }}</p>
      </article>
      <article>
        <h3>Who sells it, at what delivered price?</h3>
        <SellerList :item="item" :home="rules.home" @store="toStore" />
      </article>
      <ItemWords :item="item" />
      <article>
        <h3>Can I get it?</h3>
        <p>{{ canIGetIt(item, rules.home) }}</p>
        <p class="row-gap small">
          <span>The listing is a pack of</span
          ><PackStepper :value="item.pack" label="Pieces in the listing" @change="setPack" /><span class="quiet">{{
            item.packFrom === null
              ? 'assumed: the title says nothing'
              : item.packFrom === 'set by you'
                ? 'set by you'
                : `read from “${item.packFrom}”`
          }}</span>
        </p>
        <OfferList v-if="item.kind !== 'digital'" :item="item" :home="rules.home" />
      </article>
      <article>
        <h3>What do I make?</h3>
        <p>{{ whatDoIMake(item, rules.home) }}</p>
      </article>
      <article>
        <h3>Why this Worth?</h3>
        <WorthParts :worth="item.worth" />
      </article>
    </template>
    <p v-else class="quiet">This item is no longer among what is gathered.</p>
  </section>
</template>

<style scoped>
.look {
  position: relative;
  padding: 14px 16px 24px;
}
header {
  display: flex;
  gap: 12px;
  align-items: start;
}
header > div {
  flex: 1;
}
.close {
  color: var(--quiet);
}
.acts {
  display: flex;
  gap: 6px;
  margin: 12px 0;
}
article,
.look :deep(article) {
  border-top: 1px solid var(--line);
  padding: 10px 0;
  margin-top: 10px;
  display: grid;
  gap: 6px;
  font-size: 13.5px;
}
article + article,
.look :deep(article + article) {
  margin-top: 0;
}
h3,
.look :deep(h3) {
  color: var(--quiet);
  font-size: 13px;
}
</style>
