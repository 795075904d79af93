<script setup lang="ts" generic="T extends string | number">
import { NSelect } from 'naive-ui'
import { onMounted, ref, useId, useTemplateRef, watchEffect } from 'vue'

/**
 * One of several, chosen from a list. Naive UI says neither what the box nor what the list is: it is said here, so that whoever does not
 * see it can choose as well. Other properties and events are those of NSelect.
 */
const {
  label,
  options,
  size = 'small',
} = defineProps<{
  /** its name, for those who do not see what it stands beside */
  label: string
  options: readonly { label: string; value: T; title?: string }[]
  size?: 'tiny' | 'small'
}>()
const chosen = defineModel<T | null>({ required: true })
const select = useTemplateRef<{ $el: HTMLElement }>('select')
const list = useId()
const isOpen = ref(false)
onMounted(() => {
  const box = select.value?.$el.querySelector('.n-base-selection-label')
  if (!box) throw new Error('NSelect is built otherwise')
  for (const [name, value] of Object.entries({ role: 'combobox', 'aria-haspopup': 'listbox', 'aria-controls': list }))
    box.setAttribute(name, value)
  watchEffect(() => box.setAttribute('aria-label', label))
  watchEffect(() => box.setAttribute('aria-expanded', String(isOpen.value)))
})
</script>

<template>
  <NSelect
    ref="select"
    v-model:value="chosen"
    :size="size"
    :options="options.map((o) => ({ ...o }))"
    :consistent-menu-width="false"
    :menu-props="{ id: list, role: 'listbox', 'aria-label': label }"
    :node-props="(o) => ({ role: 'option', 'aria-selected': o.value === chosen, title: (o.title as string) ?? '' })"
    :input-props="{ 'aria-hidden': true, tabindex: -1 }"
    @update:show="(open) => (isOpen = open)"
  />
</template>
