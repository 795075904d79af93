<script setup lang="ts">
import { NButton, NInput } from 'naive-ui'
import { ref } from 'vue'

/** One more of a list, by its name. What was refused stays, to be put right. */
const { add } = defineProps<{
  label: string
  placeholder: string
  /** @returns whether it was taken */
  add: (name: string) => Promise<boolean>
}>()
const name = ref('')
async function take() {
  if (await add(name.value.trim())) name.value = ''
}
</script>

<template>
  <form class="row-gap" @submit.prevent="take">
    <NInput
      v-model:value="name"
      size="small"
      :maxlength="60"
      :placeholder="placeholder"
      :input-props="{ 'aria-label': label }"
    />
    <NButton size="small" attr-type="submit" :disabled="name.trim() === ''">Add it</NButton>
  </form>
</template>
