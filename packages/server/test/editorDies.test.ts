import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { pino } from 'pino';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { maybeSite } from '../src/repositories/sites.ts';
import { openPglite } from '../src/db/openDatabase.ts';
import { readConfig } from '../src/config.ts';
import { startServer, type RunningServer } from '../src/startServer.ts';
import { readQuillmere } from './processes.ts';
import { replayEqualsRows } from './replayEqualsRows.ts';
import { migrations, postgres, putQuillmere, template } from './testDatabase.ts';
import { editOf } from './testServer.ts';

/** On PostgreSQL it is the same thread. */
describe.skipIf(postgres !== '')('an error that ends the editor’s thread', () => {
  let folder: string;
  let server: RunningServer;
  const logged: string[] = [];
  const plug = new BroadcastChannel('zorvik-test-plug');
  beforeAll(async () => {
    folder = await mkdtemp(join(tmpdir(), 'zorvik-dies-'));
    await putQuillmere(folder);
    const config = readConfig({
      ZORVIK_DATA: folder,
      PORT: '0',
      DELIVERY_PORT: '0',
      SITE_PORT: '0',
      ZORVIK_LOG: 'warn',
    });
    const parts = {
      migrations,
      template,
      webFolder: null,
      firstSite: null,
      readingThread: null,
      pictureThread: null,
    };
    const log = pino({ level: 'warn' }, { write: (line: string) => void logged.push(line) });
    server = await startServer(config, parts, new URL('./dyingThread.mjs', import.meta.url), log);
  });
  afterAll(async () => {
    plug.close();
    await server.close();
    await rm(folder, { recursive: true, force: true, maxRetries: 5 });
  });

  it('leaves delivery going on, loses no acknowledged edit, is told in the log, and is over when the editor has been started again', async () => {
    const { revision, document } = await readQuillmere(server.address);
    const menu = `${server.deliveryAddress}/delivery/v1/sites/quillmere/menus/main.html`;
    const expected = await (await fetch(menu)).text();
    const acknowledged: string[] = [];
    let isOver = false;
    let deaths = 0;
    const edits = async (): Promise<void> => {
      for (let number = 0; !isOver; number += 1) {
        const item = document.items[number % document.items.length]!;
        const edit = editOf(revision, [
          { kind: 'updateItem', id: item.id, set: { label: `Label ${number}` }, was: { label: item.label } },
        ]);
        const reply = await fetch(`${server.address}/api/v1/sites/quillmere/edits`, {
          method: 'POST',
          body: JSON.stringify(edit),
          headers: { 'Content-Type': 'application/json' },
        }).catch(() => null);
        if (reply?.status === 200) acknowledged.push(edit.id);
        else await new Promise((done) => setTimeout(done, 20));
      }
    };
    const visitors = async (): Promise<number> => {
      let answered = 0;
      while (!isOver) {
        const reply = await fetch(menu);
        expect([reply.status, await reply.text()]).toEqual([200, expected]);
        answered += 1;
      }
      return answered;
    };
    const work = Promise.all([edits(), edits(), visitors()]);
    for (; deaths < 3; deaths += 1) {
      const before = acknowledged.length;
      while (acknowledged.length < before + 5) await new Promise((done) => setTimeout(done, 10));
      const answered = logged.filter((line) => line.includes('The editor is back')).length;
      plug.postMessage('die');
      while (logged.filter((line) => line.includes('The editor is back')).length === answered)
        await new Promise((done) => setTimeout(done, 20));
    }
    const before = acknowledged.length;
    while (acknowledged.length < before + 5) await new Promise((done) => setTimeout(done, 10));
    isOver = true;
    const [, , answered] = await work;
    expect(answered).toBeGreaterThan(50);
    expect(logged.filter((line) => line.includes('Somebody pulled the plug'))).toHaveLength(deaths);
    await server.close();
    const opened = await openPglite({ folder, template, migrations });
    const head = await maybeSite(opened.database, 'quillmere');
    await replayEqualsRows(opened.database, head!.id, head!.revision, acknowledged);
    await opened.close();
  }, 120_000);
});
