<script setup lang="ts">
import { NButton } from 'naive-ui'
import { computed } from 'vue'
import { statedGrade, storeFigures } from '@sickle/core/stores'
import { amount, count, currencySign, dayInWords, decimal, figureText } from '@/shared/format'
import { useRules } from '@/shared/stores/rules'
import { whatIsGathered, whatIsNew, whatMadeTheMoney } from '@/shared/store-answers'
import { useFollow } from '@/shared/use-follow'
import BareButton from '@/shared/widgets/BareButton.vue'
import GradeMark from '@/shared/widgets/GradeMark.vue'
import PlainTable from '@/shared/widgets/PlainTable.vue'
import type { OpenedStore } from '@/workers/store-methods'

/** One store: what made its money, what is new in it, and how its figures are known. */
const { store } = defineProps<{ store: OpenedStore }>()
const rules = useRules()
const follow = useFollow()
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
const curve = computed(() =>
  store.curve.map((c, i) => `${i === 0 ? 'M0,100 L' : 'L'}${c.listings * 100},${100 - c.units * 100}`).join(' '),
)
const lists = computed(() => [
  {
    title: 'What sells best now?',
    says: store.best.length ? '' : 'No listing of it is known to sell.',
    of: store.best,
  },
  { title: 'What is new and already sells?', says: whatIsNew(store), of: store.newSelling },
])
const key = (listing: string) => store.itemKeys[listing] ?? ''
</script>

<template>
  <section class="panel scroll store" :aria-label="`Store ${store.name}`">
    <header class="row-gap">
      <h2>{{ store.name }}</h2>
      <span class="quiet small"
        >{{ store.market }}{{ store.age === null ? '' : `, ${decimal(store.age, 0)} months old`
        }}{{ store.stated?.country ? `, ${store.stated.country}` : '' }}</span
      >
      <NButton
        size="small"
        type="primary"
        :disabled="!store.summed.listings"
        @click="follow.store(store.market, store.name)"
        >Its items in Finds</NButton
      >
    </header>
    <h3>What made the money?</h3>
    <div class="money">
      <svg
        v-if="store.topFifth !== null"
        viewBox="0 0 100 100"
        preserveAspectRatio="none"
        role="img"
        aria-label="Cumulative share of the units over its listings, best first"
      >
        <path d="M0,100 L100,0" class="even" />
        <path :d="curve" class="curve" />
        <path d="M20,0 V100" class="fifth" />
      </svg>
      <p>
        {{ whatMadeTheMoney(store) }} <GradeMark v-if="store.summed.grade" :grade="store.summed.grade" />
        <span class="quiet small"><br />{{ whatIsGathered(store) }}</span>
      </p>
    </div>
    <div class="lists">
      <div v-for="list in lists" :key="list.title">
        <h3>{{ list.title }}</h3>
        <p v-if="list.says" class="small">{{ list.says }}</p>
        <PlainTable v-if="list.of.length" class="tight">
          <tbody>
            <tr v-for="l in list.of" :key="l.key">
              <td>
                <BareButton type="info" class="link" @click="follow.item(key(l.key), l.title)">{{
                  l.title
                }}</BareButton>
              </td>
              <td class="num">{{ amount(l.priceE4, rules.home) }}</td>
              <td class="num">{{ count(l.units) }}<GradeMark v-if="l.grade" :grade="l.grade" /></td>
            </tr>
          </tbody>
        </PlainTable>
      </div>
    </div>
    <h3>How are its figures known?</h3>
    <PlainTable class="tight">
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
    <p class="small quiet">
      <template v-for="w in store.windows" :key="w.days"
        >{{ w.days }} days: {{ count(w.units) }} units<template v-if="w.known < store.summed.listings">
          of {{ count(w.known) }} listings that say so</template
        >. </template
      >{{ store.windowEnd === null ? '' : `To ${dayInWords(store.windowEnd)}.` }}
    </p>
  </section>
</template>

<style scoped>
.store {
  padding: 12px 14px;
  font-size: 13px;
}
header {
  flex-wrap: wrap;
}
header .n-button {
  margin-left: auto;
}
h3 {
  margin: 12px 0 4px;
}
.money {
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 12px;
  align-items: start;
}
svg {
  width: 96px;
  height: 64px;
  border-left: 1px solid var(--line);
  border-bottom: 1px solid var(--line);
}
path {
  fill: none;
  vector-effect: non-scaling-stroke;
}
.even {
  stroke: var(--line);
}
.curve {
  stroke: var(--moss);
  stroke-width: 2px;
}
.fifth {
  stroke: var(--wheat);
  stroke-dasharray: 3 3;
}
.lists {
  display: grid;
  gap: 0 16px;
}
</style>
