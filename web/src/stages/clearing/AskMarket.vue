<script setup lang="ts">
import { useClipboard } from '@vueuse/core'
import { NButton, useMessage } from 'naive-ui'
import { computed, ref } from 'vue'
import { identifiersOf, pastedAnswers, type Asked, type IdentifierForm } from '@sickle/core/clear'
import { count, plural } from '@/shared/format'
import { toProblem } from '@/shared/problem'
import { useWorkspace } from '@/shared/stores/workspace'
import BareButton from '@/shared/widgets/BareButton.vue'
import HouseModal from '@/shared/widgets/HouseModal.vue'
import HouseSelect from '@/shared/widgets/HouseSelect.vue'
import LongText from '@/shared/widgets/LongText.vue'
import { statusWords } from '@/shared/status-words'
import { useBringAnswers, useClearing } from './clearing-store'

/** All that is unknown is copied out in one go, and what a market answers is pasted back. */
const clearing = useClearing()
const workspace = useWorkspace()
const bring = useBringAnswers()
const message = useMessage()
const { copy, isSupported } = useClipboard({ legacy: true })
const form = ref<IdentifierForm>('barcode')
const forms = [
  { value: 'barcode', label: 'barcodes' },
  { value: 'listing', label: 'listing numbers' },
  { value: 'title', label: 'titles' },
]
const markets = computed(() => workspace.summary.markets.map((m) => ({ value: m, label: m })))
const unknown = computed(() => clearing.toAsk?.asked ?? [])
async function copyOut() {
  const lines = identifiersOf(unknown.value, form.value)
  await copy(lines.join('\n'))
  const without = unknown.value.length - lines.length
  message.success(
    `${plural(lines.length, 'line')} copied${without > 0 ? `; ${plural(without, 'item')} without one, or alike` : ''}`,
  )
}
const [isOpen, text, fault] = [ref(false), ref(''), ref('')]
const asked = ref<readonly Asked[]>([])
function openPaste() {
  // what was asked stays as it is while answers come in
  asked.value = unknown.value
  text.value = fault.value = ''
  isOpen.value = true
}
const read = computed(() => pastedAnswers(text.value, asked.value))
const told = computed(() => {
  const counts = (['allowed', 'needs approval', 'restricted'] as const).map(
    (s) => [s, read.value.answers.filter((a) => a.status === s).length] as const,
  )
  return counts.map(([s, n]) => `${count(n)} ${statusWords[s].label}`).join(', ')
})
async function take() {
  try {
    await bring(read.value.answers)
  } catch (thrown) {
    return void (fault.value = toProblem(thrown).message)
  }
  isOpen.value = false
}
</script>

<template>
  <section class="panel ask" aria-label="Ask a market">
    <h2>Ask a market</h2>
    <HouseSelect
      label="Market that is asked"
      :model-value="clearing.asked"
      :options="markets"
      @update:model-value="(m) => (clearing.market = m)"
    />
    <p class="small quiet" role="status">
      {{ clearing.toAsk ? `Of ${plural(unknown.length, 'item')} nothing is known there.` : 'Looking …'
      }}<template v-if="clearing.toAsk?.more">
        {{ plural(clearing.toAsk.more, 'other', 'others') }} wait until these are answered.</template
      >
    </p>
    <HouseSelect
      label="What is copied"
      :model-value="form"
      :options="forms"
      @update:model-value="(f) => f !== null && (form = f as IdentifierForm)"
    />
    <NButton size="small" type="primary" :disabled="unknown.length === 0 || !isSupported" @click="copyOut"
      >Copy what is unknown</NButton
    >
    <NButton size="small" :disabled="unknown.length === 0" @click="openPaste">Paste the answers …</NButton>
    <HouseModal v-model:show="isOpen" :title="`What does ${clearing.asked} say?`" :width="640">
      <form class="paste" @submit.prevent="take">
        <p class="small quiet">
          Any table or list: each line is searched for the barcode, listing number or title of what was asked, and what
          it says beside it is the answer. Lists under headings such as “Restricted” are read too.
        </p>
        <LongText v-model="text" label="Answers" placeholder="4006381333931  needs approval" />
        <p v-if="fault" class="small loss" role="alert">{{ fault }}</p>
        <p class="small" role="status">
          {{ plural(read.answers.length, 'answer') }} for {{ clearing.asked }}: {{ told
          }}<template v-if="read.unread.length"
            >; {{ plural(read.unread.length, 'line') }} not understood: “{{
              read.unread.slice(0, 2).join('”, “')
            }}”</template
          >
        </p>
        <div class="row-gap">
          <NButton size="small" type="primary" attr-type="submit" :disabled="read.answers.length === 0"
            >Take these</NButton
          >
          <BareButton type="info" class="link small" @click="isOpen = false">Leave it</BareButton>
        </div>
      </form>
    </HouseModal>
  </section>
</template>

<style scoped>
.ask {
  display: grid;
  gap: 7px;
  padding: 12px;
}
.paste {
  display: grid;
  gap: 8px;
}
</style>
