<script setup lang="ts">
import { mdiAlertCircleOutline, mdiCheck, mdiClockOutline, mdiDotsHorizontal } from '@mdi/js';
import { clockOf } from '../../composables/momentOf.ts';
import { computed } from 'vue';
import { counted } from '@zorvik/core';
import { useConnection } from '../../stores/connection.ts';
import { useEditions } from '../../stores/editions.ts';
import { useHistory } from '../../stores/history.ts';
import { useWorkingCopy } from '../../stores/workingCopy.ts';

/** Whether the changes are saved: true at every moment. Pressing it opens the history. */
const copy = useWorkingCopy();
const connection = useConnection();
const editions = useEditions();
const history = useHistory();

const changes = computed(() => {
  const { count } = editions;
  const number = copy.edition?.number;
  if (number === undefined) return 'not published yet';
  return count === 0 ? `edition ${number} is live` : `${changesIn(count)} since edition ${number}`;
});
const since = computed(() => (connection.awaySince === null ? '' : clockOf(connection.awaySince)));
const state = computed(() => {
  const { keeping, pending, refusedEdits } = copy;
  if (keeping === 'waiting') {
    const safety = copy.isOutboxKept ? 'safe in this browser' : 'only in this tab: keep it open';
    return {
      kind: 'waiting',
      icon: mdiClockOutline,
      text: `offline since ${since.value} (${changesIn(pending.length)}, ${safety})`,
    };
  }
  if (connection.awaySince !== null)
    return { kind: 'waiting', icon: mdiClockOutline, text: `saved; offline since ${since.value}` };
  if (keeping === 'keeping') return { kind: 'keeping', icon: mdiDotsHorizontal, text: 'saving …' };
  if (refusedEdits.length > 0)
    return {
      kind: 'refused',
      icon: mdiAlertCircleOutline,
      text: `${changesIn(refusedEdits.length)} not saved`,
    };
  return { kind: 'kept', icon: mdiCheck, text: 'saved' };
});

function changesIn(count: number): string {
  return counted(count, '# change', '# changes');
}
</script>

<template>
  <button
    type="button"
    class="state"
    :class="state.kind"
    :data-state="state.kind"
    :aria-expanded="history.isOpen"
    :title="`${connection.reason ?? state.text} Show history`"
    @click="history.isOpen = !history.isOpen"
  >
    <svg viewBox="0 0 24 24" width="16" height="16" aria-hidden="true">
      <path :d="state.icon" fill="currentColor" />
    </svg>
    <span class="word">{{ state.text }}</span>
    <span v-if="state.kind !== 'waiting'" class="since">· {{ changes }}</span>
  </button>
</template>

<style scoped>
.state {
  display: flex;
  align-items: center;
  gap: 5px;
  min-width: 0;
  min-height: 30px;
  margin-inline-start: 2px;
  padding: 0 8px;
  border: 0;
  border-radius: var(--radius);
  background: none;
  font-size: 0.75rem;
  white-space: nowrap;
  color: var(--moss);
  cursor: pointer;
}
.state svg {
  flex: none;
}
.state:hover,
.state[aria-expanded='true'] {
  background: var(--paper-deep);
}
.state.keeping {
  color: var(--mute);
}
.state.waiting {
  color: var(--ochre);
}
.state.refused {
  color: var(--brick);
}
.since {
  overflow: hidden;
  text-overflow: ellipsis;
}
.word {
  overflow: hidden;
  text-overflow: ellipsis;
}
/* Whether work is saved is said whole; how much has changed since gives way. */
:is(.kept, .keeping) .word {
  flex: none;
}
@media (max-width: 1100px) {
  .since {
    display: none;
  }
}
@media (max-width: 760px) {
  .state {
    flex: 1;
    justify-content: end;
  }
}
</style>
