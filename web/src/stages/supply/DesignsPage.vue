<script setup lang="ts">
import { NButton, useMessage } from 'naive-ui'
import { computed, ref } from 'vue'
import { useRouter } from 'vue-router'
import { useServices } from '@/services/services'
import { percent, plural } from '@/shared/format'
import { toProblem } from '@/shared/problem'
import { useAsk } from '@/shared/stores/ask'
import { useDesigns } from '@/shared/stores/designs'
import { useDrafts } from '@/shared/stores/drafts'
import { useRules } from '@/shared/stores/rules'
import { useSettings } from '@/shared/stores/settings'
import { useWorkspace } from '@/shared/stores/workspace'
import { useKeys } from '@/shared/use-keys'
import { useLatest } from '@/shared/use-latest'
import AddByName from '@/shared/widgets/AddByName.vue'
import BareButton from '@/shared/widgets/BareButton.vue'
import EmptyState from '@/shared/widgets/EmptyState.vue'
import HouseSelect from '@/shared/widgets/HouseSelect.vue'
import LineField from '@/shared/widgets/LineField.vue'
import StageState from '@/shared/widgets/StageState.vue'
import { plain } from '@/storage/plain'
import BlankTable from './BlankTable.vue'
import { draftsOfDesign } from './design-drafts'
import SidePicks from './SidePicks.vue'

/** Goods that are made to order: a design on several blanks at once, with its margin on each. */
const services = useServices()
const designs = useDesigns()
const drafts = useDrafts()
const rules = useRules()
const settings = useSettings()
const workspace = useWorkspace()
const router = useRouter()
const message = useMessage()
const { ask } = useAsk()
const chosen = ref<string | null>(null)
const fault = ref('')
const design = computed(() => designs.list.find((d) => d.id === chosen.value) ?? designs.list[0] ?? null)
const picks = computed(() =>
  designs.list.map((d) => ({
    key: d.id,
    title: d.name,
    told: `on ${plural(d.blanks.length, 'blank')}, ${d.market}`,
  })),
)
const markets = computed(() => workspace.summary.markets.map((m) => ({ value: m, label: m })))
const market = computed(() => design.value?.market ?? markets.value[0]?.value ?? '')
const blanks = useLatest([market, () => workspace.version], async () =>
  workspace.version === 0 ? null : services.engine.call('blanks', [market.value]),
)
const lines = useLatest([design, () => settings.value.wantedMargin, () => workspace.version], async () =>
  workspace.version === 0 || design.value === null
    ? []
    : services.engine.call('designSheet', [
        plain(design.value.blanks),
        { market: design.value.market, margin: settings.value.wantedMargin },
      ]),
)
async function told(doing: Promise<unknown>): Promise<boolean> {
  fault.value = ''
  try {
    await doing
    return true
  } catch (thrown) {
    fault.value = toProblem(thrown).message
    return false
  }
}
async function add(name: string) {
  const isTaken = await told(designs.add(name, market.value))
  if (isTaken) chosen.value = designs.list.at(-1)?.id ?? null
  return isTaken
}
async function remove() {
  const gone = design.value
  if (!gone) return
  const isSure = await ask({
    title: `Remove “${gone.name}”?`,
    content: 'Drafts of it stay.',
    yes: 'Remove',
    no: 'Keep',
  })
  if (isSure) await designs.remove(gone.id)
}
async function draftAll() {
  if (!design.value || !blanks.value) return
  const made = draftsOfDesign(design.value, lines.value ?? [], {
    names: new Map(blanks.value.map((b) => [b.offer.key, b.name])),
    home: rules.home,
  })
  await drafts.take(made)
  message.success(`${plural(made.length, 'draft')} made`)
}
const priced = computed(() => (lines.value ?? []).filter((l) => l.priceE4 !== null))
useKeys('Made to order', [{ key: 'escape', label: 'Back to the match desk', run: () => void router.push('/supply') }])
</script>

<template>
  <div class="column-page">
    <header class="row-gap">
      <h1>Made to order</h1>
      <span class="quiet small">a design on several blanks, each printed and sent when it is sold</span>
      <span class="push row-gap">
        <NButton v-if="design" size="small" type="primary" :disabled="priced.length === 0" @click="draftAll"
          >Draft {{ plural(priced.length, 'listing') }}</NButton
        >
        <NButton size="small" @click="router.push('/supply')">Match desk</NButton>
      </span>
    </header>
    <StageState
      stage="Made to order"
      within
      :ready="blanks !== null"
      bring="Bring in a printer's price list with print areas or prices of a print, and its blanks stand here."
    >
      <EmptyState v-if="blanks?.length === 0" title="No blanks are gathered yet">
        <p class="quiet">
          Bring in a printer's price list as a file: what has print areas, or a price of a print, is a blank.
        </p>
        <NButton type="primary" @click="router.push('/gather')">To Gather</NButton>
      </EmptyState>
      <div v-else class="panes">
        <SidePicks
          label="Designs"
          :picks="picks"
          :model-value="design?.id ?? null"
          @update:model-value="(id) => (chosen = id)"
        >
          <div class="add">
            <AddByName label="Name of a design" placeholder="Name of a design" :add="add" />
            <p v-if="fault" class="small loss" role="alert">{{ fault }}</p>
          </div>
        </SidePicks>
        <section class="panel scroll" tabindex="0" aria-label="Blanks">
          <div v-if="design" class="row-gap head">
            <LineField
              class="name"
              :value="design.name"
              label="Name of the design"
              @change="(name) => told(designs.change(design?.id ?? '', { name: name.trim() }))"
            />
            <HouseSelect
              class="market"
              label="Market"
              :model-value="design.market"
              :options="markets"
              @update:model-value="(m) => m && told(designs.change(design?.id ?? '', { market: m }))"
            />
            <span class="small quiet"
              >where no price is set, the one that leaves {{ percent(settings.value.wantedMargin) }}</span
            >
            <BareButton type="info" class="link small" @click="remove">Remove</BareButton>
          </div>
          <p v-else class="quiet">Name a design at the left, and mark the blanks it goes on.</p>
          <BlankTable
            :design="design"
            :blanks="blanks ?? []"
            :lines="lines ?? []"
            :home="rules.home"
            @toggle="(offer) => design && told(designs.toggle(design.id, offer))"
            @change="(offer, some) => design && told(designs.setBlank(design.id, offer, some))"
          />
        </section>
      </div>
    </StageState>
  </div>
</template>

<style scoped>
.panes {
  --panes: 220px minmax(0, 1fr);
}
.add {
  padding: 10px 12px;
}
section {
  padding: 10px 14px;
}
.head {
  margin-bottom: 8px;
}
.name {
  max-width: 260px;
}
.market {
  width: 150px;
}
</style>
