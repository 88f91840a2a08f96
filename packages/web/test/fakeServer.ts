import {
  acceptEdit,
  FORMAT,
  piecesOf,
  seededRandom,
  type CommandContext,
  type Edit,
  type LoggedEdit,
  type Refusal,
  type Result,
  type SiteDocument,
} from '@zorvik/core';

/**
 * A server in memory that keeps edits by the same rules as the real one, over a network that can be broken at
 * will.
 */
export interface FakeServer {
  readonly fetch: typeof fetch;
  readonly log: LoggedEdit[];
  readonly document: () => SiteDocument;
  /**
   * How the network is: `away` loses requests, `deaf` loses the answers, so that the edit arrives and nobody
   * knows.
   */
  network: 'fine' | 'away' | 'deaf';
  /** How many edits a window may miss before it is told to load the whole site. */
  mostMissed: number;
  epoch: string;
  /** Somebody else's edit. */
  readonly otherDoes: (command: (context: CommandContext) => Result<Edit>) => void;
  /** Puts the site back to what it was after a revision, as restoring an archive does. */
  readonly restore: (revision: number) => void;
  /** How often each edit was sent. */
  readonly sent: Map<string, number>;
}

const reply = (status: number, body: unknown): Response =>
  new Response(JSON.stringify(body), { status, headers: { 'Content-Type': 'application/json' } });

/** It knows one site, by its key: requests of tabs that an earlier test left open find nobody. */
export function fakeServer(start: SiteDocument, key: string): FakeServer {
  const log: LoggedEdit[] = [];
  const states = [start];
  const refusals = new Map<string, Refusal>();
  const random = seededRandom(77);

  function save(edit: Edit, actor: string, known: number): Response {
    server.sent.set(edit.id, (server.sent.get(edit.id) ?? 0) + 1);
    const before = refusals.get(edit.id);
    if (before !== undefined) return reply(409, { error: before });
    if (!log.some(({ id }) => id === edit.id)) {
      const at = log.findIndex(({ id }) => id === edit.undoes);
      const undone = at < 0 ? null : { edit: log[at]!, since: log.slice(at + 1) };
      const accepted = acceptEdit(server.document(), edit, { since: log.slice(edit.base), undone });
      if (!accepted.ok) {
        refusals.set(edit.id, accepted.refusal);
        return reply(409, { error: accepted.refusal });
      }
      states.push(accepted.value.document);
      log.push({ ...accepted.value.edit, revision: log.length + 1, at: '2026-11-23T10:00:00.000Z', actor });
    }
    const missed = log.filter(({ revision }) => revision > known);
    return reply(200, {
      epoch: server.epoch,
      revision: log.length,
      edits: missed.length > server.mostMissed ? [] : missed,
      isCut: false,
    });
  }

  const server: FakeServer = {
    log,
    network: 'fine',
    mostMissed: 1000,
    epoch: 'first',
    sent: new Map(),
    document: () => states.at(-1)!,
    otherDoes(command) {
      const made = command({
        document: server.document(),
        base: log.length,
        session: 'w0000000000other',
        random,
      });
      if (!made.ok) throw new Error(made.refusal.message);
      save(made.value, 'Noor', log.length);
    },
    restore(revision) {
      log.length = revision;
      states.length = revision + 1;
      server.epoch = `restored-${server.epoch}`;
    },
    fetch(input, init) {
      if (server.network === 'away' || !String(input).includes(`/sites/${key}`))
        return Promise.reject(new TypeError('Failed to fetch'));
      const url = new URL(String(input), 'http://127.0.0.1');
      const answer = answerTo(url, init);
      return server.network === 'deaf'
        ? Promise.reject(new TypeError('Failed to fetch'))
        : Promise.resolve(answer);
    },
  };

  function answerTo(url: URL, init: RequestInit | undefined): Response {
    const { searchParams: query } = url;
    if (url.pathname.endsWith('/edits') && init?.method === 'POST') {
      const edit = JSON.parse(String(init.body)) as Edit;
      const epoch = query.get('epoch');
      if (epoch !== null && epoch !== server.epoch)
        return reply(409, { error: { code: 'otherHistory', message: 'Restored.', params: {} } });
      return save(edit, query.get('name') ?? 'You', Number(query.get('known') ?? edit.base));
    }
    if (url.pathname.endsWith('/edits')) {
      const session = query.get('session');
      const missed = log.filter(
        (edit) =>
          edit.revision > Number(query.get('since')) && (session === null || edit.session === session),
      );
      const isCut = session === null && missed.length > server.mostMissed;
      return reply(200, { epoch: server.epoch, revision: log.length, edits: isCut ? [] : missed, isCut });
    }
    if (url.pathname.endsWith('/editions'))
      return reply(201, { number: 1, revision: log.length, at: '', actor: 'You', note: '', items: 0 });
    const { site } = server.document();
    const head = { epoch: server.epoch, revision: log.length, format: FORMAT, site, edition: null };
    const lines = [{ head }, ...piecesOf(server.document(), 3), { isWhole: true }];
    return new Response(lines.map((line) => `${JSON.stringify(line)}\n`).join(''), { status: 200 });
  }

  return server;
}
