<script setup lang="ts">
import { NCheckbox } from 'naive-ui'
import { nextTick, useTemplateRef, watch } from 'vue'
import { wholeMoney } from '@/shared/format'
import { useRules } from '@/shared/stores/rules'
import GoodsPicture from '@/shared/widgets/GoodsPicture.vue'
import BareButton from '@/shared/widgets/BareButton.vue'
import ViewChoice from '@/shared/widgets/ViewChoice.vue'
import { useSupply, type QueueOf } from './supply-store'

/** Items whose offers wait to be judged, those first of which a right match is worth most. */
const supply = useSupply()
const rules = useRules()
const scopes: { value: QueueOf; label: string }[] = [
  { value: 'sheaf', label: 'Kept, held' },
  { value: 'found', label: 'Found' },
  { value: 'all', label: 'All' },
]
const list = useTemplateRef('list')
watch(
  () => supply.key,
  async () => {
    await nextTick()
    list.value?.querySelector('.on')?.scrollIntoView({ block: 'nearest' })
  },
)
</script>

<template>
  <nav class="queue panel" aria-label="Items to match">
    <header>
      <ViewChoice v-model="supply.of" compact :options="scopes" label="Which items" />
      <NCheckbox v-model:checked="supply.isBarredShown" size="small" class="small"
        >what may not be listed too</NCheckbox
      >
      <span class="row-gap small"
        ><NCheckbox v-model:checked="supply.isJudgedShown" size="small" class="small">judged ones too</NCheckbox
        ><span
          class="quiet worth"
          title="What a right match is worth a month: the profit reckoned with, or a fifth of the sales where none is known, shared with all who list it"
          >a month</span
        ></span
      >
    </header>
    <p v-if="!supply.queue" class="quiet small note" role="status">Filling the queue …</p>
    <p v-else-if="supply.queue.length === 0" class="quiet small note">
      Nothing waits here{{ supply.of === 'sheaf' ? ': keep or hold items in Finds first' : '' }}.
    </p>
    <div v-else ref="list" class="scroll list">
      <BareButton
        v-for="{ row, worth } in supply.queue"
        :key="row.key"
        class="item"
        :class="{ on: row.key === supply.key }"
        :aria-current="row.key === supply.key ? 'true' : undefined"
        @click="supply.wanted = row.key"
      >
        <GoodsPicture :src="row.picture" :title="row.title" :size="28" />
        <span class="title">{{ row.title }}</span>
        <span
          class="num small"
          :title="`A right match is worth about ${wholeMoney(worth * 10_000, rules.home)} a month`"
          ><span v-if="supply.isJudged(row.key)" class="profit" title="judged">✓</span
          ><span v-else class="quiet">{{ wholeMoney(worth * 10_000, rules.home) }}</span></span
        >
      </BareButton>
    </div>
  </nav>
</template>

<style scoped>
.queue {
  display: flex;
  flex-direction: column;
  min-height: 0;
}
span.worth {
  margin-left: auto;
}
header {
  display: grid;
  gap: 6px;
  padding: 10px;
  border-bottom: 1px solid var(--line);
}
.note {
  padding: 12px;
}
.list {
  padding: 4px;
}
.item {
  display: grid;
  grid-template-columns: 28px minmax(0, 1fr) auto;
  gap: 8px;
  align-items: center;
  width: 100%;
  padding: 4px 6px;
  border-radius: 6px;
  font-size: 12.5px;
  line-height: 1.25;
}
.item:hover {
  background: var(--sunk);
}
.item.on {
  background: var(--slate-soft);
}
.title {
  overflow: hidden;
  display: -webkit-box;
  -webkit-line-clamp: 2;
  -webkit-box-orient: vertical;
}
</style>
