<script setup lang="ts">
import { NCheckbox } from 'naive-ui'
import { computed, ref } from 'vue'
import type { FacetCount } from '@sickle/core/engine'
import { count } from '@/shared/format'
import BareButton from '@/shared/widgets/BareButton.vue'
import SideGroup from '@/shared/widgets/SideGroup.vue'

const {
  title,
  options,
  chosen,
  tree = false,
} = defineProps<{ title: string; options: FacetCount[]; chosen: string[]; tree?: boolean }>()
const emit = defineEmits<{ change: [values: string[]] }>()
const unfolded = ref<string[]>([])
const depth = (path: string) => path.split(' / ').length - 1
const parent = (path: string) => path.split(' / ').slice(0, -1).join(' / ')
const leaf = (path: string) => path.split(' / ').at(-1) ?? path
const hasMore = (path: string) => tree && options.some((o) => parent(o.value) === path)
/** In a tree the top is shown, and below it what was unfolded or chosen. */
const shown = computed(() => (tree ? options.filter((o) => depth(o.value) === 0 || isOpen(parent(o.value))) : options))
function isOpen(path: string): boolean {
  const here = unfolded.value.includes(path) || chosen.some((c) => c.startsWith(`${path} / `))
  return here && (depth(path) === 0 || isOpen(parent(path)))
}
const fold = (path: string) =>
  (unfolded.value = unfolded.value.includes(path)
    ? unfolded.value.filter((p) => p !== path)
    : [...unfolded.value, path])
const toggle = (value: string) =>
  emit('change', chosen.includes(value) ? chosen.filter((v) => v !== value) : [...chosen, value])
</script>

<template>
  <SideGroup v-if="options.length > 0" :title="title">
    <div
      v-for="o in shown"
      :key="o.value"
      class="option"
      :style="tree ? { paddingLeft: `${depth(o.value) * 12}px` } : {}"
    >
      <BareButton
        v-if="tree && hasMore(o.value)"
        type="tertiary"
        class="fold"
        :aria-label="`${isOpen(o.value) ? 'Fold' : 'Unfold'} ${leaf(o.value)}`"
        :aria-expanded="isOpen(o.value)"
        @click="fold(o.value)"
      >
        {{ isOpen(o.value) ? '▾' : '▸' }}
      </BareButton>
      <span v-else-if="tree" class="fold" />
      <NCheckbox
        class="one"
        size="small"
        :class="{ none: o.count === 0 }"
        :checked="chosen.includes(o.value)"
        @update:checked="toggle(o.value)"
      >
        <span class="name">{{ leaf(o.value) }}</span><span class="quiet">{{ count(o.count) }}</span>
      </NCheckbox>
    </div>
  </SideGroup>
</template>

<style scoped>
.option {
  display: flex;
  align-items: center;
  min-height: 25px;
}
.fold {
  width: 24px;
  height: 24px;
  margin: 0 6px 0 -8px;
  flex: none;
  text-align: center;
}
.one {
  display: flex;
  flex: 1;
  min-width: 0;
  padding: 1px 0;
  font-size: 13px;
}
.one :deep(.n-checkbox__label) {
  display: flex;
  flex: 1;
  gap: 6px;
  min-width: 0;
  padding: 0 0 0 6px;
}
.name {
  flex: 1;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.none .name {
  color: var(--quiet);
}
</style>
