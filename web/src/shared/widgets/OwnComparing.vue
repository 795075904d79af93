<script setup lang="ts">
import { percent } from '@/shared/format'
import { useOwn } from '@/shared/stores/own'
import { useWorkspace } from '@/shared/stores/workspace'
import BareButton from './BareButton.vue'

/** How far the comparison of what I sell with all items is, with a way to stop it and to begin it again; nothing before there are items. */
const own = useOwn()
const workspace = useWorkspace()
</script>

<template>
  <p v-if="!workspace.isBeginning" class="small quiet" role="status">
    <template v-if="own.isStopped">
      Not compared with all items.
      <BareButton type="info" class="link small" @click="own.compare()">Compare</BareButton>
    </template>
    <template v-else>
      Comparing what I sell with all items … {{ percent(own.compared) }}
      <BareButton type="error" class="small" @click="own.stop()">Cancel</BareButton>
    </template>
  </p>
</template>
