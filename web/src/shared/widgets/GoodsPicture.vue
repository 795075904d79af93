<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { isOwnPicture } from '@/shared/own-picture'
import { mayBeShown, shownFrom } from '@/shared/picture-copies'

/** A picture of goods, else a quiet tile with the first letter: those elsewhere are only fetched where the seller wants it. */
const { src, title, size = 38 } = defineProps<{ src: string | null; title: string; size?: number }>()
const failed = ref(false)
watch(
  () => src,
  () => (failed.value = false),
)
/** a copy of one that stands elsewhere, once it is here */
const copy = ref<string | null>(null)
watch(
  () => [src, mayBeShown(src)] as const,
  async ([address, isWanted]) => {
    copy.value = null
    if (address === null || !isWanted || isOwnPicture(address)) return
    const from = await shownFrom(address)
    if (address === src) copy.value = from
  },
  { immediate: true },
)
const shown = computed(() => (failed.value ? null : isOwnPicture(src) ? src : copy.value))
const tones = ['#cfe0d8', '#e8dab8', '#d3dde8', '#e8cfc4', '#dde4c2', '#dccfe2']
const tone = computed(() => tones[[...title].reduce((sum, c) => sum + c.charCodeAt(0), 0) % tones.length])
</script>

<template>
  <img v-if="shown" :src="shown" alt="" :width="size" :height="size" loading="lazy" @error="failed = true" />
  <span
    v-else
    class="tile"
    :style="{ width: `${size}px`, height: `${size}px`, background: tone, fontSize: `${size * 0.42}px` }"
    aria-hidden="true"
    >{{ title.trim().charAt(0).toUpperCase() }}</span
  >
</template>

<style scoped>
img,
.tile {
  border-radius: 6px;
  flex: none;
  display: block;
}
.tile {
  display: grid;
  place-items: center;
  color: #3f4a43;
  font-family: var(--heading);
}
</style>
