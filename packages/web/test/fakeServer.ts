import { applyEdit, rebaseEdit, seededRandom, toStored, type CommandContext, type Edit, type LoggedEdit, type Result, type SiteDocument } from '@zorvik/core';

/** A server in memory that keeps edits by the same rules as the real one, over a network that can be broken at will. */
export interface FakeServer {
  readonly fetch: typeof fetch;
  readonly log: LoggedEdit[];
  readonly document: () => SiteDocument;
  /** How the network is: `away` loses requests, `deaf` loses the answers, so that the edit arrives and nobody knows. */
  network: 'fine' | 'away' | 'deaf';
  /** Somebody else's edit. */
  readonly otherDoes: (command: (context: CommandContext) => Result<Edit>) => void;
}

const reply = (status: number, body: unknown): Response => new Response(JSON.stringify(body), { status, headers: { 'Content-Type': 'application/json' } });

/** It knows one site, by its key: requests of tabs that an earlier test left open find nobody. */
export function fakeServer(start: SiteDocument, key: string): FakeServer {
  const log: LoggedEdit[] = [];
  const random = seededRandom(77);
  let document = start;

  function save(edit: Edit, actor: string): Response {
    if (!log.some(({ id }) => id === edit.id)) {
      const since = log.filter(({ revision }) => revision > edit.base);
      const applied = applyEdit(document, rebaseEdit(edit, since));
      if (!applied.ok) return reply(409, { error: applied.refusal });
      ({ document } = applied.value);
      log.push({ ...applied.value.edit, revision: log.length + 1, at: '2026-11-23T10:00:00.000Z', actor });
    }
    return reply(200, { revision: log.length, edits: log.filter(({ revision }) => revision > edit.base) });
  }

  const server: FakeServer = {
    log,
    network: 'fine',
    document: () => document,
    otherDoes(command) {
      const made = command({ document, base: log.length, session: 'w0000000000other', random });
      if (!made.ok) throw new Error(made.refusal.message);
      save(made.value, 'Noor');
    },
    fetch(input, init) {
      if (server.network === 'away' || !String(input).includes(`/sites/${key}`)) return Promise.reject(new TypeError('Failed to fetch'));
      const url = new URL(String(input), 'http://127.0.0.1');
      const answer = answerTo(url, init);
      return server.network === 'deaf' ? Promise.reject(new TypeError('Failed to fetch')) : Promise.resolve(answer);
    },
  };

  function answerTo(url: URL, init: RequestInit | undefined): Response {
    if (url.pathname.endsWith('/edits') && init?.method === 'POST') return save(JSON.parse(String(init.body)) as Edit, 'You');
    if (url.pathname.endsWith('/edits'))
      return reply(200, { revision: log.length, edits: log.filter(({ revision }) => revision > Number(url.searchParams.get('since'))) });
    if (url.pathname.endsWith('/editions')) return reply(201, { number: 1, revision: log.length, at: '', actor: 'You', note: '', items: 0 });
    return reply(200, { revision: log.length, document: toStored(document), edition: null });
  }

  return server;
}
