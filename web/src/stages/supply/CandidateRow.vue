<script setup lang="ts">
import { computed } from 'vue'
import type { DeskCandidate } from '@sickle/core/catalog'
import type { MatchJudgement } from '@sickle/core/supply'
import { amount, currencySign } from '@/shared/format'
import { useRules } from '@/shared/stores/rules'
import { brokenBy, daysTold, judgementWords, takenFor } from '@/shared/supply-words'
import BareButton from '@/shared/widgets/BareButton.vue'
import GoodsPicture from '@/shared/widgets/GoodsPicture.vue'
import PackStepper from '@/shared/widgets/PackStepper.vue'
import PictureLikeness from '@/shared/widgets/PictureLikeness.vue'
import ProfitFigure from '@/shared/widgets/ProfitFigure.vue'
import LikenessLine from './LikenessLine.vue'
import { useSupply } from './supply-store'

/** One candidate beside the wanted item. */
const { candidate, itemKey, picture, isHere, isUsed } = defineProps<{
  candidate: DeskCandidate
  itemKey: string
  picture: string | null
  isHere: boolean
  isUsed: boolean
}>()
const emit = defineEmits<{ look: []; judge: [judgement: MatchJudgement] }>()
const supply = useSupply()
const rules = useRules()
const offer = computed(() => candidate.match.offer)
const judged = computed(() => supply.judgedOf(itemKey, offer.value.key))
const broken = computed(() => candidate.checks.filter((c) => c.holds === false).map((c) => c.name))
const seems = computed(() => takenFor({ ...candidate.match, judged: judged.value }))
const parts = computed(() => candidate.parts.filter((p) => p.part !== 'brand' || p.speaksFor !== null))
async function setPack(pack: number | null) {
  await rules.setPack(offer.value.key, pack)
  supply.followLater()
}
</script>

<template>
  <li :class="{ here: isHere, no: judged === 'no' }" :aria-current="isHere ? 'true' : undefined" @click="emit('look')">
    <GoodsPicture :src="offer.picture" :title="offer.title" :size="44" />
    <div class="what">
      <BareButton class="title" @click="emit('look')">{{ offer.title }}</BareButton>
      <div class="small quiet">
        {{ offer.supplier }} · {{ seems }}<PictureLikeness :mine="picture" :other="offer.picture" /><template
          v-if="isUsed"
        >
          · <b class="used">reckoned with</b></template
        >
      </div>
      <div class="parts"><LikenessLine v-for="p in parts" :key="p.part" :part="p" /></div>
      <div v-if="broken.length" class="small broken">It {{ brokenBy(broken) }}.</div>
    </div>
    <div class="figures">
      <div class="num" title="Landed cost of what one sale takes">
        {{ currencySign(rules.home) }} {{ amount(candidate.landedE4, rules.home) }}
      </div>
      <div class="small quiet num">
        {{ daysTold(offer) }}
      </div>
      <ProfitFigure class="small num" :e4="candidate.profitE4" :currency="rules.home" :assumed="candidate.assumed" />
      <PackStepper :value="candidate.pack" :label="`Pieces in the pack of ${offer.title}`" @change="setPack" />
    </div>
    <div class="judge" role="group" :aria-label="`What ${offer.title} is`">
      <BareButton
        v-for="(label, j) in judgementWords"
        :key="j"
        class="small way"
        :class="[j, { on: judged === j }]"
        :aria-pressed="judged === j"
        @click.stop="emit('judge', j)"
        >{{ label }}</BareButton
      >
    </div>
  </li>
</template>

<style scoped>
li {
  display: grid;
  grid-template-columns: 44px minmax(0, 1fr) 96px 84px;
  gap: 10px;
  padding: 9px 10px;
  border-left: 3px solid transparent;
  border-bottom: 1px solid var(--line);
}
li.here {
  border-left-color: var(--slate);
  background: var(--slate-soft);
}
li.no .title {
  color: var(--quiet);
  text-decoration: line-through;
}
.what {
  min-width: 0;
}
.title {
  font-weight: 500;
  white-space: normal;
}
.used {
  color: var(--moss);
}
.parts {
  display: flex;
  flex-wrap: wrap;
  gap: 1px 12px;
  margin-top: 3px;
}
.broken {
  color: var(--wheat-ink);
  margin-top: 2px;
}
.figures {
  display: grid;
  gap: 1px;
  justify-items: end;
  align-content: start;
}
.judge {
  display: grid;
  gap: 2px;
  align-content: start;
}
.way {
  border: 1px solid var(--line);
  border-radius: 5px;
  min-height: 24px;
  padding: 0 6px;
  background: var(--panel);
}
.way.on {
  border-color: currentcolor;
  font-weight: 600;
}
.way.same.on {
  color: var(--moss);
}
.way.pack.on,
.way.similar.on {
  color: var(--wheat-ink);
}
.way.no.on {
  color: var(--clay);
}
</style>
