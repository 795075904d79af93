<script setup lang="ts">
import { comparePictures } from '@sickle/core/goods'
import { printOf } from '../picture-prints'
import { useLatest } from '../use-latest'

/** How two pictures compare, in words; nothing where either is missing or cannot be read. */
const { mine, other } = defineProps<{ mine: string | null; other: string | null }>()
const likeness = useLatest([() => mine, () => other], async () => {
  if (mine === null || other === null) return null
  const [a, b] = await Promise.all([printOf(mine), printOf(other)])
  return a && b && comparePictures(a, b)
})
const words = {
  'same picture': 'same picture',
  'other colour': 'picture of another colour',
  alike: 'picture alike',
  unlike: 'another picture',
}
</script>

<template>
  <span v-if="likeness" title="By the perceptual hash of the two pictures and the colour of what stands out"
    >; {{ words[likeness] }}</span
  >
</template>
