import {
  EDIT_VERSION,
  inWords,
  openWorkingCopy,
  withLogged,
  withRefused,
  withReloaded,
  type Id,
  type LoggedEdit,
  type Refusal,
} from '@zorvik/core';
import { routes } from '@zorvik/contract';
import { ask } from '../../api/client.ts';
import { editsInOutbox, refusedAt } from '../../api/outbox.ts';
import type { TabMessage } from '../../api/tabs.ts';
import type { useConnection } from '../connection.ts';
import type { useNotices, WayOn } from '../notices.ts';
import type { useSession } from '../session.ts';
import { loadCopy, type LoadedCopy } from './loadCopy.ts';
import type { OpenCopy } from './openCopy.ts';

/** How long until a site is asked for again when nobody answered, in ms. */
const RETRY = 2000;

/** Opens a site and keeps it up to date with the server, from what the other tabs and the event stream tell. */
export function catchingUp(
  { siteKey, copy, edition, refusedEdits, news, loadProblem, set }: OpenCopy,
  skipping: (steps: readonly Id[]) => WayOn | null,
  session: ReturnType<typeof useSession>,
  connection: ReturnType<typeof useConnection>,
  notices: ReturnType<typeof useNotices>,
) {
  let retry: ReturnType<typeof setTimeout> | undefined;
  let catching: Promise<void> | null = null;

  async function open(key: string): Promise<void> {
    if (siteKey.value === key && copy.value !== null) return;
    clearTimeout(retry);
    siteKey.value = key;
    copy.value = null;
    loadProblem.value = null;
    refusedEdits.value = [];
    // First what waits, then what is there: what arrives in between is in the log, which is read last.
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

  /** Finds out which edits were refused while this window did not listen; those that were kept are in the log. */
  async function reconcile(key: string): Promise<void> {
    const refused = await refusedAt(key);
    if (siteKey.value !== key || copy.value === null) return;
    refusedEdits.value = refused;
    for (const { edit } of refused) set(withRefused(copy.value, edit.id));
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

  /** Fetches what was missed. One fetch at a time; asked during one, another follows. */
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
    if (copy.value === null || siteKey.value === null) return;
    const edit = copy.value.pending.find((one) => one.id === id);
    set(withRefused(copy.value, id));
    const isUndo = edit !== undefined && edit.undoes !== null;
    if (edit !== undefined)
      notices.refuse(
        `Not saved: ${inWords(edit.sentence)}. ${reason.message}`,
        isUndo ? skipping([edit.undoes ?? '']) : null,
      );
    void reconcile(siteKey.value);
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
    else if (message.kind === 'site' && message.revision > (copy.value?.served.revision ?? 0)) void catchUp();
    else if (message.kind === 'edition' && message.number !== edition.value?.number)
      void loadEdition(message.site);
  }

  async function loadEdition(key: string): Promise<void> {
    const answer = await ask(routes.listEditions, { params: { siteKey: key } });
    if (answer.kind === 'reply' && siteKey.value === key) edition.value = answer.value.editions[0] ?? null;
  }

  return { open, catchUp, heard };
}
