<script setup lang="ts">
import { computed } from 'vue'
import type { Item } from '@sickle/core/catalog'
import { improvementsOf } from '@sickle/core/verdict'

const { item } = defineProps<{ item: Item }>()
const found = computed(() => improvementsOf(item))
</script>

<template>
  <article>
    <h3>What could be better?</h3>
    <ul v-if="found.length" class="plain">
      <li v-for="f in found" :key="f.what">
        {{ f.what }}. <span class="quiet">{{ f.figure }}.</span>
      </li>
    </ul>
    <p v-else>Nothing that the figures show. Pictures and texts are for your own eyes to judge.</p>
  </article>
</template>
