<script setup lang="ts">
import { computed } from 'vue'
import { currencySign, signed } from '@/shared/format'
import type { Costing } from './use-costing'

const { costing, home } = defineProps<{ costing: Costing; home: string }>()
const now = computed(() => costing.sheet.value?.profitE4 ?? 0)
const most = computed(() =>
  Math.max(
    1,
    ...costing.swings.value.flatMap((s) => [Math.abs(s.lowerE4 - now.value), Math.abs(s.higherE4 - now.value)]),
  ),
)
const part = (e4: number) => (Math.abs(e4 - now.value) / most.value) * 50
</script>

<template>
  <section aria-label="What moves the profit most">
    <h3>What moves the profit most, {{ currencySign(home) }}</h3>
    <p class="small quiet">
      profit when one input is a tenth <span class="lower">lower</span> or <span class="higher">higher</span>
    </p>
    <table>
      <tbody>
        <tr v-for="s in costing.swings.value" :key="s.input">
          <th scope="row">{{ s.label }}</th>
          <td class="num">{{ signed(Math.min(s.lowerE4, s.higherE4), home) }}</td>
          <td class="bars">
            <span
              v-for="[e4, kind] in [
                [s.lowerE4, 'lower'],
                [s.higherE4, 'higher'],
              ] as const"
              :key="kind"
              :class="kind"
              :style="{ left: e4 < now ? `${50 - part(e4)}%` : '50%', width: `${part(e4)}%` }"
            />
          </td>
          <td class="num">{{ signed(Math.max(s.lowerE4, s.higherE4), home) }}</td>
        </tr>
      </tbody>
    </table>
  </section>
</template>

<style scoped>
table {
  width: 100%;
  border-collapse: collapse;
  font-size: 13px;
}
th {
  font-weight: 400;
  text-align: left;
  white-space: nowrap;
}
td,
th {
  padding: 2px 6px 2px 0;
}
.bars {
  position: relative;
  width: 45%;
  height: 18px;
  background: linear-gradient(var(--line), var(--line)) center / 1px 100% no-repeat;
}
.bars span {
  position: absolute;
  top: 3px;
  bottom: 3px;
}
.bars .lower {
  background: var(--wheat);
}
.bars .higher {
  background: var(--slate);
}
p .lower {
  color: var(--wheat-ink);
  font-weight: 600;
}
p .higher {
  color: var(--slate);
  font-weight: 600;
}
</style>
