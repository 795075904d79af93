<script setup lang="ts">
import { NButton } from 'naive-ui'

/** A button that looks like the text, the line or the cell that it is: where it lies, its own class says how. */
defineSlots<{ default?: () => unknown }>()
</script>

<template>
  <NButton text class="bare">
    <slot />
  </NButton>
</template>
