<script setup lang="ts">
import { X } from '@lucide/vue'
import { NModal } from 'naive-ui'
import { useTemplateRef, watch } from 'vue'
import { useReturnFocus } from '../use-return-focus'
import FocusFirst from './FocusFirst.vue'
import BareButton from './BareButton.vue'

/** A dialog in the middle of the page with its title as its name; what had the focus has it again when it closes. */
const {
  title,
  width,
  held = false,
} = defineProps<{
  title: string
  width: number
  /** whether it stays until what it tells of is done */
  held?: boolean
}>()
const show = defineModel<boolean>('show', { required: true })
useReturnFocus(show)
const focus = useTemplateRef('focus')
// one that is opened again while it still fades is not mounted anew
watch(show, (open) => void (open && focus.value?.take()))
</script>

<template>
  <NModal
    v-model:show="show"
    preset="card"
    :closable="false"
    :mask-closable="!held"
    :close-on-esc="!held"
    :style="{ width: `${width}px`, maxWidth: '96vw' }"
    role="dialog"
    :aria-label="title"
  >
    <FocusFirst ref="focus">
      <div class="head">
        <h2>{{ title }}</h2>
        <BareButton v-if="!held" type="tertiary" class="close" aria-label="Close" @click="show = false">
          <X :size="18" aria-hidden="true" />
        </BareButton>
      </div>
      <slot />
    </FocusFirst>
  </NModal>
</template>

<style scoped>
.head {
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 12px;
  margin: 0 0 10px;
}
.close {
  display: grid;
  place-items: center;
  width: 26px;
  height: 26px;
}
</style>
