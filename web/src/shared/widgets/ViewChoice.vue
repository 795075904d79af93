<script setup lang="ts" generic="T extends string | number">
import { useId } from 'vue'
import { NRadioButton, NRadioGroup } from 'naive-ui'

/** Which of a few views of the same is shown. Radio buttons, since the tabs of Naive UI cannot be reached by keyboard. */
const {
  options,
  label,
  compact = false,
} = defineProps<{
  options: readonly { value: T; label: string; n?: string }[]
  label: string
  /** in a line of small text */
  compact?: boolean
}>()
const name = useId()
const small = { buttonHeightSmall: '20px', fontSizeSmall: '12px' }
const shown = defineModel<T>({ required: true })
</script>

<template>
  <NRadioGroup
    v-model:value="shown"
    :name="name"
    role="radiogroup"
    size="small"
    class="views"
    :class="{ compact }"
    :theme-overrides="compact ? small : {}"
    :aria-label="label"
  >
    <NRadioButton v-for="o in options" :key="o.value" :value="o.value">
      {{ o.label }}<span v-if="o.n !== undefined" class="n">&ensp;{{ o.n }}</span>
    </NRadioButton>
  </NRadioGroup>
</template>

<style scoped>
.views {
  font-weight: 400;
  white-space: nowrap;
}
.n {
  opacity: 0.8;
}
.compact :deep(.n-radio-button) {
  padding: 0 7px;
}
</style>
