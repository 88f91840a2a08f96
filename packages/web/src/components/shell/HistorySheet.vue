<script setup lang="ts">
import { mdiClose } from '@mdi/js';
import { computed, nextTick, useTemplateRef, watch } from 'vue';
import { inWords, labelOf } from '@zorvik/core';
import { historyDays } from '../../composables/historyDays.ts';
import { useConnection } from '../../stores/connection.ts';
import { useHistory } from '../../stores/history.ts';
import { usePeople } from '../../stores/people.ts';
import { useSelection } from '../../stores/selection.ts';
import { LONGEST_NAME, useSession } from '../../stores/session.ts';
import { useWorkingCopy } from '../../stores/workingCopy.ts';
import ChoiceRow from '../common/ChoiceRow.vue';
import IconButton from '../common/IconButton.vue';
import LineField from '../common/LineField.vue';
import PersonTag from './PersonTag.vue';
import RefusedList from './RefusedList.vue';

/** What was done, by whom, and what could not be kept. It comes in from the right when the state in the bar is pressed. */
const history = useHistory();
const copy = useWorkingCopy();
const session = useSession();
const people = usePeople();
const connection = useConnection();
const selection = useSelection();
const sheet = useTemplateRef<HTMLElement>('sheet');

const clock = (at: Date): string => at.toLocaleTimeString([], { hour: '2-digit', minute: '2-digit' });
const calendar = (at: Date): string => {
  const isToday = at.toDateString() === new Date().toDateString();
  return isToday ? 'Today' : at.toLocaleDateString([], { weekday: 'long', day: 'numeric', month: 'long', year: 'numeric' });
};
const days = computed(() => historyDays(history.lines, session.id, clock, calendar));
const itemName = computed(() => (copy.document === null || selection.item === null ? null : labelOf(copy.document, selection.item)));
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
  if (typed.trim().length > LONGEST_NAME) return isFinal ? `A name can have up to ${LONGEST_NAME} characters. Shorten it.` : null;
  if (isFinal) session.call(typed);
  return null;
}
</script>

<template>
  <aside v-if="history.isOpen" ref="sheet" class="sheet" tabindex="-1" aria-label="History" @keydown.escape="history.isOpen = false">
    <header>
      <h2>History</h2>
      <IconButton label="Close" :icon="mdiClose" keys="Esc" @press="history.isOpen = false" />
    </header>
    <div class="who">
      <LineField label="Your name (shown to others)" :value="session.name" placeholder="Your name" :keep="callMe" />
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
    <p v-if="history.problem !== null" class="problem" role="alert">{{ history.problem }}</p>
    <p v-else-if="days.length === 0" class="mute">No changes yet. Every change to this site is listed here.</p>
    <section v-if="copy.pending.length > 0">
      <h3>Sending</h3>
      <ol>
        <li v-for="edit in copy.pending.toReversed()" :key="edit.id">
          <span class="words">{{ inWords(edit.sentence) }}</span>
        </li>
      </ol>
    </section>
    <section v-for="{ day, told } in days" :key="day">
      <h3>{{ day }}</h3>
      <ol>
        <li v-for="(one, at) in told" :key="one.id" :class="{ mine: one.isMine }">
          <span class="words">
            {{ one.words }}
            <small class="mute number">{{ one.isMine ? 'you' : one.who }}, {{ one.time }}</small>
          </span>
          <button
            v-if="one.revision < copy.revision && (at > 0 || one.revision !== history.lines[0]?.revision)"
            type="button"
            class="back"
            :aria-label="`Restore this state: ${one.words}`"
            @click="copy.goBack(one.revision)"
          >
            Restore this state
          </button>
        </li>
      </ol>
    </section>
    <button v-if="history.next !== null" type="button" class="plain-button more" @click="history.more()">Show earlier changes</button>
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
h3 {
  margin: 0 0 4px;
  color: var(--mute);
  font-size: 0.75rem;
  font-weight: 600;
}
ol {
  margin: 0;
  padding: 0;
  list-style: none;
}
li {
  display: flex;
  align-items: baseline;
  gap: 10px;
  min-height: 32px;
  padding: 6px 8px;
  margin-inline: -8px;
  border-radius: 6px;
}
li:hover,
li:focus-within {
  background: var(--paper);
}
.words {
  flex: 1;
  min-width: 0;
  overflow-wrap: anywhere;
}
small {
  display: block;
  font-size: 0.75rem;
}
.back {
  flex: none;
  min-height: 24px;
  padding: 0 8px;
  border: 1px solid var(--line);
  border-radius: 6px;
  background: var(--field);
  font-size: 0.75rem;
  opacity: 0;
  cursor: pointer;
}
li:hover .back,
.back:focus-visible {
  opacity: 1;
}
.more {
  align-self: start;
}
.problem {
  padding: 8px 10px;
  border-radius: var(--radius);
  background: var(--brick-tint);
  color: var(--brick);
}
@media (hover: none) {
  .back {
    opacity: 1;
  }
}
</style>
