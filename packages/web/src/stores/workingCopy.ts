import { defineStore } from 'pinia';
import { computed, onScopeDispose, ref, shallowRef } from 'vue';
import {
  createFilling,
  EDIT_VERSION,
  historyOf,
  inWords,
  mintId,
  newHistory,
  nextRedo,
  nextUndo,
  no,
  openWorkingCopy,
  refusal,
  takeBackNext,
  withLogged,
  withoutSkipped,
  withPerformed,
  withRefused,
  withReloaded,
  type CommandContext,
  type Edit,
  type Id,
  type LoggedEdit,
  type Refusal,
  type Result,
  type SiteDocument,
  type WorkingCopy,
} from '@zorvik/core';
import { routes, type EditionSummary } from '@zorvik/contract';
import { ask } from '../api/client.ts';
import { editsInOutbox, putAwayRefused, putInOutbox, refusedAt, type RefusedEdit } from '../api/outbox.ts';
import type { TabMessage } from '../api/tabs.ts';
import { bursts } from './bursts.ts';
import { useConnection } from './connection.ts';
import { loadCopy, type LoadedCopy } from './loadCopy.ts';
import { useNotices, type WayOn } from './notices.ts';
import { cryptoRandom, useSession } from './session.ts';

/** How it stands with what the person did: on the server, on its way, or waiting for the server to answer. */
export type Keeping = 'kept' | 'keeping' | 'waiting';

const RETRY = 2000;
/**
 * The site being edited: the server's document with the edits on their way replayed on it. An edit is applied
 * here at once and put in the outbox; the browser's postman sends it, and what comes back is applied below
 * it. The rules are core's.
 */
export const useWorkingCopy = defineStore('workingCopy', () => {
  const session = useSession();
  const notices = useNotices();
  const connection = useConnection();
  const siteKey = ref<string | null>(null);
  const copy = shallowRef<WorkingCopy | null>(null);
  const edition = shallowRef<EditionSummary | null>(null);
  const refusedEdits = shallowRef<readonly RefusedEdit[]>([]);
  /** What others did, as it arrives. */
  const news = shallowRef<readonly LoggedEdit[]>([]);
  const isOutboxKept = ref(true);
  const loadProblem = ref<string | null>(null);
  let retry: ReturnType<typeof setTimeout> | undefined;
  let catching: Promise<void> | null = null;
  const burst = bursts(
    () => performance.now(),
    () => mintId('edit', cryptoRandom),
  );

  /** Fills in what is followed; one for each site, since it keeps what it gave last. */
  const fill = computed(() => createFilling(new Intl.Collator(language.value, { numeric: true }).compare));
  const language = computed(() => copy.value?.served.document.site.language ?? 'en');
  /** What is kept of the site, and the same with what is followed standing in its menus. */
  const stored = computed<SiteDocument | null>(() => copy.value?.document ?? null);
  const document = computed<SiteDocument | null>(() =>
    stored.value === null ? null : fill.value(stored.value),
  );
  const epoch = computed(() => copy.value?.served.epoch ?? '');
  const revision = computed(() => copy.value?.served.revision ?? 0);
  const pending = computed(() => copy.value?.pending ?? []);
  const keeping = computed<Keeping>(() =>
    pending.value.length === 0 ? 'kept' : connection.awaySince === null ? 'keeping' : 'waiting',
  );
  /** What this session can undo and redo: worked out once for each change, since the log may be long. */
  const history = computed(() =>
    withoutSkipped(copy.value === null ? newHistory(session.id) : historyOf(copy.value), session.skipped),
  );
  const nextSteps = computed(() => ({ undo: nextUndo(history.value), redo: nextRedo(history.value) }));
  const canUndo = computed(() => nextSteps.value.undo.length > 0);
  const canRedo = computed(() => nextSteps.value.redo.length > 0);

  function set(next: WorkingCopy): void {
    copy.value = next;
    if (siteKey.value !== null) connection.at(siteKey.value, next.served.revision);
  }

  async function open(key: string): Promise<void> {
    if (siteKey.value === key && copy.value !== null) return;
    clearTimeout(retry);
    siteKey.value = key;
    copy.value = null;
    loadProblem.value = null;
    refusedEdits.value = [];
    // First what waits, then what is there: what arrives in between is in the log that is read last.
    const waiting = await editsInOutbox(key);
    const loaded = await load(key);
    if (siteKey.value !== key) return;
    if (typeof loaded === 'string') {
      loadProblem.value = loaded;
      return;
    }
    if (loaded === null) {
      loadProblem.value = 'No connection. Retrying …';
      retry = setTimeout(() => {
        if (siteKey.value === key) siteKey.value = null;
        void open(key);
      }, RETRY);
      return;
    }
    set(openWorkingCopy(session.id, loaded.served, loaded.own, waiting));
    await reconcile(key);
    await catchUp();
  }

  async function load(key: string): Promise<LoadedCopy | string | null> {
    const loaded = await loadCopy(key, copy.value?.served.epoch ?? null, session);
    if (loaded !== null && typeof loaded !== 'string') edition.value = loaded.edition;
    return loaded;
  }

  /**
   * What became of edits while this window did not listen: what was refused is told, what was kept comes with
   * the log.
   */
  async function reconcile(key: string): Promise<void> {
    const refused = await refusedAt(key);
    if (siteKey.value !== key || copy.value === null) return;
    refusedEdits.value = refused;
    for (const { edit } of refused) set(withRefused(copy.value, edit.id));
  }

  /** Tries a command without doing it: buttons ask this to know whether they can be pressed, and why not. */
  function attempt<T>(command: (context: CommandContext) => Result<T>): Result<T> {
    return copy.value === null ? no(refusal('nothingChosen')) : command(contextOf(copy.value));
  }

  function contextOf({ document: kept, served }: WorkingCopy): CommandContext {
    const from = { stored: kept, fill: fill.value };
    return {
      document: fill.value(kept),
      from,
      base: served.revision,
      session: session.id,
      random: cryptoRandom,
    };
  }

  /**
   * Does what a command gives: at once here, for good on the server. A refusal is shown and changes nothing.
   * `kind` names what is done and to what, where several of it in a row should be taken back together.
   */
  function perform(
    command: (context: CommandContext) => Result<Edit>,
    kind: string | null = null,
  ): Result<Edit> {
    const result = attempt(command);
    return keep(result, result.ok ? burst.groupFor(kind) : null);
  }

  /**
   * Does several things, one after the other, that are taken back together. The first that is refused is the
   * last that is tried.
   */
  function performAll(commands: readonly ((context: CommandContext) => Result<Edit>)[]): Result<Edit> {
    const group = mintId('edit', cryptoRandom);
    burst.end();
    let done: Result<Edit> = no(refusal('nothingChosen'));
    for (const command of commands) {
      done = keep(attempt(command), group);
      if (!done.ok) break;
    }
    return done;
  }

  function keep(result: Result<Edit>, group: Id | null): Result<Edit> {
    if (!result.ok || copy.value === null) {
      if (!result.ok) notices.refuse(result.refusal.message);
      return result;
    }
    const edit = { ...result.value, group: group ?? result.value.group };
    set(withPerformed(copy.value, edit));
    post(edit);
    notices.say(inWords(edit.sentence));
    return result;
  }

  /** Into the outbox, from where the postman takes it: whatever happens in between, one of them has it. */
  function post(edit: Edit): void {
    if (siteKey.value === null) return;
    void putInOutbox({ siteKey: siteKey.value, epoch: epoch.value, name: session.shownName, edit }).then(
      (isKept) => {
        isOutboxKept.value = isKept;
        connection.tell({ kind: 'put' });
      },
    );
  }

  function takeBack(direction: 'undo' | 'redo'): void {
    if (copy.value === null) return;
    burst.end();
    const taken = takeBackNext(copy.value, direction, cryptoRandom, session.skipped);
    if (!taken.ok) return notices.refuse(taken.refusal.message, skipping(nextSteps.value[direction]));
    set(taken.value.copy);
    for (const edit of taken.value.edits) post(edit);
    const [last] = taken.value.edits.slice(-1);
    if (last !== undefined) notices.say(inWords(last.sentence));
  }

  /**
   * What is offered where steps cannot be undone or redone: to leave them as they are, so that older ones can
   * be.
   */
  function skipping(steps: readonly Id[]): WayOn | null {
    if (steps.length === 0) return null;
    const act = (): void => {
      session.skip(steps);
      notices.say('Skipped this step. Undo continues with the step before it.');
    };
    return { label: 'Skip this step', act };
  }

  /** Takes in what the server has logged. */
  function arrived(edits: readonly LoggedEdit[]): void {
    if (copy.value === null) return;
    if (edits.some(({ version }) => version > EDIT_VERSION)) {
      connection.isOutdated = true;
      return;
    }
    const before = copy.value.served.revision;
    set(withLogged(copy.value, edits));
    const foreign = edits.filter((edit) => edit.session !== session.id && edit.revision > before);
    if (foreign.length > 0) news.value = foreign;
  }

  /**
   * Fetches what was missed, or the site anew where that is less. One at a time; asked for again meanwhile,
   * it looks again.
   */
  function catchUp(): Promise<void> {
    catching = (catching ?? Promise.resolve()).then(() => fetchMissed());
    return catching;
  }

  async function fetchMissed(): Promise<void> {
    const key = siteKey.value;
    if (key === null || copy.value === null) return;
    const { epoch: known, revision: since } = copy.value.served;
    const answer = await ask(routes.readEdits, { params: { siteKey: key }, query: { since } });
    if (answer.kind !== 'reply' || siteKey.value !== key) return;
    if (answer.value.epoch !== known || answer.value.isCut || answer.value.revision < since)
      return reload(key);
    arrived(answer.value.edits);
  }

  async function reload(key: string): Promise<void> {
    const loaded = await load(key);
    if (loaded === null || typeof loaded === 'string' || copy.value === null || siteKey.value !== key) return;
    set(withReloaded(copy.value, loaded.served, loaded.own));
    await reconcile(key);
  }

  function wasRefused(id: Id, reason: Refusal): void {
    const edit = pending.value.find((one) => one.id === id);
    if (copy.value === null || siteKey.value === null) return;
    set(withRefused(copy.value, id));
    const isUndo = edit !== undefined && edit.undoes !== null;
    if (edit !== undefined)
      notices.refuse(
        `Not saved: ${inWords(edit.sentence)}. ${reason.message}`,
        isUndo ? skipping([edit.undoes ?? '']) : null,
      );
    void reconcile(siteKey.value);
  }

  async function putAway(id: Id): Promise<void> {
    await putAwayRefused(id);
    refusedEdits.value = refusedEdits.value.filter(({ edit }) => edit.id !== id);
  }

  function heard(message: TabMessage): void {
    if (message.kind === 'news') return heardNews(message.news);
    if (!('siteKey' in message) || message.siteKey !== siteKey.value || copy.value === null) return;
    if (message.kind === 'refused') return wasRefused(message.id, message.refusal);
    if (message.kind === 'restored' || message.epoch !== copy.value.served.epoch)
      return void reload(message.siteKey);
    arrived(message.edits);
    if (message.revision > copy.value.served.revision) void catchUp();
  }

  function heardNews(message: Extract<TabMessage, { kind: 'news' }>['news']): void {
    if (message.kind === 'missed') void catchUp();
    else if (message.site !== siteKey.value) return;
    else if (message.kind === 'site' && message.revision > revision.value) void catchUp();
    else if (message.kind === 'edition' && message.number !== edition.value?.number)
      void loadEdition(message.site);
  }

  async function loadEdition(key: string): Promise<void> {
    const answer = await ask(routes.listEditions, { params: { siteKey: key } });
    if (answer.kind === 'reply' && siteKey.value === key) edition.value = answer.value.editions[0] ?? null;
  }

  onScopeDispose(connection.hear(heard));

  return {
    siteKey,
    document,
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
