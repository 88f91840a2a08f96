import { defineStore } from 'pinia';
import { computed, ref, shallowRef } from 'vue';
import {
  applyEdit,
  inWords,
  newHistory,
  nextRedo,
  nextUndo,
  no,
  readStored,
  rebaseEdit,
  refusal,
  undoEdit,
  withEdit,
  mintId,
  type CommandContext,
  type Edit,
  type History,
  type LoggedEdit,
  type Refusal,
  type Result,
  type SiteDocument,
} from '@zorvik/core';
import { routes, type EditionSummary } from '@zorvik/contract';
import { ask } from '../api/client.ts';
import { editsInOutbox, putInOutbox, takeFromOutbox } from '../api/outbox.ts';
import { useNotices } from './notices.ts';
import { cryptoRandom, useSession } from './session.ts';

/** How it stands with what the person did: on the server, on its way, or waiting for the server to answer. */
export type Keeping = 'kept' | 'keeping' | 'waiting';

/** What could not be kept: the edit and the reason, for the person to read. */
export interface RefusedEdit {
  readonly edit: Edit;
  readonly refusal: Refusal;
}

const FIRST_WAIT = 500;
const LONGEST_WAIT = 8000;

/**
 * The site being edited: the server's document with the edits on their way replayed on it. An edit is applied here at once, put in
 * the outbox, and sent one at a time in order; what comes back is applied below it.
 */
export const useWorkingCopy = defineStore('workingCopy', () => {
  const session = useSession();
  const notices = useNotices();
  const siteKey = ref<string | null>(null);
  const document = shallowRef<SiteDocument | null>(null);
  const edition = shallowRef<EditionSummary | null>(null);
  const revision = ref(0);
  const pending = shallowRef<readonly Edit[]>([]);
  const log = shallowRef<readonly LoggedEdit[]>([]);
  const refusedEdits = shallowRef<readonly RefusedEdit[]>([]);
  const keeping = ref<Keeping>('kept');
  const waitingSince = ref<Date | null>(null);
  const isOutboxKept = ref(true);
  const loadProblem = ref<string | null>(null);
  let served: SiteDocument | null = null;
  let isSending = false;
  let wait = FIRST_WAIT;
  let retry: ReturnType<typeof setTimeout> | undefined;

  const history = computed<History>(() => [...log.value, ...pending.value].reduce(withEdit, newHistory(session.id)));
  const canUndo = computed(() => nextUndo(history.value).length > 0);
  const canRedo = computed(() => nextRedo(history.value).length > 0);

  async function open(key: string): Promise<void> {
    if (siteKey.value === key && document.value !== null) return;
    clearTimeout(retry);
    siteKey.value = key;
    document.value = null;
    loadProblem.value = null;
    const answer = await ask(routes.readSite, { params: { siteKey: key } });
    if (siteKey.value !== key) return;
    if (answer.kind === 'away') {
      loadProblem.value = 'The server does not answer. This page asks again by itself.';
      retry = setTimeout(() => {
        siteKey.value = null;
        void open(key);
      }, 2000);
      return;
    }
    if (answer.kind === 'refused') {
      loadProblem.value = answer.refusal.message;
      return;
    }
    served = readStored(answer.value.document);
    revision.value = answer.value.revision;
    edition.value = answer.value.edition;
    refusedEdits.value = [];
    log.value = await ownLog(key, session.firstSeen(key, answer.value.revision));
    await adoptOutbox(key);
    replay();
    void send();
  }

  /** What this session did before a reload, with what others did since: undo needs both. */
  async function ownLog(key: string, since: number): Promise<readonly LoggedEdit[]> {
    if (since >= revision.value) return [];
    const answer = await ask(routes.readEdits, { params: { siteKey: key }, query: { since } });
    return answer.kind === 'reply' ? answer.value.edits : [];
  }

  /** Edits that never arrived, from this tab or one that was closed: led through what came between, and sent again. */
  async function adoptOutbox(key: string): Promise<void> {
    const kept = await editsInOutbox(key);
    const base = Math.min(revision.value, ...kept.map((edit) => edit.base));
    const answer = base < revision.value ? await ask(routes.readEdits, { params: { siteKey: key }, query: { since: base } }) : null;
    const since = answer?.kind === 'reply' ? answer.value.edits : [];
    const arrived = new Set(since.map((edit) => edit.id));
    await takeFromOutbox(arrived);
    pending.value = kept
      .filter((edit) => !arrived.has(edit.id))
      .map((edit) => {
        const foreign = since.filter((one) => one.revision > edit.base && one.session !== edit.session);
        return { ...rebaseEdit(edit, foreign), base: revision.value };
      });
  }

  /** Shows the server's document with the pending edits on it; those that no longer apply are refused, and told. */
  function replay(): void {
    if (served === null) return;
    let current = served;
    const standing: Edit[] = [];
    for (const edit of pending.value) {
      const applied = applyEdit(current, edit);
      if (applied.ok) {
        current = applied.value.document;
        standing.push(applied.value.edit);
      } else setAside(edit, applied.refusal);
    }
    pending.value = standing;
    document.value = current;
  }

  function setAside(edit: Edit, reason: Refusal): void {
    refusedEdits.value = [...refusedEdits.value, { edit, refusal: reason }];
    notices.refuse(`Not kept: ${inWords(edit.sentence)}. ${reason.message}`);
    void takeFromOutbox(new Set([edit.id]));
  }

  function context(): CommandContext {
    if (document.value === null) throw new Error('No site is open.');
    return { document: document.value, base: revision.value, session: session.id, random: cryptoRandom };
  }

  /** Tries a command without doing it: buttons ask this to know whether they can be pressed, and why not. */
  function attempt(command: (context: CommandContext) => Result<Edit>): Result<Edit> {
    return document.value === null ? no(refusal('nothingChosen')) : command(context());
  }

  /** Does what a command gives: at once here, for good on the server. A refusal is shown and changes nothing. */
  function perform(command: (context: CommandContext) => Result<Edit>): Result<Edit> {
    const result = attempt(command);
    if (!result.ok) {
      notices.refuse(result.refusal.message);
      return result;
    }
    const applied = applyEdit(context().document, result.value);
    if (!applied.ok) throw new Error(`A command gave an edit that does not apply: ${applied.refusal.message}`);
    document.value = applied.value.document;
    pending.value = [...pending.value, applied.value.edit];
    keeping.value = keeping.value === 'waiting' ? 'waiting' : 'keeping';
    notices.say(inWords(result.value.sentence));
    const key = siteKey.value;
    if (key !== null) void keep(key, applied.value.edit);
    return result;
  }

  /** First into the outbox, then to the server: whatever happens in between, one of them has it. */
  async function keep(key: string, edit: Edit): Promise<void> {
    isOutboxKept.value = await putInOutbox(key, edit);
    await send();
  }

  function undo(): void {
    takeBackAll(nextUndo(history.value), 'nothingToUndo');
  }

  function redo(): void {
    takeBackAll(nextRedo(history.value), 'nothingToRedo');
  }

  function takeBackAll(ids: readonly string[], otherwise: 'nothingToUndo' | 'nothingToRedo'): void {
    if (ids.length === 0) return notices.refuse(refusal(otherwise).message);
    const group = ids.length > 1 ? mintId('edit', cryptoRandom) : null;
    for (const id of ids) {
      const known = [...log.value, ...pending.value];
      const at = known.findIndex((edit) => edit.id === id);
      const edit = known[at];
      if (edit === undefined) return;
      if (!perform((ctx) => undoEdit(ctx, { edit, since: known.slice(at + 1), group })).ok) return;
    }
  }

  async function send(): Promise<void> {
    if (isSending) return;
    isSending = true;
    try {
      for (let [edit] = pending.value; edit !== undefined && siteKey.value !== null; [edit] = pending.value) {
        if (!(await sendOne(siteKey.value, { ...edit, base: revision.value }))) return;
      }
      keeping.value = 'kept';
      waitingSince.value = null;
    } finally {
      isSending = false;
    }
  }

  /** Sends the first pending edit; false when the server does not answer, which is tried again by and by. */
  async function sendOne(key: string, edit: Edit): Promise<boolean> {
    if (keeping.value !== 'waiting') keeping.value = 'keeping';
    const answer = await ask(routes.saveEdit, { params: { siteKey: key }, body: edit });
    if (key !== siteKey.value) return false;
    if (answer.kind === 'away') {
      keeping.value = 'waiting';
      waitingSince.value ??= new Date();
      clearTimeout(retry);
      retry = setTimeout(() => void send(), wait);
      wait = Math.min(wait * 2, LONGEST_WAIT);
      return false;
    }
    wait = FIRST_WAIT;
    if (answer.kind === 'refused') {
      pending.value = pending.value.filter((one) => one.id !== edit.id);
      setAside(edit, answer.refusal);
      replay();
      return true;
    }
    arrived(answer.value.edits, answer.value.revision);
    await takeFromOutbox(new Set(answer.value.edits.map((one) => one.id)));
    return true;
  }

  /** Takes in what the server has logged; pending edits are led through what others did. */
  function arrived(edits: readonly LoggedEdit[], now: number): void {
    const fresh = edits.filter((edit) => edit.revision > revision.value);
    const own = new Set(fresh.map((edit) => edit.id));
    const foreign = fresh.filter((edit) => !pending.value.some(({ id }) => id === edit.id));
    for (const edit of fresh) {
      const applied = served === null ? null : applyEdit(served, edit);
      if (applied?.ok) served = applied.value.document;
    }
    log.value = [...log.value, ...fresh];
    revision.value = now;
    pending.value = pending.value.filter(({ id }) => !own.has(id));
    if (foreign.length === 0) {
      if (pending.value.length === 0 && document.value !== null) served = document.value;
      return;
    }
    pending.value = pending.value.map((edit) => rebaseEdit(edit, foreign));
    replay();
  }

  /** Takes in what an import or another window did. */
  async function catchUp(): Promise<void> {
    if (siteKey.value === null) return;
    const answer = await ask(routes.readEdits, { params: { siteKey: siteKey.value }, query: { since: revision.value } });
    if (answer.kind === 'reply') arrived(answer.value.edits, answer.value.revision);
  }

  /** Publishes what is kept. The caller sees to it that nothing is on its way. */
  async function publish(note: string): Promise<boolean> {
    if (siteKey.value === null) return false;
    const answer = await ask(routes.publish, { params: { siteKey: siteKey.value }, body: { note, revision: revision.value } });
    if (answer.kind === 'reply') {
      edition.value = answer.value;
      notices.say(`Edition ${answer.value.number} is published`);
      return true;
    }
    notices.refuse(answer.kind === 'away' ? 'The server does not answer, so nothing was published. Try again in a moment.' : answer.refusal.message);
    if (answer.kind === 'refused' && answer.refusal.code === 'staleView') await catchUp();
    return false;
  }

  window.addEventListener('online', () => void send());

  return {
    siteKey,
    document,
    edition,
    revision,
    pending,
    log,
    refusedEdits,
    keeping,
    waitingSince,
    isOutboxKept,
    loadProblem,
    canUndo,
    canRedo,
    open,
    context,
    attempt,
    perform,
    undo,
    redo,
    catchUp,
    publish,
  };
});
