<script setup lang="ts">
/** A supplier's name that leads to its page. */
defineProps<{ supplier: string }>()
</script>

<template>
  <RouterLink :to="{ path: '/supply/supplier', query: { name: supplier } }">{{ supplier }}</RouterLink>
</template>
