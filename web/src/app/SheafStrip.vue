<script setup lang="ts">
import { NButton, NDropdown, NInput } from 'naive-ui'
import { computed, ref } from 'vue'
import { useRouter } from 'vue-router'
import { expectedMonthly } from '@sickle/core/verdict'
import { count, currencySign, signed } from '@/shared/format'
import { useLive } from '@/shared/stores/live'
import { useRules } from '@/shared/stores/rules'
import { useSheaf } from '@/shared/stores/sheaf'
import { useUndo } from '@/shared/use-undo'
import GoodsPicture from '@/shared/widgets/GoodsPicture.vue'
import HouseModal from '@/shared/widgets/HouseModal.vue'
import BareButton from '@/shared/widgets/BareButton.vue'

const sheaf = useSheaf()
const rules = useRules()
const router = useRouter()
const live = useLive()
const undo = useUndo()
const kept = computed(() => live.ofAll(sheaf.kept))
const expected = computed(() => expectedMonthly(kept.value))
const assumed = computed(() => kept.value.some((k) => k.assumed.length > 0))
const naming = ref(false)
const name = ref('')
const options = computed(() => [
  ...sheaf.all.map((s) => ({ key: s.id, label: s.name })),
  { type: 'divider' as const, key: 'd' },
  { key: 'new', label: 'New sheaf …' },
])
function choose(key: string) {
  if (key === 'new') {
    name.value = ''
    naming.value = true
  } else void sheaf.openSheaf(key)
}
async function add() {
  naming.value = false
  await sheaf.add(name.value)
}
</script>

<template>
  <footer class="strip">
    <NDropdown trigger="click" :options="options" placement="top-start" @select="choose">
      <BareButton class="name" title="Choose or make a sheaf">
        {{ sheaf.current.name }}&ensp;<span aria-hidden="true">▴</span>
      </BareButton>
    </NDropdown>
    <span class="quiet small"
      >sheaf, {{ count(sheaf.kept.length) }} kept · {{ count(sheaf.held.length) }} held ·
      {{ count(sheaf.dropped.length) }} dropped</span
    >
    <div class="thumbs" aria-hidden="true">
      <GoodsPicture
        v-for="d in sheaf.kept.slice(-10)"
        :key="d.key"
        :src="d.snapshot.picture"
        :title="d.snapshot.title"
        :size="26"
      />
    </div>
    <span class="spring" />
    <span
      v-if="sheaf.kept.length"
      class="expected"
      title="Profit per sale × units in 30 days ÷ (listings + 1), summed over kept items"
    >
      <template v-if="expected.known === 0"><span class="quiet">expected profit not known yet</span></template>
      <template v-else>
        expected profit
        <b :class="expected.e4 < 0 ? 'loss' : 'profit'"
          >{{ currencySign(rules.home) }} {{ signed(expected.e4, rules.home) }}</b
        >
        a month
        <span class="quiet">
          ○ if sales are shared evenly{{ assumed ? ', with what is assumed' : ''
          }}{{ expected.known < expected.of ? `; ${expected.of - expected.known} not known` : '' }}</span
        >
      </template>
    </span>
    <NButton
      size="small"
      :disabled="!undo.canUndo.value"
      :title="undo.canUndo.value ? `Take back: ${undo.label.value}` : ''"
      @click="undo.undo()"
      >Undo&nbsp;<kbd>Ctrl Z</kbd></NButton
    >
    <NButton size="small" :disabled="!undo.canRedo.value" aria-label="Redo" @click="undo.redo()">Redo</NButton>
    <NButton size="small" type="primary" :disabled="!sheaf.kept.length" @click="router.push('/launch')"
      >Draft listings</NButton
    >
    <HouseModal v-model:show="naming" title="New sheaf" :width="380">
      <form class="row-gap" @submit.prevent="add">
        <NInput
          v-model:value="name"
          placeholder="A niche, a store, a season"
          :input-props="{ 'aria-label': 'Name of the sheaf' }"
          autofocus
        />
        <NButton type="primary" attr-type="submit">Make</NButton>
      </form>
    </HouseModal>
  </footer>
</template>

<style scoped>
.strip {
  grid-column: 1 / -1;
  display: flex;
  align-items: center;
  gap: 12px;
  padding: 0 16px;
  background: var(--panel);
  border-top: 1px solid var(--line);
  white-space: nowrap;
  overflow: hidden;
}
@media (max-width: 900px) {
  .strip.strip {
    flex-wrap: wrap;
    gap: 4px 8px;
    padding: 2px 8px;
    white-space: normal;
  }
  .strip .thumbs,
  .strip .expected {
    display: none;
  }
}
.name {
  font: 650 15px var(--heading);
}
.thumbs {
  display: flex;
  gap: 3px;
}
.spring {
  flex: 1;
}
.expected {
  font-size: 13px;
  overflow: hidden;
  text-overflow: ellipsis;
}
</style>
