<script setup lang="ts">
import { computed, ref } from 'vue'
import { statedGrade, storeFigures } from '@sickle/core/stores'
import { useServices } from '@/services/services'
import { currencySign, dayInWords, figureText } from '@/shared/format'
import { useRules } from '@/shared/stores/rules'
import { useWorkspace } from '@/shared/stores/workspace'
import { estimateSource, estimateWords, leaveWords } from '@/shared/store-answers'
import { useLatest } from '@/shared/use-latest'
import GradeMark from '@/shared/widgets/GradeMark.vue'
import NumberField from '@/shared/widgets/NumberField.vue'
import PlainTable from '@/shared/widgets/PlainTable.vue'
import type { OpenedStore } from '@/workers/store-methods'

/** How the figures of a store are known: what a list states beside what its listings sum to, and what is estimated in what way. */
const { store } = defineProps<{ store: OpenedStore }>()
const rules = useRules()
const services = useServices()
const workspace = useWorkspace()
/** set by hand; as learned from the market else */
const rate = ref<number | null>(null)
const sides = computed(() =>
  storeFigures.flatMap((figure) => {
    const stated = store.stated && figure.stated(store.stated)
    const summed = figure.summed && store.summed.listings > 0 ? figure.summed(store.summed) : null
    if (stated === null && summed === null) return []
    const unit = figure.format === 'money' ? `, ${currencySign(rules.home)}` : ''
    const grade = store.stated && stated !== null ? statedGrade(figure, store.stated) : null
    return [{ ...figure, label: `${figure.label}${unit}`, said: stated, grade, sum: summed }]
  }),
)
const estimates = useLatest([() => store, rate, () => workspace.version], () =>
  services.engine.call('storeEstimates', [store.market, store.name, rate.value]),
)
const ways = [
  { of: 'feedback', label: 'feedback' },
  { of: 'items', label: 'its items' },
  { of: 'ranks', label: 'ranks' },
] as const
const leave = computed(() => estimates.value?.leave ?? null)
const has = computed(() => estimates.value !== null && ways.some((w) => estimates.value?.[w.of]))
</script>

<template>
  <article>
    <h3>How are its figures known?</h3>
    <div class="known">
      <PlainTable class="tight" aria-label="Stated and summed">
        <thead>
          <tr>
            <th>Figure</th>
            <th class="num">a list states</th>
            <th class="num">its listings sum to</th>
            <th>why they differ</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="f in sides" :key="f.name">
            <th scope="row">{{ f.label }}</th>
            <td class="num">
              {{ figureText(f.said, f.format, rules.home) }}<GradeMark v-if="f.grade" :grade="f.grade" />
            </td>
            <td class="num">{{ figureText(f.sum, f.format, rules.home) }}</td>
            <td class="small quiet">{{ f.said !== null && f.sum !== null ? f.differs : '' }}</td>
          </tr>
        </tbody>
      </PlainTable>
      <div class="estimates">
        <h4>Units in 30 days, estimated <GradeMark grade="estimated" /></h4>
        <p v-if="!has" class="small quiet">
          Not possible: it needs feedback, offers that say how often they are shown first, or ranks.
        </p>
        <dl v-else-if="estimates">
          <template v-for="w in ways" :key="w.of">
            <dt>from {{ w.label }}</dt>
            <dd>
              {{ estimateWords(estimates[w.of]) }}
              <div class="small quiet">{{ estimateSource(estimates, w.of) }}</div>
            </dd>
          </template>
          <dt>together</dt>
          <dd>
            <b>{{ estimateWords(estimates.all) }}</b>
          </dd>
        </dl>
        <p v-if="leave" class="row-gap small">
          Buyers who leave feedback, %
          <NumberField
            :value="Math.round(leave.rate * 1000) / 1000"
            percent
            :min="0.01"
            :max="1"
            label="Buyers who leave feedback, %"
            @change="(r) => (rate = r)"
          />
        </p>
        <p v-if="leave" class="small quiet">{{ leaveWords(leave, rate !== null) }}</p>
        <p v-if="leave && store.stated?.feedback != null" class="small quiet">
          At that rate its {{ figureText(store.stated.feedback, 'count', rules.home) }} feedback are about
          {{ figureText(store.stated.feedback / leave.rate, 'count', rules.home) }} sales since it opened.
        </p>
        <p class="small quiet">
          {{ store.windowEnd === null ? '' : `Windows end on ${dayInWords(store.windowEnd)}.` }}
        </p>
      </div>
    </div>
  </article>
</template>

<style scoped>
.known {
  display: grid;
  grid-template-columns: minmax(0, 1.6fr) minmax(0, 1fr);
  gap: 20px;
}
.estimates {
  display: grid;
  gap: 6px;
  align-content: start;
}
h4 {
  margin: 0;
  font-size: 13px;
}
dl {
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 2px 10px;
  margin: 0;
}
dt {
  color: var(--quiet);
}
dd {
  margin: 0;
}
@media screen and (max-width: 900px) {
  .known {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
