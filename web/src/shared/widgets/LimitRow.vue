<script setup lang="ts">
import { NButton, NInput } from 'naive-ui'
import { ref } from 'vue'
import { toProblem } from '../problem'
import BareButton from './BareButton.vue'
import HousePopover from './HousePopover.vue'
import type { LimitChip } from './limit-chip'
import LimitFields from './LimitFields.vue'

/** The limits that hold, each to be lifted, and the way to keep them all as a Cut. */
const { keep } = defineProps<{
  chips: readonly LimitChip[]
  /** whether any holds: some have no chip, as they are seen elsewhere */
  limited: boolean
  /** keeps them under a name; it throws what is wrong with it. Without it they cannot be kept */
  keep?: (name: string) => Promise<void>
}>()
defineEmits<{ clear: [] }>()
const [naming, name, fault] = [ref(false), ref(''), ref('')]
async function keepNamed() {
  try {
    await keep?.(name.value)
  } catch (thrown) {
    return void (fault.value = toProblem(thrown).message)
  }
  naming.value = false
  name.value = fault.value = ''
}
</script>

<template>
  <span v-for="c in chips" :key="c.edit?.measure.name ?? c.label" class="chip">
    <HousePopover v-if="c.edit" :label="`Limit of ${c.edit.measure.label}`">
      <template #trigger>
        <BareButton type="info" :title="`Change the limit ${c.label}`">{{ c.label }}</BareButton>
      </template>
      <template #default="{ close }">
        <LimitFields
          class="fields"
          :measure="c.edit.measure"
          :span="c.edit.span"
          @set="(span) => (close(), c.edit?.set(span))"
        />
      </template>
    </HousePopover>
    <template v-else>{{ c.label }}</template>
    <BareButton
      type="info"
      :aria-label="`Lift the limit ${c.label}`"
      :title="`Lift the limit ${c.label}`"
      class="cross"
      @click="c.lift()"
      >×</BareButton
    >
  </span>
  <slot />
  <template v-if="limited">
    <BareButton type="info" class="link small" @click="$emit('clear')">Lift all limits</BareButton>
    <HousePopover v-if="keep" v-model:show="naming" label="Keep as a Cut">
      <template #trigger><BareButton type="info" class="link small">Keep as a Cut</BareButton></template>
      <form @submit.prevent="keepNamed">
        <div class="row-gap">
          <NInput
            v-model:value="name"
            size="small"
            placeholder="Name of the Cut"
            :input-props="{ 'aria-label': 'Name of the Cut' }"
          /><NButton size="small" type="primary" attr-type="submit">Keep</NButton>
        </div>
        <p v-if="fault" class="small loss" role="alert">{{ fault }}</p>
      </form>
    </HousePopover>
  </template>
</template>

<style scoped>
.chip {
  border: 1px solid var(--slate);
  background: var(--panel);
  border-radius: 12px;
  padding: 0 0 0 9px;
  display: inline-flex;
  align-items: center;
  color: var(--slate);
  white-space: nowrap;
}
.fields {
  width: 190px;
}
</style>
