<script setup lang="ts">
import { NButton, NInput } from 'naive-ui'
import { computed, ref } from 'vue'
import { creatorMessage, personStates, type Person } from '@sickle/core/social'
import { useServices } from '@/services/services'
import { day } from '@/shared/format'
import { usePeople } from '@/shared/stores/people'
import { useSheaf } from '@/shared/stores/sheaf'
import { useLatest } from '@/shared/use-latest'
import BareButton from '@/shared/widgets/BareButton.vue'
import HouseModal from '@/shared/widgets/HouseModal.vue'
import HouseSelect from '@/shared/widgets/HouseSelect.vue'
import LetterText from '@/shared/widgets/LetterText.vue'
import LineField from '@/shared/widgets/LineField.vue'
import type { Goods } from './creators-store'

/** Whom to write to about the goods of the open sheaf, how it stands with each, and a message to each. */
const { goods } = defineProps<{ goods: readonly Goods[] }>()
const services = useServices()
const people = usePeople()
const sheaf = useSheaf()
const writing = ref<string | null>(null)
const person = computed(() => people.list.find((p) => p.id === writing.value) ?? null)
const states = personStates.map((s) => ({ value: s, label: s }))
const items = useLatest([() => goods.map((g) => g.key).join('\n'), writing], async () =>
  writing.value === null ? [] : services.engine.call('items', [goods.map((g) => g.key)]),
)
const message = computed(() =>
  person.value === null
    ? ''
    : creatorMessage(
        person.value.name,
        (items.value ?? []).map(({ title, commission }) => ({ title, commission })),
        people.letter,
      ),
)
async function written(p: Person) {
  if (p.state === 'to write') await people.setState(p.id, 'written')
  writing.value = null
}
</script>

<template>
  <section class="panel scroll" tabindex="0" aria-label="To write to">
    <h2>To write to</h2>
    <p class="small quiet">{{ sheaf.current.name }}: creators who are to show its goods.</p>
    <p v-if="people.list.length === 0" class="small quiet">Nobody yet. Open a creator and press “Write to …”.</p>
    <ul v-else>
      <li v-for="p in people.list" :key="p.id" :aria-label="p.name">
        <div class="row-gap">
          <b>{{ p.name }}</b>
          <span class="small quiet since">{{ day(p.on) }}</span>
          <span class="push row-gap">
            <BareButton type="info" class="link small" @click="writing = p.id">Message …</BareButton>
            <BareButton class="cross" :aria-label="`Take ${p.name} off the list`" @click="people.remove(p.id)"
              >×</BareButton
            >
          </span>
        </div>
        <div class="state">
          <HouseSelect
            size="tiny"
            :label="`How it stands with ${p.name}`"
            :model-value="p.state"
            :options="states"
            @update:model-value="(state) => state !== null && people.setState(p.id, state)"
          />
          <LineField
            :value="p.note"
            :label="`Note on ${p.name}`"
            placeholder="Note"
            @change="(n) => people.setNote(p.id, n)"
          />
        </div>
      </li>
    </ul>
    <HouseModal
      :show="person !== null"
      title="Message to a creator"
      :width="720"
      @update:show="(show: boolean) => show || (writing = null)"
    >
      <template v-if="person">
        <p class="small quiet">The words around the goods are kept for the next message; {name} becomes theirs.</p>
        <NInput
          v-for="part in ['opening', 'closing'] as const"
          :key="part"
          class="words"
          type="textarea"
          size="small"
          :autosize="{ minRows: 2, maxRows: 6 }"
          :default-value="people.letter[part]"
          :input-props="{ 'aria-label': `Words of the ${part}` }"
          @change="(text: string) => people.setLetter({ [part]: text })"
        />
        <p v-if="goods.length === 0" class="small caution">
          Nothing is kept in this sheaf: keep what they are to show, and it stands in the message.
        </p>
        <LetterText :to="person.name" :message="message" file="creator" />
        <div class="row-gap end">
          <NButton size="small" type="primary" class="push" @click="written(person)">{{
            person.state === 'to write' ? 'Note it as written today' : 'Close'
          }}</NButton>
        </div>
      </template>
    </HouseModal>
  </section>
</template>

<style scoped>
section {
  padding: 10px 14px;
}
ul {
  list-style: none;
  margin: 6px 0 0;
  padding: 0;
}
li {
  padding: 6px 0;
  border-top: 1px solid var(--line);
}
.state {
  display: grid;
  grid-template-columns: 105px minmax(0, 1fr);
  gap: 6px;
  margin-top: 3px;
}
.since,
.link {
  white-space: nowrap;
}
.words {
  margin-bottom: 8px;
}
.end {
  margin-top: 10px;
}
</style>
