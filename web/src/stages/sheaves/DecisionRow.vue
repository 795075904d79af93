<script setup lang="ts">
import { computed } from 'vue'
import type { Decision, DecisionState } from '@sickle/core/verdict'
import { count, signed } from '@/shared/format'
import { useLive } from '@/shared/stores/live'
import GoodsPicture from '@/shared/widgets/GoodsPicture.vue'
import ProfitFigure from '@/shared/widgets/ProfitFigure.vue'

const { decision } = defineProps<{ decision: Decision; home: string }>()
const live = useLive()
const now = computed(() => live.of(decision))
const emit = defineEmits<{
  decide: [action: DecisionState | 'clear']
  note: [text: string]
  reason: [text: string]
  look: []
  cost: []
}>()
const states = [
  { value: 'keep', label: 'kept' },
  { value: 'hold', label: 'held' },
  { value: 'drop', label: 'dropped' },
  { value: 'clear', label: 'take back' },
] as const
const text = (event: Event) => (event.target as HTMLInputElement).value.trim()
</script>

<template>
  <tr>
    <td>
      <div class="item">
        <GoodsPicture :src="decision.snapshot.picture" :title="decision.snapshot.title" :size="32" /><span>{{
          decision.snapshot.title
        }}</span>
      </div>
    </td>
    <td>
      <select
        class="decided"
        :class="decision.state"
        :value="decision.state"
        :aria-label="`Decision on ${decision.snapshot.title}`"
        @change="emit('decide', ($event.target as HTMLSelectElement).value as DecisionState)"
      >
        <option v-for="s in states" :key="s.value" :value="s.value">{{ s.label }}</option>
      </select>
    </td>
    <td>
      <input
        :value="decision.reason"
        placeholder="why?"
        :aria-label="`Reason for ${decision.snapshot.title}`"
        @change="emit('reason', text($event))"
      />
    </td>
    <td>
      <input
        :value="decision.note"
        placeholder="note, link"
        :aria-label="`Note on ${decision.snapshot.title}`"
        @change="emit('note', text($event))"
      />
    </td>
    <td class="num">
      <ProfitFigure :e4="now.profitE4" :currency="home" :assumed="now.feesAssumed" />
      <div v-if="now.profitE4 !== decision.snapshot.profitE4" class="small quiet">
        {{ signed(decision.snapshot.profitE4, home) }} when decided
      </div>
    </td>
    <td class="num">{{ count(now.units) }}</td>
    <td class="quiet">{{ new Date(decision.at).toISOString().slice(0, 10) }}</td>
    <td class="num acts">
      <button class="bare" @click="$emit('look')">Look</button><button class="bare" @click="$emit('cost')">Cost</button>
    </td>
  </tr>
</template>

<style scoped>
.item {
  display: flex;
  gap: 10px;
  align-items: center;
  font-weight: 500;
}
tr td {
  vertical-align: middle;
}
input,
select {
  border: 1px solid var(--line);
  border-radius: 5px;
  background: var(--panel);
  padding: 2px 6px;
  width: 100%;
}
select {
  width: auto;
  font-weight: 600;
}
.acts button {
  color: var(--slate);
  text-decoration: underline;
  margin-left: 8px;
}
</style>
