<script setup lang="ts">
import { computed } from 'vue'
import { recordKind, type Field } from '@sickle/core/records'
import { isoDay } from '@sickle/core/identity'
import type { RowValue } from '@sickle/core/tables'
import { amount, percent, plural } from '@/shared/format'
import { useGather } from './gather-store'
import PlainTable from '@/shared/widgets/PlainTable.vue'

const gather = useGather()
const now = computed(() => gather.current!)
const shown = computed(() => {
  const used = new Set(now.value.mapping.columns.flatMap((c) => (c.as === 'field' ? [c.field] : [])))
  return recordKind(now.value.mapping.kind).fields.filter(
    (f) => used.has(f.name) || (f.name === 'tiers' && now.value.mapping.columns.some((c) => c.as === 'tier')),
  )
})
function show(field: Field, value: RowValue | undefined, currency: RowValue | undefined): string {
  if (value === null || value === undefined) return '–'
  const code = typeof currency === 'string' ? currency : 'EUR'
  if (field.type === 'money') return amount(value as number, code)
  if (field.type === 'day') return isoDay(value as number)
  if (field.type === 'ratio') return percent(value as number, 1)
  if (field.type === 'tiers')
    return String(value)
      .split(';')
      .map((t) => {
        const [q, p] = t.split(':')
        return `${q}: ${amount(Number(p), code)}`
      })
      .join('  ')
  return String(value)
}
const right = (f: Field) => ['money', 'count', 'ratio', 'rating', 'lead', 'weight'].includes(f.type)
</script>

<template>
  <div tabindex="0" role="region" aria-label="As it will be read">
    <p class="cap small">
      <b>As it will be read</b>{{ ' '
      }}<span v-if="gather.preview" class="quiet"
        >· of the first rows {{ gather.preview.taken }} can be taken<template v-if="gather.preview.rejected.length"
          >, {{ gather.preview.rejected.length }} cannot</template
        ></span
      >
    </p>
    <PlainTable>
      <thead>
        <tr>
          <th class="num">Row</th>
          <th v-for="f in shown" :key="f.name" :class="{ num: right(f) }">{{ f.label }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="r in gather.preview?.rows" :key="r.row">
          <td class="num quiet">{{ r.row }}</td>
          <td v-if="r.rejected" :colspan="shown.length" class="loss">cannot be taken: {{ r.rejected }}</td>
          <template v-else
            ><td v-for="f in shown" :key="f.name" :class="{ num: right(f) }">
              <span class="cell">{{ show(f, r.record?.[f.name], r.record?.currency) }}</span>
            </td></template
          >
        </tr>
        <tr
          v-for="r in gather.preview?.rejected.filter((x) => !gather.preview?.rows.some((y) => y.row === x.row))"
          :key="`x${r.row}`"
        >
          <td class="num quiet">{{ r.row }}</td>
          <td :colspan="shown.length" class="loss">cannot be taken: {{ r.reason }}</td>
        </tr>
      </tbody>
    </PlainTable>
    <p v-if="gather.preview?.rows[0]?.days" class="cap small quiet">
      Each row holds {{ plural(gather.preview.rows[0].days, 'day') }}.
    </p>
  </div>
</template>

<style scoped>
.cap {
  padding: 8px 10px 4px;
}
.cell {
  display: inline-block;
  max-width: 220px;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
  vertical-align: bottom;
}
.loss {
  font-weight: 400;
}
</style>
