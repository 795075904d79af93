<script setup lang="ts">
import { count } from '../format'
import BareButton from './BareButton.vue'

/** What stands under a list of which a part is shown, or of which nothing passes. */
defineProps<{ shown: number; found: number }>()
defineEmits<{ more: [] }>()
</script>

<template>
  <p v-if="found === 0" class="quiet">None passes these limits.</p>
  <p v-else-if="found > shown" class="small quiet">
    The first {{ count(shown) }} of {{ count(found) }} in this order.
    <BareButton type="info" class="link" @click="$emit('more')">Show more</BareButton>
  </p>
</template>
