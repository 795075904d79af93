<script setup lang="ts">
import { useEventListener } from '@vueuse/core'
import { useMessage } from 'naive-ui'
import { computed, onErrorCaptured, onMounted, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { describePlan, kindOfPlan } from '@sickle/core/scan'
import { plural } from '@/shared/format'
import { toProblem } from '@/shared/problem'
import { useDesigns } from '@/shared/stores/designs'
import { useDrafts } from '@/shared/stores/drafts'
import { useJudgements } from '@/shared/stores/judgements'
import { useVisits } from '@/shared/stores/visits'
import { usePool } from '@/shared/stores/pool'
import { useAdCuts } from '@/shared/stores/ad-cuts'
import { usePeople } from '@/shared/stores/people'
import { useQuotes } from '@/shared/stores/quotes'
import { useQuery } from '@/shared/stores/query'
import { useRules } from '@/shared/stores/rules'
import { useScans } from '@/shared/stores/scans'
import { wantPictures } from '@/shared/picture-copies'
import { useScenarios } from '@/shared/stores/scenarios'
import { useSettings } from '@/shared/stores/settings'
import { useSheaf } from '@/shared/stores/sheaf'
import { useStoreCuts } from '@/shared/stores/store-cuts'
import { useTrail } from '@/shared/stores/trail'
import { useWriteLock } from '@/shared/stores/write-lock'
import { useWorkspace } from '@/shared/stores/workspace'
import { useKeys } from '@/shared/use-keys'
import { useUndo } from '@/shared/use-undo'
import AskDialog from './AskDialog.vue'
import CommandPalette from './CommandPalette.vue'
import PictureFinds from './PictureFinds.vue'
import DropAnywhere from './DropAnywhere.vue'
import KeysHelp from './KeysHelp.vue'
import SheafStrip from './SheafStrip.vue'
import { stages } from './stages'
import StandingNotes from './StandingNotes.vue'
import FollowBar from './FollowBar.vue'
import TheRow from './TheRow.vue'
import TheTrail from './TheTrail.vue'
import BareButton from '@/shared/widgets/BareButton.vue'

const workspace = useWorkspace()
const writeLock = useWriteLock()
const settings = useSettings()
const scans = useScans()
const sheaf = useSheaf()
const rules = useRules()
const undo = useUndo()
const route = useRoute()
const router = useRouter()
const message = useMessage()
const palette = ref(false)
const help = ref(false)
const fatal = ref<string | null>(null)

const documents = [settings, rules, sheaf, useQuery(), useDrafts(), useVisits(), useTrail(), useJudgements()]
const stores = [
  ...documents,
  usePool(),
  useStoreCuts(),
  useScenarios(),
  useQuotes(),
  useDesigns(),
  usePeople(),
  useAdCuts(),
]
onMounted(async () => {
  try {
    await writeLock.begin()
    await Promise.all(stores.map((s) => s.load()))
    if (settings.value.pictures) await wantPictures(true).catch(() => [])
    await scans.load()
    await workspace.reload()
    await workspace.audit()
  } catch (thrown) {
    fatal.value = toProblem(thrown).message
  }
})
onErrorCaptured((error) => {
  show(error)
  return false
})
function show(thrown: unknown) {
  const problem = toProblem(thrown)
  if (problem.code !== 'cancelled') message.error(problem.message, { closable: true, duration: 0 })
}
watch(
  () => scans.finished,
  (scan) =>
    scan &&
    message.success(`Scan of ${describePlan(scan.plan)} done: ${plural(scan.taken, ...kindOfPlan(scan.plan).noun)}`, {
      closable: true,
    }),
)
useEventListener(window, 'unhandledrejection', (event) => show(event.reason))
useEventListener(window, 'error', (event) => show(event.error))

// What is taken back in the rules of money changes every figure that follows from them.
watch(
  () => rules.moved,
  () => void workspace.follow(),
)

const fold = () => void settings.change({ sideFolded: !settings.value.sideFolded })
const foldWord = computed(() => (settings.value.sideFolded ? 'Unfold' : 'Fold'))

useKeys('Everywhere', [
  ...stages.map((s) => ({ key: s.key, label: `Open ${s.label}`, run: () => void router.push(s.path) })),
  { key: 'ctrl+k', label: 'Everything by name', always: true, run: () => (palette.value = true) },
  { key: '?', label: 'Keys of this screen', run: () => (help.value = true) },
  { key: 'ctrl+z', label: 'Undo the last step', run: () => void undo.undo() },
  { key: 'ctrl+y', label: 'Redo it', run: () => void undo.redo() },
  { key: '[', label: 'Fold or unfold the left pane', run: () => fold() },
])
</script>

<template>
  <div class="frame" :class="{ folded: settings.value.sideFolded, sided: Boolean(route.matched[0]?.components?.side) }">
    <a class="skip" href="#stage">Skip to the stage</a>
    <TheRow @palette="palette = true" @help="help = true" />
    <aside class="side scroll" aria-label="Trail and limits">
      <BareButton
        type="tertiary"
        class="fold"
        :aria-expanded="!settings.value.sideFolded"
        :title="`${foldWord} this pane ([)`"
        :aria-label="`${foldWord} this pane`"
        @click="fold"
      >
        {{ settings.value.sideFolded ? '»' : '«' }}
      </BareButton>
      <div v-show="!settings.value.sideFolded">
        <TheTrail />
        <RouterView name="side" />
      </div>
    </aside>
    <main id="stage" tabindex="-1">
      <StandingNotes />
      <div v-if="fatal" class="fatal" role="alert">
        <h2>Sickle cannot open its workspace</h2>
        <p>{{ fatal }}</p>
      </div>
      <div v-else class="stage"><RouterView /></div>
    </main>
    <FollowBar v-if="writeLock.role === 'follower'" />
    <SheafStrip v-else />
    <DropAnywhere />
    <CommandPalette v-model:show="palette" />
    <PictureFinds />
    <KeysHelp v-model:show="help" />
    <AskDialog />
  </div>
</template>

<style scoped>
.frame {
  display: grid;
  grid-template: 56px minmax(0, 1fr) 44px / minmax(0, 1fr);
  height: 100vh;
}
.frame.sided {
  grid-template-columns: 186px minmax(0, 1fr);
}
.frame.sided.folded {
  grid-template-columns: 26px minmax(0, 1fr);
}
.fold {
  position: absolute;
  right: 0;
  top: 8px;
  width: 24px;
  text-align: center;
}
.side {
  position: relative;
  display: none;
  border-right: 1px solid var(--line);
}
.sided .side {
  display: block;
}
main {
  display: flex;
  flex-direction: column;
  min-width: 0;
  min-height: 0;
  outline: none;
}
.stage {
  flex: 1;
  min-height: 0;
}
.skip {
  position: absolute;
  left: -999px;
}
.skip:focus {
  left: 8px;
  top: 8px;
  z-index: 9;
  background: var(--panel);
  padding: 4px 8px;
}
.fatal {
  max-width: 520px;
  margin: 12vh auto;
  display: grid;
  gap: 8px;
}
/* A small window, or a page seen at twice its size: what stands side by side stands one below the other. */
@media (max-width: 900px) {
  .frame,
  .frame.sided,
  .frame.sided.folded {
    grid-template: auto auto minmax(0, 1fr) auto / minmax(0, 1fr);
  }
  .frame:not(.sided) {
    grid-template-rows: auto minmax(0, 1fr) auto;
  }
  .frame .side {
    max-height: 30vh;
    min-height: 26px;
  }
}
/* What is printed is the stage alone, whole. */
@media print {
  .frame,
  .frame.sided {
    display: block;
    height: auto;
  }
  .frame.frame > *:not(main) {
    display: none;
  }
  main,
  .stage {
    height: auto;
    overflow: visible;
  }
}
</style>
