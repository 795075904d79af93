<script setup lang="ts">
import { GitBranch, ListFilter, Package, Search, Store } from '@lucide/vue'
import { decidedWords, useSheaf } from '@/shared/stores/sheaf'
import { useTrail, type TrailPlace } from '@/shared/stores/trail'
import { useFollow } from '@/shared/use-follow'
import BareButton from '@/shared/widgets/BareButton.vue'

/** The path walked, as a tree: a way that goes straight on stays in line, a second way from a stop moves one in. */
const trail = useTrail()
const sheaf = useSheaf()
const follow = useFollow()
const icons = { branch: GitBranch, term: Search, finds: ListFilter, store: Store, item: Package }
const words = { branch: 'category', term: 'term', finds: 'finds', store: 'store', item: 'item' }
const decisionOf = (place: TrailPlace) => (place.kind === 'item' ? sheaf.decisionOf(place.key)?.state : undefined)
</script>

<template>
  <nav v-if="trail.lines.length" class="trail" aria-label="Trail">
    <h3>
      Trail
      <BareButton type="info" class="small" title="Forget the whole Trail" @click="trail.forget()">Forget</BareButton>
    </h3>
    <ol class="scroll">
      <li v-for="line in trail.lines" :key="line.id" :style="{ paddingLeft: `${6 + Math.min(line.lane, 6) * 10}px` }">
        <BareButton
          class="stop"
          :class="[
            line.place.kind,
            { here: line.id === trail.trail.here, side: line.from !== null && line.from !== line.lane },
          ]"
          :aria-current="line.id === trail.trail.here ? 'step' : undefined"
          :title="`${words[line.place.kind]}: ${line.place.label}`"
          @click="follow.stop(line.id)"
        >
          <component :is="icons[line.place.kind]" :size="13" aria-hidden="true" />
          <span class="label">{{ line.place.label }}</span>
          <span v-if="decisionOf(line.place)" class="mark decided" :class="decisionOf(line.place)">{{
            decidedWords[decisionOf(line.place)!]
          }}</span>
        </BareButton>
      </li>
    </ol>
  </nav>
</template>

<style scoped>
.trail {
  padding: 12px 10px 8px;
  border-bottom: 1px solid var(--line);
}
h3 {
  display: flex;
  justify-content: space-between;
  padding: 0 22px 4px 6px;
}
h3 button {
  font-family: var(--text);
  font-weight: 400;
}
ol {
  list-style: none;
  margin: 0;
  padding: 0;
  max-height: 38vh;
}
.stop {
  position: relative;
  display: flex;
  align-items: center;
  gap: 6px;
  width: 100%;
  padding: 2px 4px;
  font-size: 12.5px;
  border-radius: 5px;
}
.stop:hover {
  background: var(--sunk);
}
.stop svg {
  flex: none;
  color: var(--quiet);
}
.stop.side::before {
  content: '';
  position: absolute;
  left: -6px;
  top: 0;
  bottom: 50%;
  width: 8px;
  border-left: 1px solid var(--quiet);
  border-bottom: 1px solid var(--quiet);
}
.label {
  flex: 1;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.here {
  background: var(--slate-soft);
  color: var(--slate);
  font-weight: 600;
}
.mark {
  font-size: 11px;
}
</style>
