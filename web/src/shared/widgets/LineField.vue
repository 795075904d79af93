<script setup lang="ts">
import { NInput } from 'naive-ui'
import { ref, watch } from 'vue'

/**
 * A line of text that counts once it is left or Enter is pressed. Once it is left it shows what holds: what changed elsewhere, or what was
 * there before where nothing came of what was typed. Other properties are those of NInput.
 */
const { value, label, placeholder = '' } = defineProps<{ value: string; label: string; placeholder?: string }>()
const emit = defineEmits<{ change: [text: string] }>()
const text = ref(value)
watch(
  () => value,
  (now) => (text.value = now),
)
</script>

<template>
  <NInput
    v-model:value="text"
    size="tiny"
    :placeholder="placeholder"
    :input-props="{ 'aria-label': label }"
    @change="emit('change', text.trim())"
    @blur="text = value"
  />
</template>
