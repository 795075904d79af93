<script setup lang="ts">
import { NCheckbox } from 'naive-ui'
import { pictureHosts, wantPictures } from '@/shared/picture-copies'
import { useSettings } from '@/shared/stores/settings'

/** Whether pictures that data only name by an address are fetched, and from where. */
const settings = useSettings()
async function turn(pictures: boolean) {
  await settings.change({ pictures })
  await wantPictures(pictures)
}
</script>

<template>
  <section aria-label="Pictures from elsewhere">
    <h2>Pictures from elsewhere</h2>
    <NCheckbox :checked="settings.value.pictures" @update:checked="turn">Show pictures that stand elsewhere</NCheckbox>
    <p class="small quiet">
      Sickle's server fetches them from the hosts that its configuration names (SICKLE_PICTURES), and small copies are
      kept in this browser until this is turned off. Those hosts learn which pictures you look at.
    </p>
    <p v-if="settings.value.pictures" class="small" role="status">
      {{
        pictureHosts.length > 0
          ? `They may come from ${pictureHosts.join(', ')}.`
          : 'The server’s configuration names no host, so none is fetched.'
      }}
    </p>
  </section>
</template>

<style scoped>
section {
  display: grid;
  gap: 6px;
  justify-items: start;
}
</style>
