<script setup lang="ts">
/** What stands in place of content: what is the matter, and what to do next. */
defineProps<{ title?: string; role?: 'alert' | 'status' }>()
</script>

<template>
  <div class="state" :role="role">
    <h2 v-if="title">{{ title }}</h2>
    <slot />
  </div>
</template>

<style scoped>
.state {
  margin: 13vh auto;
  max-width: 560px;
  text-align: center;
  display: grid;
  gap: 10px;
  justify-items: center;
}
</style>
