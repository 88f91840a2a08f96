import { defineStore } from 'pinia';
import { computed, onScopeDispose } from 'vue';
import { mintId, type Id } from '@zorvik/core';
import { putAwayRefused } from '../api/outbox.ts';
import { useConnection } from './connection.ts';
import { bursts } from './copy/bursts.ts';
import { catchingUp } from './copy/catchingUp.ts';
import { openCopy } from './copy/openCopy.ts';
import { performing } from './copy/performing.ts';
import { undoing } from './copy/undoing.ts';
import { useNotices } from './notices.ts';
import { cryptoRandom, useSession } from './session.ts';

/** Where the person's edits are: on the server, on their way, or waiting for the server to answer. */
export type Keeping = 'kept' | 'keeping' | 'waiting';

/**
 * The site being edited: the server's document with the pending edits replayed on it. An edit is applied here at
 * once and put in the outbox; the browser's postman sends it, and what comes back is applied below it. The rules
 * are core's (`WorkingCopy`).
 */
export const useWorkingCopy = defineStore('workingCopy', () => {
  const session = useSession();
  const notices = useNotices();
  const connection = useConnection();
  const opened = openCopy(session, connection);
  const { siteKey, copy, edition, refusedEdits, news, isOutboxKept, loadProblem, stored, document, epoch } =
    opened;
  const burst = bursts(
    () => performance.now(),
    () => mintId('edit', cryptoRandom),
  );
  const { attempt, perform, performAll } = performing(opened, burst, session, notices);
  const { canUndo, canRedo, takeBack, skipping } = undoing(opened, burst, session, notices);
  const { open, catchUp, heard } = catchingUp(opened, skipping, session, connection, notices);
  onScopeDispose(connection.hear(heard));

  const revision = computed(() => copy.value?.served.revision ?? 0);
  const pending = computed(() => copy.value?.pending ?? []);
  const keeping = computed<Keeping>(() =>
    pending.value.length === 0 ? 'kept' : connection.awaySince === null ? 'keeping' : 'waiting',
  );

  async function putAway(id: Id): Promise<void> {
    await putAwayRefused(id);
    refusedEdits.value = refusedEdits.value.filter(({ edit }) => edit.id !== id);
  }

  return {
    siteKey,
    /** With what is followed filled in. */
    document,
    /** As it is stored. */
    stored,
    edition,
    epoch,
    revision,
    pending,
    news,
    refusedEdits,
    keeping,
    isOutboxKept,
    loadProblem,
    canUndo,
    canRedo,
    open,
    attempt,
    perform,
    performAll,
    undo: () => takeBack('undo'),
    redo: () => takeBack('redo'),
    catchUp,
    putAway,
  };
});
