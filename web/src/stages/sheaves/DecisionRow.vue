<script setup lang="ts">
import { computed } from 'vue'
import type { Decision, DecisionState } from '@sickle/core/verdict'
import { count, signed } from '@/shared/format'
import { useLive } from '@/shared/stores/live'
import GoodsPicture from '@/shared/widgets/GoodsPicture.vue'
import ProfitFigure from '@/shared/widgets/ProfitFigure.vue'
import BareButton from '@/shared/widgets/BareButton.vue'

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
  <div role="row">
    <span role="cell">
      <span class="item">
        <GoodsPicture :src="decision.snapshot.picture" :title="decision.snapshot.title" :size="32" /><span>{{
          decision.snapshot.title
        }}</span>
      </span>
    </span>
    <span role="cell">
      <select
        class="decided"
        :class="decision.state"
        :value="decision.state"
        :aria-label="`Decision on ${decision.snapshot.title}`"
        @change="emit('decide', ($event.target as HTMLSelectElement).value as DecisionState)"
      >
        <option v-for="s in states" :key="s.value" :value="s.value">{{ s.label }}</option>
      </select>
    </span>
    <span role="cell">
      <input
        :value="decision.reason"
        placeholder="why?"
        :aria-label="`Reason for ${decision.snapshot.title}`"
        @change="emit('reason', text($event))"
      />
    </span>
    <span role="cell">
      <input
        :value="decision.note"
        placeholder="note, link"
        :aria-label="`Note on ${decision.snapshot.title}`"
        @change="emit('note', text($event))"
      />
    </span>
    <span role="cell" class="num">
      <ProfitFigure :e4="now.profitE4" :currency="home" :assumed="now.assumed" />
      <span v-if="now.profitE4 !== decision.snapshot.profitE4" class="then small quiet">
        {{ signed(decision.snapshot.profitE4, home) }} when decided
      </span>
    </span>
    <span role="cell" class="num">{{ count(now.units) }}</span>
    <span role="cell" class="quiet">{{ new Date(decision.at).toISOString().slice(0, 10) }}</span>
    <span role="cell" class="num acts">
      <BareButton type="info" @click="$emit('look')">Look</BareButton
      ><BareButton type="info" @click="$emit('cost')">Cost</BareButton>
    </span>
  </div>
</template>

<style scoped>
.item {
  display: flex;
  gap: 10px;
  align-items: center;
  font-weight: 500;
}
.item span {
  overflow: hidden;
  display: -webkit-box;
  -webkit-box-orient: vertical;
  -webkit-line-clamp: 2;
  line-height: 1.25;
}
.then {
  display: block;
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
  text-decoration: underline;
  margin-left: 8px;
}
</style>
