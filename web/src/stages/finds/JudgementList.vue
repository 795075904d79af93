<script setup lang="ts">
import { NCheckbox } from 'naive-ui'
import { computed } from 'vue'
import type { Item } from '@sickle/core/catalog'
import { isElectric } from '@sickle/core/supply'
import { judgementsFor, sellerKindLabels, sellerKinds } from '@sickle/core/verdict'
import { useJudgements } from '@/shared/stores/judgements'
import { useSettings } from '@/shared/stores/settings'
import HouseSelect from '@/shared/widgets/HouseSelect.vue'

/** What only a person can judge, one press each; what the figures know stands beside it. */
const { item } = defineProps<{ item: Item }>()
const store = useJudgements()
const settings = useSettings()
const all = computed(() => judgementsFor(item, settings.value.seller, isElectric(item.title)))
const ticked = computed(() => new Set(store.of(item.key)))
const lists = computed(() =>
  [
    { title: 'Speaks for it', of: all.value.filter((j) => j.good) },
    { title: 'Speaks against it', of: all.value.filter((j) => !j.good) },
  ].map((list) => ({ ...list, n: list.of.filter((j) => ticked.value.has(j.id)).length })),
)
const warnings = computed(() => all.value.filter((j) => j.isWarning).length)
const kinds = sellerKinds.map((value) => ({ value, label: sellerKindLabels[value] }))
</script>

<template>
  <section aria-label="Judgement">
    <h3>Judge for yourself</h3>
    <p class="small quiet" role="status">
      {{ lists[0]?.n }} for, {{ lists[1]?.n }} against{{ warnings === 0 ? '' : `; figures warn of ${warnings}` }}
    </p>
    <HouseSelect
      size="tiny"
      label="How I sell"
      :model-value="settings.value.seller"
      :options="kinds"
      @update:model-value="(seller) => seller !== null && settings.change({ seller })"
    />
    <template v-for="list in lists" :key="list.title">
      <h4>{{ list.title }}</h4>
      <NCheckbox
        v-for="j in list.of"
        :key="j.id"
        class="one"
        :class="{ on: ticked.has(j.id), bad: !j.good }"
        size="small"
        :checked="ticked.has(j.id)"
        @update:checked="store.toggle(item.key, j.id)"
      >
        {{ j.text
        }}<span v-if="j.hint" class="small" :class="j.isWarning ? 'caution' : 'quiet'"
          ><br />{{ j.isWarning ? '! ' : '' }}{{ j.hint }}</span
        >
      </NCheckbox>
    </template>
    <NCheckbox
      class="one first"
      size="small"
      :checked="settings.value.judgeFirst"
      @update:checked="(judgeFirst: boolean) => settings.change({ judgeFirst })"
      >Judge before keeping<span class="small quiet"><br />what is not judged is not kept</span></NCheckbox
    >
  </section>
</template>

<style scoped>
section {
  padding: 12px 14px;
  font-size: 13px;
}
h4 {
  margin: 10px 0 4px;
  font-size: 12px;
  font-weight: 500;
  color: var(--quiet);
}
.one {
  display: flex;
  min-height: 24px;
  padding: 3px 0;
  line-height: 1.3;
}
.one.on {
  --n-text-color: var(--moss) !important;
  font-weight: 600;
}
.one.on.bad {
  --n-text-color: var(--clay) !important;
}
.first {
  margin-top: 10px;
  padding-top: 8px;
  border-top: 1px solid var(--line);
}
</style>
