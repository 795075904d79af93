<script setup lang="ts">
import { computed } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import CloseLook from './CloseLook.vue'

const route = useRoute()
const router = useRouter()
const key = computed(() => [route.params.key].flat().join('/'))
</script>

<template>
  <CloseLook
    :item-key="key"
    class="scroll"
    @close="router.push('/finds')"
    @margin="router.push(`/margin/${encodeURIComponent(key)}`)"
  />
</template>
