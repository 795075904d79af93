<script setup lang="ts">
import { NButton } from 'naive-ui'
import { computed, shallowRef, watch } from 'vue'
import { useAsk, type Question } from '@/shared/stores/ask'
import HouseModal from '@/shared/widgets/HouseModal.vue'

/** The question that is open, if one is. */
const ask = useAsk()
/** stays while the dialog goes */
const shown = shallowRef<Question | null>(null)
watch(
  () => ask.question,
  (now) => now && (shown.value = now),
)
const show = computed({ get: () => ask.question !== null, set: (open) => !open && ask.answer(false) })
</script>

<template>
  <HouseModal v-model:show="show" :title="shown?.title ?? ''" :width="460">
    <p>{{ shown?.content }}</p>
    <div class="row-gap acts">
      <NButton size="small" @click="ask.answer(false)">{{ shown?.no }}</NButton>
      <NButton v-if="shown?.yes" size="small" type="warning" @click="ask.answer(true)">{{ shown.yes }}</NButton>
    </div>
  </HouseModal>
</template>

<style scoped>
.acts {
  justify-content: flex-end;
  margin-top: 16px;
}
</style>
