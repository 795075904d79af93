<script setup lang="ts">
import { NButton } from 'naive-ui'
import { computed, ref } from 'vue'
import type { ToldLesson } from '@sickle/core/catalog'
import { useServices } from '@/services/services'
import { percent, plural } from '@/shared/format'
import { useRules } from '@/shared/stores/rules'
import { useWorkspace } from '@/shared/stores/workspace'
import { useLatest } from '@/shared/use-latest'
import BareButton from '@/shared/widgets/BareButton.vue'
import PlainTable from '@/shared/widgets/PlainTable.vue'

/** What titles teach of words: which mean the same and which set goods apart, what shows it, and a way to take it back. */
const services = useServices()
const rules = useRules()
const workspace = useWorkspace()
const fewShown = 8
const isWhole = ref(false)
const busy = computed(() => workspace.state === 'working')
const lessons = useLatest([() => workspace.version], async () =>
  workspace.version === 0 ? null : services.engine.call('titleLessons', []),
)
const shown = computed(() => (isWhole.value ? (lessons.value ?? []) : (lessons.value ?? []).slice(0, fewShown)))

const phrase = (words: readonly string[]) => words.join(' ')
const shownBy = ({ barcodes, byHand }: ToldLesson) =>
  [byHand > 0 ? `you, ${plural(byHand, 'time')}` : '', barcodes > 0 ? plural(barcodes, 'barcode') : '']
    .filter(Boolean)
    .join('; ')

async function want(lesson: ToldLesson) {
  await rules.setTaught(lesson.name, lesson.isTakenBack)
  await workspace.follow()
}
</script>

<template>
  <section aria-label="What titles taught">
    <h2>What titles taught</h2>
    <p class="small quiet">
      Words by which listings and offers are taken for the same goods, or for others, as barcodes or you have shown:
      three barcodes, or you twice, by joining listings or judging offers. It may be wrong: forget what is, and all is
      matched anew.
    </p>
    <p v-if="lessons?.length === 0" class="small">Nothing yet.</p>
    <PlainTable v-else-if="lessons">
      <thead>
        <tr>
          <th>Words</th>
          <th>Shown by</th>
          <th>For instance</th>
          <th><span class="sr-only">Take back</span></th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="l in shown" :key="l.name" :class="{ back: l.isTakenBack }">
          <td>
            <template v-if="l.those.length === 0"
              ><b>{{ phrase(l.these) }}</b> sets apart</template
            >
            <template v-else-if="l.says === 'same'"
              ><b>{{ phrase(l.these) }}</b> means <b>{{ phrase(l.those) }}</b></template
            >
            <template v-else
              ><b>{{ phrase(l.these) }}</b> is not <b>{{ phrase(l.those) }}</b></template
            >
          </td>
          <td class="small shown">{{ shownBy(l) }}</td>
          <td class="small quiet">{{ l.example[0] }}<br />{{ l.example[1] }}</td>
          <td class="num">
            <NButton
              size="tiny"
              :disabled="busy"
              :aria-label="`${l.isTakenBack ? 'Believe' : 'Forget'} ${l.name}`"
              @click="want(l)"
              >{{ l.isTakenBack ? 'Believe' : 'Forget' }}</NButton
            >
          </td>
        </tr>
      </tbody>
    </PlainTable>
    <p v-if="lessons && lessons.length > fewShown" class="small">
      <BareButton type="info" class="link" :aria-expanded="isWhole" @click="isWhole = !isWhole">{{
        isWhole ? 'Show fewer' : `Show all ${lessons.length}`
      }}</BareButton>
    </p>
    <p v-if="busy" class="small quiet" role="status">Joining anew … {{ percent(workspace.progress) }}</p>
  </section>
</template>

<style scoped>
.shown {
  white-space: nowrap;
}
.back td:not(:last-child) {
  color: var(--quiet);
  text-decoration: line-through;
}
</style>
