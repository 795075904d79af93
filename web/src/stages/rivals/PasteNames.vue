<script setup lang="ts">
import { NButton } from 'naive-ui'
import { ref } from 'vue'
import { pastedNames } from '@sickle/core/stores'
import { plural } from '@/shared/format'
import BareButton from '@/shared/widgets/BareButton.vue'
import HousePopover from '@/shared/widgets/HousePopover.vue'
import LongText from '@/shared/widgets/LongText.vue'
import { useRivals } from './rivals-store'

/** Names of stores, pasted in from wherever they were noted: those that are known stand alone, the others are told. */
const rivals = useRivals()
const [isOpen, text] = [ref(false), ref('')]
function take() {
  const names = pastedNames(text.value)
  if (names.length === 0) return
  rivals.change({ names })
  isOpen.value = false
}
</script>

<template>
  <HousePopover v-model:show="isOpen" label="Names of stores" placement="bottom-end">
    <template #trigger><BareButton type="info" class="link small">Paste names</BareButton></template>
    <form class="paste" @submit.prevent="take">
      <LongText v-model="text" label="Names of stores" :rows="6" placeholder="One name a line" />
      <NButton size="small" type="primary" attr-type="submit" :disabled="text.trim() === ''">Show these</NButton>
    </form>
  </HousePopover>
  <span v-if="rivals.notFound.length" class="small caution" role="status" :title="rivals.notFound.join(', ')">
    {{ plural(rivals.notFound.length, 'name') }} of no store: {{ rivals.notFound.slice(0, 2).join(', ')
    }}{{ rivals.notFound.length > 2 ? ' …' : '' }}
  </span>
</template>

<style scoped>
.paste {
  display: grid;
  gap: 8px;
  width: 260px;
  justify-items: start;
}
</style>
