<script setup lang="ts">
import { useDropZone } from '@vueuse/core'
import { useRouter } from 'vue-router'
import { usePictureSearch } from '@/shared/stores/picture-search'
import { useGather } from '@/stages/gather/gather-store'

/** Files dropped anywhere on the page go to Gather; of a picture it is told what looks like it. */
const router = useRouter()
const gather = useGather()
const pictures = usePictureSearch()
const { isOverDropZone } = useDropZone(() => document.body, { onDrop: (files) => void take(files) })
async function take(files: File[] | null) {
  if (!files?.length) return
  const [first] = files
  if (files.length === 1 && first?.type.startsWith('image/')) return pictures.look(first)
  await router.push('/gather')
  await gather.offer(files)
}
</script>

<template>
  <div v-if="isOverDropZone" class="over" aria-hidden="true">
    <b>Drop to bring in, or a picture to find what looks like it</b>
  </div>
</template>

<style scoped>
.over {
  position: fixed;
  inset: 10px;
  z-index: 20;
  display: grid;
  place-items: center;
  border: 2px dashed var(--moss);
  border-radius: 12px;
  background: color-mix(in srgb, var(--moss-soft) 85%, transparent);
  font: 650 22px var(--heading);
  pointer-events: none;
}
</style>
