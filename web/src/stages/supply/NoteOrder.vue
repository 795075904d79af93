<script setup lang="ts">
import { NButton, NDatePicker, NInput } from 'naive-ui'
import { computed, ref, watch } from 'vue'
import { dayOfIso, isoDay } from '@sickle/core/identity'
import { firstFault } from '@sickle/core/schema'
import { purchaseSchema, type Purchase } from '@sickle/core/supply'
import { toProblem } from '@/shared/problem'
import { useQuotes } from '@/shared/stores/quotes'
import HouseModal from '@/shared/widgets/HouseModal.vue'

/** An order that was given to a supplier: when, and for when it was promised. */
const { supplier } = defineProps<{ supplier: string }>()
const show = defineModel<boolean>('show', { required: true })
const quotes = useQuotes()
const [what, fault] = [ref(''), ref('')]
type Dates = Pick<Purchase, 'orderedOn' | 'promisedOn' | 'arrivedOn'>
const dates = ref<Dates>({ orderedOn: 0, promisedOn: null, arrivedOn: null })
watch(show, (open) => {
  if (!open) return
  what.value = fault.value = ''
  dates.value = { orderedOn: quotes.today(), promisedOn: null, arrivedOn: null }
})
const fields: { name: keyof Dates; label: string }[] = [
  { name: 'orderedOn', label: 'Ordered on' },
  { name: 'promisedOn', label: 'Promised for' },
  { name: 'arrivedOn', label: 'Arrived on' },
]
const order = computed(() => ({ supplier, what: what.value.trim(), ...dates.value }))
const shown = (n: number | null) => (n === null ? null : isoDay(n))
function pick(name: keyof Dates, text: string | null) {
  const on = text === null ? null : dayOfIso(text)
  if (name === 'orderedOn' && on === null) return
  dates.value = { ...dates.value, [name]: on }
}
async function keep() {
  const wrong = firstFault(purchaseSchema, { ...order.value, id: 'new' })
  if (wrong) return void (fault.value = `${wrong.where || 'It'} ${wrong.what}.`)
  try {
    await quotes.note(order.value)
    show.value = false
  } catch (thrown) {
    fault.value = toProblem(thrown).message
  }
}
</script>

<template>
  <HouseModal v-model:show="show" :title="`An order of ${supplier}`" :width="460">
    <form class="form" @submit.prevent="keep">
      <span>What</span>
      <NInput
        v-model:value="what"
        size="small"
        :maxlength="500"
        placeholder=""
        :input-props="{ 'aria-label': 'What' }"
      />
      <label v-for="f in fields" :key="f.name" class="pair">
        <span>{{ f.label }}</span>
        <NDatePicker
          size="small"
          type="date"
          :clearable="f.name !== 'orderedOn'"
          :placeholder="f.name === 'orderedOn' ? '' : 'not known'"
          format="yyyy-MM-dd"
          value-format="yyyy-MM-dd"
          :formatted-value="shown(dates[f.name])"
          :input-readonly="false"
          @update:formatted-value="(text: string | null) => pick(f.name, text)"
        />
      </label>
      <p v-if="fault" class="small loss wide" role="alert">{{ fault }}</p>
      <div class="wide">
        <NButton size="small" type="primary" attr-type="submit" :disabled="what.trim() === ''">Note it</NButton>
      </div>
    </form>
  </HouseModal>
</template>

<style scoped>
.form {
  display: grid;
  grid-template-columns: 110px minmax(0, 1fr);
  gap: 8px 12px;
  align-items: center;
}
.pair {
  display: contents;
}
.wide {
  grid-column: 1 / -1;
}
</style>
