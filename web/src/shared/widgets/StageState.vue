<script setup lang="ts">
import { NButton } from 'naive-ui'
import { useRouter } from 'vue-router'
import { percent } from '@/shared/format'
import { useWorkspace } from '@/shared/stores/workspace'
import EmptyState from './EmptyState.vue'

/** A stage that stands on what is gathered: what is told while that cannot be shown, else the stage itself. */
defineOptions({ inheritAttrs: false })
defineProps<{
  /** the stage by its name */
  stage: string
  /** whether there is something to show */
  ready: boolean
  /** what to bring in, and what comes of it */
  bring: string
  /** the stage has a heading of its own while it waits */
  within?: boolean
}>()
const workspace = useWorkspace()
const router = useRouter()
</script>

<template>
  <EmptyState
    v-if="workspace.state === 'failed'"
    v-bind="$attrs"
    :whole="!within"
    role="alert"
    :title="`${stage} could not be worked out`"
  >
    <p>{{ workspace.failure }}</p>
    <NButton @click="workspace.reload()">Try again</NButton>
  </EmptyState>
  <EmptyState v-else-if="workspace.empty" v-bind="$attrs" :whole="!within" title="Nothing is gathered yet">
    <p class="quiet">{{ bring }}</p>
    <NButton type="primary" @click="router.push('/gather')">To Gather</NButton>
  </EmptyState>
  <EmptyState
    v-else-if="!ready || workspace.isBeginning"
    v-bind="$attrs"
    :whole="!within"
    role="status"
    :title="within ? undefined : stage"
  >
    <p class="quiet">Working the items out … {{ percent(workspace.progress) }}</p>
  </EmptyState>
  <slot v-else />
</template>
