<script setup lang="ts">
/** A chart's figures as a table, for those who cannot see it. */
defineProps<{ caption: string; rows: readonly { label: string; value: string }[] }>()
</script>

<template>
  <table class="sr-only">
    <caption>
      {{
        caption
      }}
    </caption>
    <tbody>
      <tr v-for="(r, i) in rows" :key="i">
        <th>{{ r.label }}</th>
        <td>{{ r.value }}</td>
      </tr>
    </tbody>
  </table>
</template>
