<script setup lang="ts">
import { useTemplateRef } from 'vue'
import { useServices } from '@/services/services'
import { whatDoIMake } from '@/shared/answers'
import { useLens } from '@/shared/stores/lens'
import { useRules } from '@/shared/stores/rules'
import { useWorkspace } from '@/shared/stores/workspace'
import { useLatest } from '@/shared/use-latest'
import ItemCourse from './ItemCourse.vue'
import ItemRoom from './ItemRoom.vue'
import ItemSellers from './ItemSellers.vue'
import ItemSelling from './ItemSelling.vue'
import ItemSource from './ItemSource.vue'
import ItemWords from './ItemWords.vue'
import { plain } from '@/storage/plain'
import GradeMark from '@/shared/widgets/GradeMark.vue'
import LookHead from './LookHead.vue'
import WorthParts from './WorthParts.vue'

/** The Close look in short, beside the list. */
const { itemKey } = defineProps<{ itemKey: string }>()
defineEmits<{ margin: []; close: []; full: [] }>()
const services = useServices()
const workspace = useWorkspace()
const rules = useRules()
const head = useTemplateRef('head')
const lens = useLens()
const item = useLatest([() => itemKey, () => lens.markets, () => workspace.version], () =>
  services.engine.call('seenItem', [itemKey, plain(lens.markets)]),
)
defineExpose({ focusReason: () => head.value?.focusReason() })
</script>

<template>
  <section aria-label="Close look" class="look" tabindex="0">
    <template v-if="item">
      <LookHead ref="head" :item="item" @margin="$emit('margin')" @close="$emit('close')" @full="$emit('full')" />
      <ItemSelling :item="item" />
      <ItemCourse :item="item" />
      <ItemRoom :item="item" />
      <ItemSellers :item="item" />
      <ItemWords :item="item" />
      <ItemSource :item="item" />
      <article>
        <h3>What do I make? <GradeMark v-if="item.best" grade="estimated" /></h3>
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
.look :deep(article) {
  border-top: 1px solid var(--line);
  padding: 10px 0;
  display: grid;
  gap: 6px;
  font-size: 13.5px;
}
.look :deep(header + article) {
  margin-top: 10px;
}
.look :deep(h3) {
  color: var(--quiet);
  font-size: 13px;
}
</style>
