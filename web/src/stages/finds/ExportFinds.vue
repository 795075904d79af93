<script setup lang="ts">
import { exportFormats, type ExportFormat } from '@sickle/core/exports'
import { useServices } from '@/services/services'
import { downloadBytes } from '@/shared/download'
import { count } from '@/shared/format'
import { useJobs } from '@/shared/stores/jobs'
import { useQuery } from '@/shared/stores/query'
import { useSettings } from '@/shared/stores/settings'
import { plain } from '@/storage/plain'
import HousePopover from '@/shared/widgets/HousePopover.vue'
import BareButton from '@/shared/widgets/BareButton.vue'

/** What is found, as a file: every item that passes, in this order, with the columns that are seen. */
const services = useServices()
const query = useQuery()
const settings = useSettings()
const jobs = useJobs()
async function take(format: ExportFormat) {
  const { label, mime } = exportFormats[format]
  await query.settled()
  const bytes = await jobs.run(`Finds as ${label}`, ({ signal, report }) =>
    services.engine.call('exportFinds', [plain(settings.value.columns), format], {
      signal,
      onProgress: (done) => report(done as number),
    }),
  )
  downloadBytes(`finds.${format}`, bytes as Uint8Array<ArrayBuffer>, mime)
}
</script>

<template>
  <HousePopover label="Export what is found" placement="bottom-end">
    <template #trigger
      ><BareButton type="info" class="link small" :disabled="!query.answer?.matching">Export</BareButton></template
    >
    <div class="formats">
      <p class="small quiet">{{ count(query.answer?.matching) }} items with the columns shown, as</p>
      <BareButton v-for="(f, name) in exportFormats" :key="name" type="info" class="link" @click="take(name)">
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
