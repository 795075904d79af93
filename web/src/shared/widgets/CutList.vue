<script setup lang="ts" generic="C extends { name: string; ships: boolean }">
import { useFileDialog } from '@vueuse/core'
import { ref } from 'vue'
import type { cutChanges } from '@sickle/core/engine'
import { downloadText } from '../download'
import { count } from '../format'
import { toProblem } from '../problem'
import BareButton from './BareButton.vue'
import CutChanges, { type Changed } from './CutChanges.vue'

/** The Cuts of a stage: run, shared as a file, taken from one, forgotten; and what the one that holds finds that it did not find before. */
const { take } = defineProps<{
  cuts: readonly C[]
  /** of each, how much it leaves; not known yet without */
  counts: readonly (number | null)[] | null
  isUsed: (cut: C) => boolean
  changesOf: (cut: C) => ReturnType<typeof cutChanges>
  /** what some of those that came or went are called */
  labels: (keys: string[]) => Promise<Changed[]>
  /** a Cut as a file holds it */
  toFile: (cut: C) => object
  /** takes what a file holds; it throws what is wrong */
  take: (json: unknown) => Promise<void>
}>()
defineEmits<{ use: [cut: C]; forget: [cut: C]; open: [changed: Changed] }>()
const fault = ref('')
const dialog = useFileDialog({ accept: '.json', multiple: false })
dialog.onChange((files) => void takeFile(files))
async function takeFile(files: FileList | null) {
  const text = await files?.[0]?.text()
  if (text === undefined) return
  try {
    await take(JSON.parse(text))
    fault.value = ''
  } catch (thrown) {
    fault.value = thrown instanceof SyntaxError ? 'The file is no JSON.' : toProblem(thrown).message
  }
  dialog.reset()
}
const save = (name: string, file: object) =>
  downloadText(`cut-${name.toLowerCase().replace(/\W+/g, '-')}.json`, JSON.stringify(file, null, 2), 'application/json')
</script>

<template>
  <h3>Cuts</h3>
  <ul>
    <li v-for="(c, i) in cuts" :key="c.name" :class="{ on: isUsed(c) }">
      <BareButton class="cut" @click="$emit('use', c)">
        <span>{{ c.name }}</span><span class="quiet">{{ count(counts?.[i]) }}</span>
      </BareButton>
      <template v-if="isUsed(c)">
        <CutChanges :changes="changesOf(c)" :labels="labels" @open="(changed) => $emit('open', changed)" />
        <span class="acts"
          ><BareButton @click="save(c.name, toFile(c))">Save as a file</BareButton
          ><BareButton v-if="!c.ships" @click="$emit('forget', c)">Forget</BareButton></span
        >
      </template>
    </li>
  </ul>
  <BareButton type="info" class="small link" @click="dialog.open()">Bring a Cut from a file</BareButton>
  <p v-if="fault" class="small loss" role="alert">{{ fault }}</p>
</template>

<style scoped>
h3 {
  padding: 0 6px 4px;
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
}
li.on {
  background: var(--moss-soft);
  border-radius: 6px;
  color: var(--moss);
  font-weight: 600;
}
.cut {
  display: flex;
  justify-content: space-between;
  gap: 6px;
  width: 100%;
  padding: 3px 6px;
  font-size: 13px;
}
.acts {
  display: flex;
  gap: 10px;
  padding: 0 6px 4px;
  font-size: 12px;
}
.acts button,
.link {
  padding: 4px 6px;
}
</style>
