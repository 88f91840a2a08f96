<script setup lang="ts">
import { mdiClose } from '@mdi/js';
import { computed, nextTick, useTemplateRef, watch } from 'vue';
import { labelOf } from '@zorvik/core';
import { useConnection } from '../../stores/connection.ts';
import { useHistory } from '../../stores/history.ts';
import { usePeople } from '../../stores/people.ts';
import { useSelection } from '../../stores/selection.ts';
import { LONGEST_NAME, useSession } from '../../stores/session.ts';
import { useWorkingCopy } from '../../stores/workingCopy.ts';
import ChoiceRow from '../common/ChoiceRow.vue';
import IconButton from '../common/IconButton.vue';
import LineField from '../common/LineField.vue';
import HistoryDays from './HistoryDays.vue';
import PersonTag from './PersonTag.vue';
import RefusedList from './RefusedList.vue';

/**
 * What was done, by whom, and what could not be kept. It comes in from the right when the state in the bar is
 * pressed.
 */
const history = useHistory();
const copy = useWorkingCopy();
const session = useSession();
const people = usePeople();
const connection = useConnection();
const selection = useSelection();
const sheet = useTemplateRef<HTMLElement>('sheet');

const itemName = computed(() =>
  copy.document === null || selection.item === null ? null : labelOf(copy.document, selection.item),
);
const filter = computed({
  get: () => history.about !== null,
  set: (isItem) => (history.about = isItem ? (selection.item?.id ?? null) : null),
});

watch(
  () => selection.item?.id,
  (id) => {
    if (history.about !== null) history.about = id ?? null;
  },
);
watch(
  () => history.isOpen,
  async (isOpen) => {
    if (!isOpen) return;
    await nextTick();
    sheet.value?.focus();
  },
);

function callMe(typed: string, isFinal: boolean): string | null {
  if (typed.trim().length > LONGEST_NAME)
    return isFinal ? `A name can have up to ${LONGEST_NAME} characters. Shorten it.` : null;
  if (isFinal) session.call(typed);
  return null;
}
</script>

<template>
  <aside
    v-if="history.isOpen"
    ref="sheet"
    class="sheet"
    tabindex="-1"
    aria-label="History"
    @keydown.escape="history.isOpen = false"
  >
    <header>
      <h2>History</h2>
      <IconButton label="Close" :icon="mdiClose" keys="Esc" @press="history.isOpen = false" />
    </header>
    <div class="who">
      <LineField
        label="Your name (shown to others)"
        :value="session.name"
        placeholder="Your name"
        :keep="callMe"
      />
      <p class="mute">
        <template v-if="people.others.length === 0">No one else is here.</template>
        <template v-else>
          Also here:
          <PersonTag v-for="person in people.others" :key="person.session" :person="person" />
        </template>
      </p>
    </div>
    <p v-if="connection.reason !== null" class="problem" role="alert">{{ connection.reason }}</p>
    <RefusedList v-if="copy.refusedEdits.length > 0" />
    <ChoiceRow
      v-if="itemName !== null"
      v-model="filter"
      label="Show"
      :choices="[
        { value: false, label: 'everything' },
        { value: true, label: `“${itemName}”` },
      ]"
    />
    <HistoryDays />
  </aside>
</template>

<style scoped>
.sheet {
  position: fixed;
  z-index: 20;
  inset-block: 46px 0;
  inset-inline-end: 0;
  width: min(420px, 100vw);
  display: flex;
  flex-direction: column;
  gap: 14px;
  padding: 12px 14px 24px;
  overflow: auto;
  border-inline-start: 1px solid var(--line);
  background: var(--sheet);
  box-shadow: var(--shadow);
  outline: none;
  animation: enter 0.16s ease-out;
}
@keyframes enter {
  from {
    transform: translateX(24px);
    opacity: 0;
  }
}
header {
  display: flex;
  align-items: center;
  justify-content: space-between;
}
.who {
  display: grid;
  gap: 8px;
}
.who p {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px;
  font-size: 0.75rem;
}
</style>
