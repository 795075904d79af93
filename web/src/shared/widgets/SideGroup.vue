<script setup lang="ts">
/** A named group of limits in the pane at the left. */
const { title } = defineProps<{ title: string }>()
</script>

<template>
  <fieldset>
    <legend>{{ title }}</legend>
    <slot />
  </fieldset>
</template>

<style scoped>
fieldset {
  border: 0;
  margin: 14px 0 0;
  padding: 0 6px;
  min-width: 0;
}
legend {
  font: 650 14px var(--heading);
  padding: 0 0 3px;
}
</style>
