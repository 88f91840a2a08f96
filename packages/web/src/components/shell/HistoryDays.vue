<script setup lang="ts">
import { computed } from 'vue';
import { inWords } from '@zorvik/core';
import { historyDays } from '../../composables/historyDays.ts';
import { clockOf, dayOf } from '../../composables/momentOf.ts';
import { useHistory } from '../../stores/history.ts';
import { useSession } from '../../stores/session.ts';
import { useWorkingCopy } from '../../stores/workingCopy.ts';

/** What was changed, by day, the latest first; any earlier state can be restored. */
const history = useHistory();
const copy = useWorkingCopy();
const session = useSession();

const days = computed(() => historyDays(history.lines, session.id, clockOf, dayOf));
</script>

<template>
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
  <section v-for="{ day, entries } in days" :key="day">
    <h3>{{ day }}</h3>
    <ol>
      <li v-for="(one, at) in entries" :key="one.id" :class="{ mine: one.isMine }">
        <span class="words">
          {{ one.words }}
          <small class="mute number">{{ one.isMine ? 'you' : one.who }}, {{ one.time }}</small>
        </span>
        <button
          v-if="one.revision < copy.revision && (at > 0 || one.revision !== history.lines[0]?.revision)"
          type="button"
          class="back"
          :aria-label="`Restore this state: ${one.words}`"
          @click="history.goBack(one.revision)"
        >
          Restore this state
        </button>
      </li>
    </ol>
  </section>
  <button v-if="history.next !== null" type="button" class="plain-button more" @click="history.more()">
    Show earlier changes
  </button>
</template>

<style scoped>
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
@media (hover: none) {
  .back {
    opacity: 1;
  }
}
</style>
