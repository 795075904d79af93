<script setup lang="ts">
import { assumedFeesWords } from '@sickle/core/margin'
import { signed } from '../format'
import GradeMark from './GradeMark.vue'

/** A profit with its sign; where it rests on assumed fees, that is said beside it. */
const { e4, currency, assumed } = defineProps<{ e4: number | null; currency: string; assumed: boolean }>()
</script>

<template>
  <span class="nowrap"
    ><span :class="e4 === null ? 'quiet' : e4 < 0 ? 'loss' : 'profit'">{{ signed(e4, currency) }}</span
    ><span v-if="assumed && e4 !== null" :title="`Fees assumed: ${assumedFeesWords}. Enter yours in Margin.`"
      ><GradeMark grade="assumed" /></span
  ></span>
</template>

<style scoped>
.nowrap {
  white-space: nowrap;
}
</style>
