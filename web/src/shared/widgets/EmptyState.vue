<script setup lang="ts">
/** What stands in place of content: what is the matter, and what to do next. */
defineProps<{ title?: string; role?: 'alert' | 'status'; /** it stands for the whole page */ whole?: boolean }>()
</script>

<template>
  <div class="state" :role="role">
    <component :is="whole ? 'h1' : 'h2'" v-if="title">{{ title }}</component>
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
