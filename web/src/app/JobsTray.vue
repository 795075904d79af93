<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { percent, plural } from '@/shared/format'
import { useJobs } from '@/shared/stores/jobs'
import { useWorkspace } from '@/shared/stores/workspace'
import HousePopover from '@/shared/widgets/HousePopover.vue'
import BareButton from '@/shared/widgets/BareButton.vue'

const jobs = useJobs()
const workspace = useWorkspace()
/** ms from which on working the items out is told: a change of one item is through before */
const tellFrom = 500
const isWorking = ref(false)
let telling: ReturnType<typeof setTimeout> | undefined
watch(
  () => workspace.state === 'working',
  (now) => {
    clearTimeout(telling)
    if (now) telling = setTimeout(() => (isWorking.value = true), tellFrom)
    else isWorking.value = false
  },
  { immediate: true },
)
const label = computed(() => {
  if (jobs.active.length > 0) return plural(jobs.active.length, 'job')
  return isWorking.value ? 'Working' : 'No jobs'
})
const overall = computed(() => (jobs.active[0] ? jobs.active[0].done : workspace.progress))
const words = {
  waiting: 'waiting',
  running: 'working',
  done: 'done',
  failed: 'failed',
  cancelled: 'cancelled',
  paused: 'paused',
}
</script>

<template>
  <HousePopover label="Jobs" placement="bottom-end">
    <template #trigger>
      <BareButton class="tray" :aria-label="`${label}: show`">
        <span>{{ label }}</span>
        <span v-if="jobs.active.length || isWorking" class="bar"
          ><i :style="{ width: `${(overall ?? 0.1) * 100}%` }"
        /></span>
      </BareButton>
    </template>
    <div class="list" role="status">
      <p v-if="isWorking" class="quiet">Working the items out … {{ percent(workspace.progress) }}</p>
      <p v-else-if="jobs.jobs.length === 0" class="quiet">
        Imports and scans show here while they run, with progress and a way to stop them.
      </p>
      <div v-for="job in [...jobs.jobs].reverse().slice(0, 14)" :key="job.id" class="job">
        <div class="head">
          <span class="name">{{ job.label }}</span>
          <span v-if="job.state === 'running' || job.state === 'waiting'" class="acts">
            <BareButton v-if="job.pause" @click="job.pause()">Pause</BareButton>
            <BareButton type="error" class="cancel" @click="job.cancel()">Cancel</BareButton>
          </span>
          <span v-else class="small" :class="{ loss: job.state === 'failed', quiet: job.state !== 'failed' }">{{
            words[job.state]
          }}</span>
        </div>
        <div v-if="job.state === 'running'" class="bar wide">
          <i :style="{ width: `${(job.done ?? 0.1) * 100}%` }" />
        </div>
        <p v-if="job.note" class="small quiet">{{ job.note }}</p>
      </div>
      <BareButton
        v-if="jobs.jobs.length > jobs.active.length"
        type="info"
        class="small clear"
        @click="jobs.clearFinished()"
      >
        Clear finished
      </BareButton>
    </div>
  </HousePopover>
</template>

<style scoped>
.tray {
  display: flex;
  align-items: center;
  gap: 10px;
  padding: 0 16px;
  border-left: 1px solid var(--line);
  border-right: 1px solid var(--line);
  font-size: 13px;
  white-space: nowrap;
  min-width: 92px;
}
.bar {
  display: block;
  width: 70px;
  height: 5px;
  border-radius: 3px;
  background: var(--sunk);
  overflow: hidden;
}
.bar.wide {
  width: 100%;
  margin: 4px 0;
}
.bar i {
  display: block;
  height: 100%;
  background: var(--slate);
  transition: width 120ms;
}
.list {
  width: 330px;
  max-height: 420px;
  overflow: auto;
  display: grid;
  gap: 10px;
}
.head {
  display: flex;
  justify-content: space-between;
  gap: 8px;
}
.name {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.acts {
  display: flex;
  gap: 10px;
}
</style>
