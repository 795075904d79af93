<script setup lang="ts">
import { NButton, NInput } from 'naive-ui'
import { computed, ref } from 'vue'
import { avoidSchema } from '@sickle/core/catalog'
import type { AvoidLine } from '@sickle/core/clear'
import { faultIn } from '@/shared/fault-in'
import { useRules } from '@/shared/stores/rules'
import { useWorkspace } from '@/shared/stores/workspace'
import BareButton from '@/shared/widgets/BareButton.vue'
import HouseSelect from '@/shared/widgets/HouseSelect.vue'

/** What the seller will not list, whatever a market says. */
const rules = useRules()
const workspace = useWorkspace()
const lines = computed(() => rules.corrections.avoid)
const sorts = [
  { value: 'phrase', label: 'words' },
  { value: 'brand', label: 'brand' },
  { value: 'category', label: 'category' },
]
const fresh = (): AvoidLine => ({ what: '', sort: 'phrase', why: '' })
const line = ref(fresh())
const fault = ref('')
async function set(avoid: AvoidLine[]) {
  await rules.setAvoid(avoid)
  await workspace.follow()
}
async function add() {
  fault.value = faultIn(avoidSchema, { ...line.value }) ?? ''
  if (fault.value !== '') return
  const { what, sort, why } = line.value
  line.value = fresh()
  await set([...lines.value, { what: what.trim(), sort, why: why.trim() }])
}
const sortWords: Record<AvoidLine['sort'], string> = { phrase: '', brand: 'brand ', category: 'category ' }
</script>

<template>
  <section class="panel avoid" aria-label="What I avoid">
    <h2>What I avoid</h2>
    <p class="small quiet">
      Bulky, fragile, licensed, with a battery: words in titles and tags, brands, categories. Nothing they name is ready
      to be listed.
    </p>
    <ul class="small">
      <li v-for="(l, i) in lines" :key="i">
        <span
          >{{ sortWords[l.sort] }}“{{ l.what }}”<span v-if="l.why" class="quiet">, {{ l.why }}</span></span
        >
        <BareButton
          type="info"
          class="link"
          :aria-label="`No longer avoid ${l.what}`"
          @click="set(lines.filter((_, at) => at !== i))"
          >Remove</BareButton
        >
      </li>
    </ul>
    <form @submit.prevent="add">
      <NInput
        v-model:value="line.what"
        size="small"
        placeholder="What"
        :input-props="{ 'aria-label': 'What to avoid' }"
      />
      <HouseSelect
        label="What it is"
        :model-value="line.sort"
        :options="sorts"
        @update:model-value="(s) => s !== null && (line.sort = s as AvoidLine['sort'])"
      />
      <NInput
        v-model:value="line.why"
        size="small"
        placeholder="Why"
        :input-props="{ 'aria-label': 'Why to avoid it' }"
      />
      <NButton size="small" attr-type="submit">Avoid it</NButton>
    </form>
    <p v-if="fault" class="small loss" role="alert">{{ fault }}</p>
  </section>
</template>

<style scoped>
.avoid {
  display: grid;
  gap: 7px;
  padding: 12px;
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
  display: grid;
  gap: 3px;
}
li {
  display: flex;
  justify-content: space-between;
  gap: 8px;
}
form {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 6px;
}
</style>
