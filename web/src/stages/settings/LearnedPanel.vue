<script setup lang="ts">
import { NButton } from 'naive-ui'
import { computed } from 'vue'
import { recordKind, type KindName } from '@sickle/core/records'
import type { ColumnUse } from '@sickle/core/intake'
import { useSettings } from '@/shared/stores/settings'
import PlainTable from '@/shared/widgets/PlainTable.vue'

/** What the seller has corrected in files, by which later files are read; each can be taken back. */
const settings = useSettings()
const learned = computed(() => settings.learned)
const files = computed(() => Object.entries(learned.value.files))

function taken(use: ColumnUse, kind: KindName): string {
  if (use.as === 'tier') return `price from ${use.from}`
  const name = use.as === 'field' ? use.field : ''
  return recordKind(kind).fields.find((f) => f.name === name)?.label ?? 'not used'
}
function answers(file: (typeof files.value)[number][1]): string {
  return [file.market, file.supplier, file.currency, file.kind && recordKind(file.kind).label]
    .filter(Boolean)
    .join(', ')
}
</script>

<template>
  <section aria-label="What files taught">
    <h2>What files taught</h2>
    <p class="small quiet">
      Columns you set right, and what you answered: later files are read by it. Nothing that Sickle only guessed is
      kept.
    </p>
    <p v-if="learned.columns.length === 0 && files.length === 0" class="small">Nothing yet.</p>
    <PlainTable v-else>
      <thead>
        <tr>
          <th>Heading, or file</th>
          <th>Is</th>
          <th>In</th>
          <th><span class="sr-only">Take back</span></th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="c in learned.columns" :key="`${c.kind}/${c.heading}/${c.holds}`">
          <td>{{ c.shown }}</td>
          <td>{{ taken(c.use, c.kind) }}</td>
          <td>{{ recordKind(c.kind).label }}</td>
          <td class="num">
            <NButton size="tiny" :aria-label="`Forget ${c.shown}`" @click="settings.forget(c)">Forget</NButton>
          </td>
        </tr>
        <tr v-for="[shape, f] in files" :key="shape">
          <td>files like {{ f.file }}</td>
          <td>{{ answers(f) || 'dates and numbers as you said' }}</td>
          <td>the whole file</td>
          <td class="num">
            <NButton size="tiny" :aria-label="`Forget files like ${f.file}`" @click="settings.forgetFile(shape)"
              >Forget</NButton
            >
          </td>
        </tr>
      </tbody>
    </PlainTable>
  </section>
</template>
