<script setup lang="ts">
import { mdiAlertCircleOutline, mdiCheck, mdiClockOutline, mdiDotsHorizontal } from '@mdi/js';
import { computed } from 'vue';
import { useConnection } from '../../stores/connection.ts';
import { useEditions } from '../../stores/editions.ts';
import { useWorkingCopy } from '../../stores/workingCopy.ts';

const copy = useWorkingCopy();
const editions = useEditions();
const connection = useConnection();

const changes = computed(() => {
  const { count } = editions;
  const number = copy.edition?.number;
  if (number === undefined) return 'not published yet';
  return count === 0 ? `as edition ${number}` : `${count} ${count === 1 ? 'change' : 'changes'} since edition ${number}`;
});
const state = computed(() => {
  const waiting = copy.pending.length;
  if (copy.keeping === 'waiting') {
    const since = connection.awaySince?.toLocaleTimeString([], { hour: '2-digit', minute: '2-digit' }) ?? '';
    const safety = copy.isOutboxKept ? 'safe in this browser' : 'in this tab alone: leave it open';
    const text = `waiting for the server since ${since} (${waiting} ${waiting === 1 ? 'change' : 'changes'}, ${safety})`;
    return { kind: 'waiting', icon: mdiClockOutline, text };
  }
  if (copy.keeping === 'keeping') return { kind: 'keeping', icon: mdiDotsHorizontal, text: 'keeping …' };
  if (copy.refusedEdits.length > 0) return { kind: 'refused', icon: mdiAlertCircleOutline, text: `kept, but ${copy.refusedEdits.length} refused` };
  return { kind: 'kept', icon: mdiCheck, text: 'kept' };
});
</script>

<template>
  <span class="state" :class="state.kind" :data-state="state.kind">
    <svg viewBox="0 0 24 24" width="16" height="16" aria-hidden="true"><path :d="state.icon" fill="currentColor" /></svg>
    <span class="word">{{ state.text }}</span>
    <span class="since">· {{ changes }}</span>
  </span>
</template>

<style scoped>
.state {
  display: flex;
  align-items: center;
  gap: 5px;
  margin-inline-start: 6px;
  font-size: 12px;
  white-space: nowrap;
  color: var(--moss);
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
@media (max-width: 1100px) {
  .since {
    display: none;
  }
}
</style>
