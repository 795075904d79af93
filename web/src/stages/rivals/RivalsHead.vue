<script setup lang="ts">
import { computed } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { count } from '@/shared/format'
import { usePool } from '@/shared/stores/pool'
import ViewChoice from '@/shared/widgets/ViewChoice.vue'

/** The name of the stage, and its views. */
const route = useRoute()
const router = useRouter()
const pool = usePool()
const views = computed(() => [
  { value: '/rivals', label: 'Stores' },
  { value: '/rivals/pool', label: 'Pool', n: count(pool.value.stores.length) },
  { value: '/rivals/alike', label: 'Most like me' },
  { value: '/rivals/creators', label: 'Creators' },
])
const view = computed({ get: () => route.path, set: (path) => void router.push(path) })
</script>

<template>
  <header class="row-gap">
    <h1>Rivals</h1>
    <ViewChoice v-model="view" label="View of Rivals" :options="views" />
    <slot />
  </header>
</template>

<style scoped>
header {
  min-height: 30px;
}
h1 {
  margin-right: 4px;
}
</style>
