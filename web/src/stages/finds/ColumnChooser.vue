<script setup lang="ts">
import { NCheckbox } from 'naive-ui'
import { ArrowDown, ArrowUp } from '@lucide/vue'
import { computed } from 'vue'
import { measures, mostStrips, usualStrips } from '@sickle/core/engine'
import { currencySign } from '@/shared/format'
import { useRules } from '@/shared/stores/rules'
import { useSettings } from '@/shared/stores/settings'
import { usualColumns } from '@/storage/settings-form'
import { allColumns } from './columns'
import HousePopover from '@/shared/widgets/HousePopover.vue'
import BareButton from '@/shared/widgets/BareButton.vue'

/** Which measures have a strip above the finds, and which columns the finds have, in which order. */
defineProps<{ hidden: number }>()
const settings = useSettings()
const rules = useRules()
type Part = 'strips' | 'columns'
const offered = computed(() => ({
  strips: measures.map((m) => ({ id: m.name, name: m.label })),
  columns: allColumns(currencySign(rules.home)),
}))
const parts = computed(() =>
  (['strips', 'columns'] as const).map((part) => {
    const chosen = settings.value[part]
    const nameOf = (id: string) => offered.value[part].find((o) => o.id === id)?.name ?? id
    return {
      part,
      title: part === 'strips' ? `Strips (${mostStrips} at most)` : 'Columns',
      full: part === 'strips' && chosen.length >= mostStrips,
      chosen: chosen.map((id) => ({ id, name: nameOf(id) })),
      others: offered.value[part].filter((o) => !chosen.includes(o.id)),
    }
  }),
)
const set = (part: Part, ids: string[]) => void settings.change({ [part]: ids })
const add = (part: Part, id: string) => set(part, [...settings.value[part], id])
const remove = (part: Part, id: string) =>
  set(
    part,
    settings.value[part].filter((v) => v !== id),
  )
function move(part: Part, id: string, by: number) {
  const list = settings.value[part].filter((v) => v !== id)
  list.splice(Math.max(0, settings.value[part].indexOf(id) + by), 0, id)
  set(part, list)
}
function usual() {
  set('strips', [...usualStrips])
  set('columns', [...usualColumns])
}
</script>

<template>
  <HousePopover label="Strips and columns" placement="bottom-start">
    <template #trigger>
      <BareButton
        type="info"
        class="link small"
        aria-label="Strips and columns"
        :title="hidden > 0 ? `Strips and columns; ${hidden} more when there is room` : 'Strips and columns'"
      >
        Columns{{ hidden > 0 ? ` (+${hidden})` : '' }}
      </BareButton>
    </template>
    <h2 class="sr-only">Strips and columns</h2>
    <div class="both">
      <section v-for="p in parts" :key="p.part" :aria-label="p.title">
        <h3>{{ p.title }}</h3>
        <ol>
          <li v-for="(c, i) in p.chosen" :key="c.id">
            <NCheckbox
              class="part"
              size="small"
              checked
              :disabled="p.chosen.length === 1"
              :aria-disabled="p.chosen.length === 1"
              @update:checked="remove(p.part, c.id)"
            >
              {{ c.name }}
            </NCheckbox>
            <BareButton :disabled="i === 0" :aria-label="`${c.name} up`" @click="move(p.part, c.id, -1)">
              <ArrowUp :size="13" aria-hidden="true" />
            </BareButton>
            <BareButton
              :disabled="i === p.chosen.length - 1"
              :aria-label="`${c.name} down`"
              @click="move(p.part, c.id, 1)"
            >
              <ArrowDown :size="13" aria-hidden="true" />
            </BareButton>
          </li>
          <li v-for="o in p.others" :key="o.id" class="quiet">
            <NCheckbox
              class="part"
              size="small"
              :checked="false"
              :disabled="p.full"
              :aria-disabled="p.full"
              @update:checked="add(p.part, o.id)"
            >
              {{ o.name }}
            </NCheckbox>
          </li>
        </ol>
      </section>
      <BareButton type="info" class="link small" @click="usual">As it was at first</BareButton>
    </div>
  </HousePopover>
</template>

<style scoped>
.both {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 6px 26px;
  max-height: 60vh;
  overflow: auto;
  font-size: 13px;
}
ol {
  list-style: none;
  margin: 4px 0 0;
  padding: 0;
}
li {
  display: flex;
  gap: 4px;
  align-items: center;
  min-height: 25px;
}
li button {
  display: grid;
  place-items: center;
  width: 24px;
  height: 24px;
}
.part {
  flex: 1;
}
</style>
