<script setup lang="ts">
import { exportFormats, type ExportFormat } from '@sickle/core/exports'
import { useServices } from '@/services/services'
import { downloadBytes } from '@/shared/download'
import { count } from '@/shared/format'
import { useJobs } from '@/shared/stores/jobs'
import { useQuery } from '@/shared/stores/query'
import { useSettings } from '@/shared/stores/settings'
import { plain } from '@/storage/plain'
import ExportAs from '@/shared/widgets/ExportAs.vue'

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
  <ExportAs
    label="Export what is found"
    :note="`${count(query.answer?.matching)} items with the columns shown`"
    :disabled="!query.answer?.matching"
    @take="take"
  />
</template>
