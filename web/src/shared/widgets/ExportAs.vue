<script setup lang="ts">
import { exportFormats, type ExportFormat } from '@sickle/core/exports'
import BareButton from './BareButton.vue'
import HousePopover from './HousePopover.vue'

/** In which format something leaves as a file. */
defineProps<{ label: string; note: string; disabled?: boolean }>()
defineEmits<{ take: [format: ExportFormat] }>()
</script>

<template>
  <HousePopover :label="label" placement="bottom-end">
    <template #trigger><BareButton type="info" class="link small" :disabled="disabled">Export</BareButton></template>
    <div class="formats">
      <p class="small quiet">{{ note }}, as</p>
      <BareButton v-for="(f, name) in exportFormats" :key="name" type="info" class="link" @click="$emit('take', name)">
        {{ f.label }}
      </BareButton>
    </div>
  </HousePopover>
</template>

<style scoped>
.formats {
  display: flex;
  gap: 12px;
  flex-wrap: wrap;
  max-width: 220px;
}
.formats p {
  flex: 1 0 100%;
}
</style>
