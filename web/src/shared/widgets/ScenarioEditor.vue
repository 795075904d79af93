<script setup lang="ts">
import { ref } from 'vue'
import { scenarioPartNames, scenarioParts, type Scenario, type ScenarioPart } from '@sickle/core/margin'
import { toProblem } from '../problem'
import { useScenarios } from '../stores/scenarios'
import AddByName from './AddByName.vue'
import BareButton from './BareButton.vue'
import HouseDrawer from './HouseDrawer.vue'
import LineField from './LineField.vue'
import NumberField from './NumberField.vue'

/** The seller's what-ifs, each with what it changes. */
defineProps<{ show: boolean }>()
const emit = defineEmits<{ close: [] }>()
const scenarios = useScenarios()
const fault = ref('')
async function told(doing: Promise<void>): Promise<boolean> {
  fault.value = ''
  try {
    await doing
    return true
  } catch (thrown) {
    fault.value = toProblem(thrown).message
    return false
  }
}
const add = (name: string) => told(scenarios.add(name))
const setPart = (at: number, { changes }: Scenario, part: ScenarioPart, change: number) =>
  told(scenarios.change(at, { changes: { ...changes, [part]: change } }))
const unit = (part: ScenarioPart) => (scenarioParts[part].as === 'share' ? '%' : 'points')
</script>

<template>
  <HouseDrawer :show="show" title="What-ifs" :width="440" @close="emit('close')">
    <div class="body">
      <p class="small quiet">
        Each changes costs or the price of a sale for the sake of comparison; your rules stay as they are. The rate of
        exchange counts for offers in another currency than yours.
      </p>
      <section v-for="(s, i) in scenarios.list" :key="i" class="one" :aria-label="s.name">
        <div class="row-gap">
          <LineField
            class="name"
            :value="s.name"
            :label="`Name of ${s.name}`"
            @change="(to) => told(scenarios.change(i, { name: to.trim() }))"
          />
          <BareButton type="info" class="link small" :aria-label="`Remove ${s.name}`" @click="told(scenarios.remove(i))"
            >Remove</BareButton
          >
        </div>
        <div class="parts">
          <template v-for="part in scenarioPartNames" :key="part">
            <span :class="{ quiet: s.changes[part] === 0 }">{{ scenarioParts[part].label }}, {{ unit(part) }}</span>
            <NumberField
              :value="s.changes[part]"
              percent
              :min="scenarioParts[part].least"
              :max="scenarioParts[part].most"
              :label="`${scenarioParts[part].label} in ${s.name}`"
              @change="(change) => setPart(i, s, part, change)"
            />
          </template>
        </div>
      </section>
      <AddByName label="Name of another what-if" placeholder="Name of another what-if" :add="add" />
      <p v-if="fault" class="loss small" role="alert">{{ fault }}</p>
    </div>
  </HouseDrawer>
</template>

<style scoped>
.body {
  display: grid;
  gap: 12px;
}
.one {
  display: grid;
  gap: 6px;
  padding-bottom: 12px;
  border-bottom: 1px solid var(--line);
}
.name {
  flex: 1;
}
.parts {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 110px;
  gap: 4px 10px;
  align-items: center;
  font-size: 13px;
}
</style>
