<script setup lang="ts">
import { Command, Keyboard, Moon, Settings, Sun } from '@lucide/vue'
import { computed } from 'vue'
import { useRoute } from 'vue-router'
import { useDrafts } from '@/shared/stores/drafts'
import { useLive } from '@/shared/stores/live'
import { useQuery } from '@/shared/stores/query'
import { useSettings } from '@/shared/stores/settings'
import { useSheaf } from '@/shared/stores/sheaf'
import { useWorkspace } from '@/shared/stores/workspace'
import { count } from '@/shared/format'
import JobsTray from './JobsTray.vue'
import { stages, type StageEntry } from './stages'
import BareButton from '@/shared/widgets/BareButton.vue'

defineEmits<{ palette: []; help: [] }>()
const workspace = useWorkspace()
const query = useQuery()
const sheaf = useSheaf()
const drafts = useDrafts()
const settings = useSettings()
const live = useLive()
const route = useRoute()

/** kept and held items of which no list says that they may be listed */
const toClear = computed(
  () =>
    live.ofAll([...sheaf.kept, ...sheaf.held]).filter((d) => d.clearing !== null && d.clearing !== 'allowed').length,
)
const remaining = computed<Record<StageEntry['name'], { n: number; unit: string }>>(() => ({
  today: { n: sheaf.held.length + drafts.all.length, unit: 'waiting' },
  gather: { n: workspace.summary.listings, unit: 'listings' },
  demand: { n: workspace.summary.branches, unit: 'branches' },
  finds: { n: query.answer?.matching ?? workspace.summary.items, unit: 'items' },
  rivals: { n: workspace.summary.stores, unit: 'stores' },
  supply: { n: workspace.summary.offers, unit: 'offers' },
  margin: { n: sheaf.kept.length + sheaf.held.length, unit: 'to cost' },
  sheaves: { n: sheaf.kept.length, unit: 'kept' },
  clearing: { n: toClear.value, unit: 'to clear' },
  launch: { n: drafts.all.length, unit: 'drafts' },
}))
/** stages whose count is of what is gathered: while that is first worked out, none is known */
const ofGathered: readonly StageEntry['name'][] = ['gather', 'demand', 'finds', 'rivals', 'supply']
const leftOf = (name: StageEntry['name']) =>
  workspace.isBeginning && ofGathered.includes(name) ? '…' : count(remaining.value[name].n)

/** The band under the labels: as high as what remains, on a log scale, so that a few of thousands still show. */
const band = computed(() => {
  const logs = stages.map((s) => Math.log1p(remaining.value[s.name === 'today' ? 'gather' : s.name].n))
  const most = Math.max(1, ...logs)
  const points = logs.map((l, i) => `${((i + 0.5) / stages.length) * 100},${10 - (l / most) * 9}`)
  return `0,10 0,${points[0]?.split(',')[1]} ${points.join(' ')} 100,${points.at(-1)?.split(',')[1]} 100,10`
})
</script>

<template>
  <header class="row">
    <RouterLink to="/today" class="brand" aria-label="Sickle, to Today">
      <svg viewBox="0 0 32 32" width="26" height="26" aria-hidden="true">
        <path d="M7 18a11 11 0 0 1 19-9 13 13 0 0 0-14 15z" fill="var(--moss)" />
        <path d="m11 22-5 6" stroke="var(--wheat)" stroke-width="4" stroke-linecap="round" />
      </svg>
      <span>Sickle</span>
    </RouterLink>
    <nav aria-label="Stages">
      <RouterLink
        v-for="s in stages"
        :key="s.name"
        :to="s.path"
        class="stage"
        :class="{ here: route.path.startsWith(s.path) }"
        :aria-current="route.path.startsWith(s.path) ? 'page' : undefined"
        :title="`${s.label} (key ${s.key})`"
      >
        <span class="name">{{ s.label }}</span>
        <span class="left">{{ leftOf(s.name) }} {{ remaining[s.name].unit }}</span>
      </RouterLink>
      <svg class="band" viewBox="0 0 100 10" preserveAspectRatio="none" aria-hidden="true">
        <polygon :points="band" />
      </svg>
    </nav>
    <JobsTray />
    <div class="tools">
      <BareButton
        type="tertiary"
        class="tool"
        title="Everything by name (Ctrl K)"
        aria-label="Everything by name"
        @click="$emit('palette')"
      >
        <Command :size="17" aria-hidden="true" />
      </BareButton>
      <BareButton
        type="tertiary"
        class="tool"
        title="Keys of this screen (?)"
        aria-label="Keys of this screen"
        @click="$emit('help')"
      >
        <Keyboard :size="17" aria-hidden="true" />
      </BareButton>
      <BareButton
        type="tertiary"
        class="tool"
        :title="settings.value.theme === 'dark' ? 'Light theme' : 'Dark theme'"
        :aria-label="settings.value.theme === 'dark' ? 'Light theme' : 'Dark theme'"
        @click="settings.change({ theme: settings.value.theme === 'dark' ? 'light' : 'dark' })"
      >
        <Sun v-if="settings.value.theme === 'dark'" :size="17" aria-hidden="true" /><Moon
          v-else
          :size="17"
          aria-hidden="true"
        />
      </BareButton>
      <RouterLink to="/settings" class="tool" title="Settings" aria-label="Settings"
        ><Settings :size="17" aria-hidden="true"
      /></RouterLink>
    </div>
  </header>
</template>

<style scoped>
.row {
  grid-column: 1 / -1;
  display: flex;
  align-items: stretch;
  background: var(--panel);
  border-bottom: 1px solid var(--line);
}
@media (max-width: 900px) {
  .row.row {
    flex-wrap: wrap;
  }
  .row .brand {
    width: auto;
    padding: 4px 10px;
  }
  .row nav {
    order: 3;
    flex: 1 0 100%;
    flex-wrap: wrap;
  }
  .row .stage {
    flex: 1 0 76px;
    padding: 2px 6px;
  }
  .row .left,
  .row .band {
    display: none;
  }
  .row .tools {
    margin-left: auto;
  }
}
.brand {
  display: flex;
  align-items: center;
  gap: 8px;
  width: 186px;
  padding-left: 16px;
  color: var(--ink);
  text-decoration: none;
  font: 650 18px var(--heading);
}
nav {
  position: relative;
  display: flex;
  flex: 1;
}
.stage {
  position: relative;
  z-index: 1;
  flex: 1;
  padding: 8px 14px 0;
  text-decoration: none;
  color: var(--ink);
  border-top: 3px solid transparent;
  line-height: 1.25;
}
.stage:hover {
  background: var(--sunk);
}
.stage.here {
  border-top-color: var(--moss);
}
.stage.here .name {
  color: var(--moss);
}
.name {
  display: block;
  font: 600 14px var(--heading);
}
.left {
  white-space: nowrap;
  font-size: 12px;
  color: var(--quiet);
}
.band {
  position: absolute;
  inset: auto 0 0;
  width: 100%;
  height: 8px;
}
.band polygon {
  fill: var(--bar);
  opacity: 0.7;
}
.tools {
  display: flex;
  align-items: center;
  gap: 2px;
  padding: 0 10px;
}
.tool {
  display: grid;
  place-items: center;
  width: 32px;
  height: 32px;
  border-radius: 6px;
}
.tool:hover {
  background: var(--sunk);
}
</style>
