<script setup lang="ts">
import { NButton, NProgress } from 'naive-ui'
import { computed } from 'vue'
import { useJobs } from '@/shared/stores/jobs'
import { useAfterPaint } from '@/shared/use-after-paint'
import DropField from './DropField.vue'
import ScanForm from './ScanForm.vue'

defineProps<{ busy: boolean }>()
defineEmits<{ demo: [] }>()
const jobs = useJobs()
// a file that is brought in leads here: the page is not to stand still for what is less wanted
const isPainted = useAfterPaint(() => true)
const finished = computed(() => jobs.jobs.filter((j) => j.state === 'done').length)
const share = computed(() => {
  const part = jobs.active.find((j) => j.state === 'running')?.done ?? 0
  return Math.round((100 * (finished.value + part)) / Math.max(1, jobs.jobs.length))
})
</script>

<template>
  <div class="doors">
    <header>
      <h1>What already sells, leaves a margin, and is still open?</h1>
      <p class="quiet">
        Sickle reads your markets' sales files and suppliers' prices, works out what each item would earn after every
        cost, and ends with listings ready to go up. Everything stays in this browser.
      </p>
    </header>
    <section class="panel door">
      <h2>Look around the demo</h2>
      <p>
        Harrow Quay Garden Post, an invented two-person shop: 6 markets, 6,200 listings, 180 days of sales and 900
        supplier offers, brought in through the same intake as your files.
      </p>
      <NProgress
        v-if="busy"
        type="line"
        :percentage="share"
        :height="8"
        color="var(--moss)"
        :indicator-placement="'outside'"
      />
      <NButton v-else type="primary" size="large" @click="$emit('demo')">Load the demo</NButton>
    </section>
    <section class="panel door">
      <h2>Bring a file</h2>
      <p>
        A market's listings, sales by day or week, or a supplier's price list. You see how each column is read before
        anything is kept.
      </p>
      <DropField />
    </section>
    <section class="panel door">
      <h2>Connect a source</h2>
      <p>A market that answers by the connector contract. One that is made up ships with Sickle.</p>
      <ScanForm v-if="isPainted" class="form" /><span v-else class="form" />
    </section>
  </div>
</template>

<style scoped>
.doors {
  max-width: 1180px;
  margin: 6vh auto 0;
  display: grid;
  grid-template-columns: 0.9fr 1fr 1.2fr;
  gap: 18px;
}
header {
  grid-column: 1 / -1;
  display: grid;
  gap: 8px;
}
h1 {
  font-size: 28px;
}
.form {
  min-height: 104px;
}
.door {
  padding: 22px;
  display: grid;
  grid-template-rows: auto 1fr auto;
  gap: 12px;
}
</style>
