<script setup lang="ts">
import { NButton } from 'naive-ui'
import { computed, ref, watch } from 'vue'
import type { ItemToAsk } from '@sickle/core/catalog'
import { useServices } from '@/services/services'
import { plural } from '@/shared/format'
import { toProblem } from '@/shared/problem'
import { useQuotes } from '@/shared/stores/quotes'
import { useWorkspace } from '@/shared/stores/workspace'
import AddByName from '@/shared/widgets/AddByName.vue'
import HouseModal from '@/shared/widgets/HouseModal.vue'
import LetterText from '@/shared/widgets/LetterText.vue'
import { plain } from '@/storage/plain'
import { lettersTo, markedFirst, suppliersToAsk } from './ask-quotes'
import LetterForm from './LetterForm.vue'
import TickList from './TickList.vue'

/** Several suppliers are asked for several items at once: whom, about what, and the messages to copy or save. */
const { keys } = defineProps<{ keys: string[] }>()
const show = defineModel<boolean>('show', { required: true })
const emit = defineEmits<{ asked: [item: string] }>()
const services = useServices()
const quotes = useQuotes()
const workspace = useWorkspace()
const items = ref<ItemToAsk[]>([])
const [about, added, chosen] = [ref<string[]>([]), ref<string[]>([]), ref<string[]>([])]
const fault = ref('')
const asked = computed(() => items.value.filter((i) => about.value.includes(i.key)))
const suppliers = computed(() => suppliersToAsk(asked.value))
const whom = computed(() => [
  ...suppliers.value.map((s) => ({
    key: s.supplier,
    label: s.supplier,
    note: s.same
      ? `seems to have ${s.same} of ${asked.value.length}`
      : `has ${plural(s.alike, 'thing', 'things')} alike`,
  })),
  ...added.value.map((s) => ({ key: s, label: s, note: 'by you, about all' })),
])
const letters = computed(() =>
  lettersTo(chosen.value, { items: asked.value, added: added.value, letter: quotes.letter }),
)
const count = computed(() => letters.value.reduce((n, l) => n + l.quotes.length, 0))
watch(
  () => [show.value, workspace.version] as const,
  async ([open]) => {
    if (!open) return
    items.value = await services.engine.call('suppliersFor', [plain(keys)])
    about.value = items.value.map((i) => i.key)
    added.value = []
    fault.value = ''
    chosen.value = markedFirst(suppliers.value)
  },
  { immediate: true },
)
function add(supplier: string) {
  const isKnown = [...suppliers.value.map((s) => s.supplier), ...added.value].includes(supplier)
  if (!isKnown) added.value = [...added.value, supplier]
  if (!chosen.value.includes(supplier)) chosen.value = [...chosen.value, supplier]
  return Promise.resolve(true)
}
async function note() {
  try {
    await quotes.ask(letters.value.flatMap((l) => l.quotes))
  } catch (thrown) {
    return void (fault.value = toProblem(thrown).message)
  }
  show.value = false
  emit('asked', asked.value[0]?.key ?? '')
}
</script>

<template>
  <HouseModal v-model:show="show" title="Ask for quotes" :width="1020">
    <div class="two">
      <div class="left scroll" tabindex="0" role="group" aria-label="What is asked, and of whom">
        <h3>About</h3>
        <TickList v-model="about" :ticks="items.map((i) => ({ key: i.key, label: i.title }))" />
        <p v-if="items.length === 0" class="small quiet">Nothing to ask about: keep or hold items first.</p>
        <h3>Of</h3>
        <TickList v-model="chosen" :ticks="whom" />
        <AddByName label="Another supplier" placeholder="Another supplier" :add="add" />
        <LetterForm />
      </div>
      <div class="scroll letters" tabindex="0" role="group" aria-label="Messages">
        <p v-if="letters.length === 0" class="quiet">Mark whom to ask, and the messages stand here.</p>
        <LetterText v-for="l in letters" :key="l.supplier" file="quote" :to="l.supplier" :message="l.message" />
      </div>
    </div>
    <p v-if="fault" class="small loss" role="alert">{{ fault }}</p>
    <div class="row-gap foot">
      <span class="small quiet">Sickle sends nothing: copy each message to where you write to the supplier.</span>
      <NButton size="small" type="primary" class="push" :disabled="count === 0" @click="note"
        >Note {{ plural(count, 'quote') }} as asked today</NButton
      >
    </div>
  </HouseModal>
</template>

<style scoped>
.two {
  display: grid;
  grid-template-columns: 380px minmax(0, 1fr);
  gap: 18px;
  height: 520px;
}
.left,
.letters {
  display: grid;
  gap: 5px;
  align-content: start;
  min-height: 0;
}
.letters {
  gap: 12px;
}
h3 {
  margin-top: 6px;
}
.foot {
  margin-top: 12px;
}
@media (max-width: 900px) {
  .two {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
