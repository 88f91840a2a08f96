import { routes } from '@zorvik/contract';
import { ask } from './client.ts';
import {
  countInOutbox,
  firstInOutbox,
  keepRefused,
  replaceInOutbox,
  takeFromOutbox,
  type Posted,
} from './outbox.ts';
import { openEvents } from './events.ts';
import type { Tabs } from './tabs.ts';

const FIRST_WAIT = 500;
const LONGEST_WAIT = 8000;
const MOST_FAILURES = 4;
/** A word from another tab may get lost; then this is how long an edit waits at most, in ms. */
const LOOK_AGAIN = 15_000;

export interface PostmanChoices {
  /** The revision of a site that this tab knows; null when it does not have that site open. */
  readonly knownRevision: (siteKey: string) => number | null;
}

/**
 * Sends what is in the outbox, in its order and one at a time, and hears the server, for all tabs of the
 * browser: whichever tab holds the lock does it, and when that is closed, another takes over. An edit leaves
 * the outbox only when the server has answered it; sent twice, it gets the same answer. Gives what stops it.
 */
export function startPostman(tabs: Tabs, { knownRevision }: PostmanChoices): () => void {
  const over = new AbortController();
  let wake: () => void = () => undefined;
  /** Something was put in, or somebody asks to hurry, since the outbox was looked into last. */
  let isKnocked = false;
  let wait = FIRST_WAIT;
  let awaySince: string | null = null;
  let failures = 0;

  const until = (pause: number): Promise<void> =>
    new Promise((done) => {
      const timer = setTimeout(done, pause);
      wake = () => {
        clearTimeout(timer);
        done();
      };
    });

  async function tellServer(since: string | null, reason: string | null = null): Promise<void> {
    awaySince = since;
    tabs.tell({ kind: 'server', awaySince, reason, waiting: await countInOutbox() });
  }

  async function work(): Promise<void> {
    const deafen = tabs.hear((message) => {
      if (message.kind === 'put' || message.kind === 'hurry') {
        isKnocked = true;
        wake();
      }
      if (message.kind === 'hello' && awaySince !== null) void tellServer(awaySince);
    });
    const closeEvents = openEvents({
      hear: (news) => tabs.tell({ kind: 'news', news }),
      // What was told while nobody heard is lost: everybody looks. And a postman before this one may have
      // said that the server is away.
      opened: () => {
        tabs.tell({ kind: 'news', news: { kind: 'missed' } });
        void tellServer(null).then(() => wake());
      },
      lost: () => void tellServer(awaySince ?? new Date().toISOString()),
    });
    try {
      while (!over.signal.aborted) {
        isKnocked = false;
        const posted = await firstInOutbox();
        if (posted === null) await until(isKnocked ? 0 : LOOK_AGAIN);
        else if (await deliver(posted)) wait = FIRST_WAIT;
        else {
          await until(wait);
          wait = Math.min(wait * 2, LONGEST_WAIT);
        }
      }
    } finally {
      deafen();
      closeEvents();
    }
  }

  /** False when the server did not answer. */
  async function deliver(posted: Posted): Promise<boolean> {
    const { siteKey, epoch, name, edit } = posted;
    const known = knownRevision(siteKey);
    const query = { name, ...(epoch === '' ? {} : { epoch }), ...(known === null ? {} : { known }) };
    const answer = await ask(routes.saveEdit, { params: { siteKey }, query, body: edit });
    if (over.signal.aborted) return false;
    if (answer.kind === 'away') {
      await tellServer(awaySince ?? new Date().toISOString(), answer.reason ?? null);
      return false;
    }
    // A failure of the server's own is no answer: nothing was changed. But one edit that fails for ever must
    // not hold up the others.
    if (answer.kind === 'refused' && answer.refusal.code === 'bug' && (failures += 1) < MOST_FAILURES)
      return false;
    failures = 0;
    if (awaySince !== null) await tellServer(null);
    if (answer.kind === 'refused' && answer.refusal.code === 'otherHistory') return startAnew(posted);
    if (answer.kind === 'refused') {
      await keepRefused({ siteKey, edit, refusal: answer.refusal, at: new Date().toISOString() });
      await takeFromOutbox(new Set([edit.id]));
      tabs.tell({ kind: 'refused', siteKey, id: edit.id, refusal: answer.refusal });
      return true;
    }
    await takeFromOutbox(new Set([edit.id]));
    tabs.tell({ kind: 'saved', siteKey, id: edit.id, ...answer.value });
    return true;
  }

  /**
   * The site was restored: the edit is tried on what is there now, and not led through a history that is
   * another one.
   */
  async function startAnew(posted: Posted): Promise<boolean> {
    const head = await ask(routes.readEdits, {
      params: { siteKey: posted.siteKey },
      query: { since: Number.MAX_SAFE_INTEGER },
    });
    if (head.kind !== 'reply') return false;
    const { epoch, revision } = head.value;
    await replaceInOutbox({ ...posted, epoch, edit: { ...posted.edit, base: revision } });
    tabs.tell({ kind: 'restored', siteKey: posted.siteKey });
    return true;
  }

  const locks = (navigator as Partial<Navigator>).locks;
  const started =
    locks === undefined ? work() : locks.request('zorvik-postman', { signal: over.signal }, work);
  started.catch((error: unknown) => {
    if (!over.signal.aborted) throw error;
  });
  return () => {
    over.abort();
    wake();
  };
}
