<script setup lang="ts">
import { computed } from 'vue'
import { assumptionWords, type Assumption } from '@sickle/core/catalog'
import { signed } from '../format'
import GradeMark from './GradeMark.vue'

/** A profit with its sign; where it rests on what nobody stated, that is said beside it. */
const { e4, currency, assumed } = defineProps<{
  e4: number | null
  currency: string
  assumed: readonly Assumption[]
}>()
const why = computed(() => `Assumed: ${assumed.map((a) => assumptionWords[a]).join('; ')}.`)
</script>

<template>
  <span class="nowrap"
    ><span :class="e4 === null ? 'quiet' : e4 < 0 ? 'loss' : 'profit'">{{ signed(e4, currency) }}</span
    ><span v-if="assumed.length > 0 && e4 !== null" :title="why"><GradeMark grade="assumed" /></span
  ></span>
</template>

<style scoped>
.nowrap {
  white-space: nowrap;
}
</style>
