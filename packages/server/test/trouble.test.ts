import { spawnSync } from 'node:child_process';
import { mkdir, mkdtemp, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import type { Edit, LoggedEdit } from '@zorvik/core';
import { openPglite } from '../src/db/openDatabase.ts';
import { maybeSite } from '../src/repositories/sites.ts';
import { saveEdit } from '../src/editing/saveEdit.ts';
import { seededRandom, toStored } from '@zorvik/core';
import { randomDocument } from '@zorvik/core/testing';
import { begin, readQuillmere, startProcess, stopProcess, type Run } from './processes.ts';
import { replayEqualsRows } from './replayEqualsRows.ts';
import { migrations, postgres, putQuillmere, template } from './testDatabase.ts';
import { editOf, testServer } from './testServer.ts';

/** A small disk of its own can only be made by root, and not everywhere. */
function canMount(): boolean {
  const place = join(tmpdir(), `zorvik-mount-${process.pid}`);
  spawnSync('mkdir', ['-p', place]);
  const isMounted = spawnSync('mount', ['-t', 'tmpfs', '-o', 'size=1m', 'tmpfs', place]).status === 0;
  if (isMounted) spawnSync('umount', [place]);
  spawnSync('rmdir', [place]);
  return isMounted;
}

describe.skipIf(postgres !== '' || !canMount())('a disk', () => {
  let disk: string;
  beforeEach(async () => {
    disk = await mkdtemp(join(tmpdir(), 'zorvik-disk-'));
    spawnSync('mount', ['-t', 'tmpfs', '-o', 'size=64m', 'tmpfs', disk]);
  });
  afterEach(async () => {
    spawnSync('umount', ['-l', disk]);
    await rm(disk, { recursive: true, force: true });
  });

  const post = async (run: Run, edit: Edit) => {
    const reply = await fetch(`${run.address}/api/v1/sites/quillmere/edits`, {
      method: 'POST',
      body: JSON.stringify(edit),
      headers: { 'Content-Type': 'application/json' },
    });
    return {
      status: reply.status,
      body: (await reply.json()) as { revision: number; error?: { code: string; message: string } },
    };
  };

  it('that is full loses nothing that was kept: it is said, and what waits is kept when there is room again', async () => {
    const data = join(disk, 'data');
    const run = await startProcess({ ZORVIK_DATA: data });
    const { document, ...start } = await readQuillmere(run.address);
    let { revision } = start;
    const acknowledged: string[] = [];
    const edit = (number: number): Edit => {
      const item = document.items[number % document.items.length]!;
      return editOf(revision, [
        {
          kind: 'updateItem',
          id: item.id,
          set: { label: `Label ${number} ${'x'.repeat(350)}` },
          was: { label: null },
        },
      ]);
    };
    await writeFile(join(disk, 'filler'), '');
    spawnSync('dd', ['if=/dev/zero', `of=${join(disk, 'filler')}`, 'bs=64k']);
    let refused: Awaited<ReturnType<typeof post>> | null = null;
    const waiting: Edit[] = [];
    for (let number = 0; number < 3000 && waiting.length < 20; number += 1) {
      const one = edit(number);
      const answer = await post(run, one);
      if (answer.status === 200) {
        acknowledged.push(one.id);
        ({ revision } = answer.body);
      } else {
        refused ??= answer;
        waiting.push(one);
      }
    }
    expect([refused?.status, refused?.body.error?.code]).toEqual([503, 'diskFull']);
    expect(refused?.body.error?.message).toContain(
      'Free some space; waiting changes are then saved automatically',
    );
    await rm(join(disk, 'filler'));
    for (const one of waiting) {
      expect((await post(run, one)).status, 'the same edit, once there is room').toBe(200);
      acknowledged.push(one.id);
    }
    await stopProcess(run, 'SIGKILL');
    const opened = await openPglite({ folder: data, template, migrations });
    const head = await maybeSite(opened.database, 'quillmere');
    await replayEqualsRows(opened.database, head!.id, head!.revision, acknowledged);
    await opened.close();
    expect(document.items.length).toBeGreaterThan(0);
  });

  it('that is read-only, or full from the start, is said with a way on', async () => {
    await mkdir(join(disk, 'data'));
    spawnSync('mount', ['-o', 'remount,ro', disk]);
    const begun = begin({ ZORVIK_DATA: join(disk, 'data') });
    expect(await begun.gone).toBe(1);
    expect(begun.output()).toMatch(
      /^The data folder \/.* cannot be used: it is read-only\. Make it writable, or set ZORVIK_DATA to another folder\.$/m,
    );
    spawnSync('mount', ['-o', 'remount,rw', disk]);
    spawnSync('dd', ['if=/dev/zero', `of=${join(disk, 'filler')}`, 'bs=64k']);
    const full = begin({ ZORVIK_DATA: join(disk, 'data') });
    expect(await full.gone).toBe(1);
    expect(full.output()).toMatch(/its disk is full|no space left/i);
    await rm(join(disk, 'filler'));
    const run = await startProcess({ ZORVIK_DATA: join(disk, 'data') });
    expect((await readQuillmere(run.address)).revision, 'what began on the full disk is no obstacle').toBe(9);
    await stopProcess(run);
  });
});

describe.skipIf(postgres !== '')('a data folder', () => {
  let folder: string;
  beforeEach(async () => void (folder = await mkdtemp(join(tmpdir(), 'zorvik-damaged-'))));
  afterEach(() => rm(folder, { recursive: true, force: true }));
  const words = async (data: string): Promise<string> => {
    const begun = begin({ ZORVIK_DATA: data });
    expect(await begun.gone).toBe(1);
    return begun.output().trim();
  };

  it.each([
    ['without its control file', 'global/pg_control', null],
    ['with a control file that is cut short', 'global/pg_control', ''],
    ['of no version', 'PG_VERSION', null],
    ['with a file in the place of a folder', 'base', 'x'],
  ] as const)(
    'that is damaged (%s) is told with its path, what was found, and how to restore',
    async (_, path, text) => {
      await putQuillmere(folder);
      await rm(join(folder, 'pglite', path), { recursive: true });
      if (text !== null) await writeFile(join(folder, 'pglite', path), text);
      const output = await words(folder);
      expect(output).toContain(`The database in the data folder ${folder} cannot be opened: `);
      expect(output).toContain('restore a backup with “npm run restore -- FILE”');
      expect(output).not.toMatch(/sASSERTIONS|\n\s+at /);
    },
  );

  it('that is a file, or in one, is told as that', async () => {
    const file = join(folder, 'file');
    await writeFile(file, '');
    expect(await words(file)).toBe(
      `The data folder ${file} cannot be used: it is a file, not a folder. Set ZORVIK_DATA to another folder.`,
    );
    expect(await words(join(file, 'data'))).toBe(
      `The data folder ${file}/data cannot be used: part of its path is a file, not a folder. Set ZORVIK_DATA to another folder.`,
    );
  });
});

describe('a clock that jumps', () => {
  it('forward and back changes no order, loses nothing, and takes nothing from undo', async () => {
    const server = await testServer(
      toStored(randomDocument(seededRandom(4), { pages: 10, menus: 1, items: 10 })),
    );
    const times = [
      '2026-11-23T10:00:00Z',
      '2044-01-01T00:00:00Z',
      '1999-12-31T23:59:59Z',
      '2026-11-23T10:00:01Z',
    ];
    const items = toStored(randomDocument(seededRandom(4), { pages: 10, menus: 1, items: 10 })).items;
    const kept: LoggedEdit[] = [];
    for (const [at, time] of times.entries()) {
      const deps = { ...server.deps, now: () => new Date(time) };
      const edit = editOf(2 + at, [
        { kind: 'updateItem', id: items[0]!.id, set: { label: `At ${time}` }, was: { label: null } },
      ]);
      const saved = await saveEdit(deps, 'meadow', edit, 'Tess');
      if (!saved.ok) throw new Error(saved.refusal.message);
      kept.push(saved.value.edits.at(-1)!);
    }
    expect(kept.map(({ revision }) => revision)).toEqual([3, 4, 5, 6]);
    const { compactLog } = await import('../src/editing/compactLog.ts');
    expect(
      await compactLog(server.deps, 's000000000000001', { days: 90, edits: 2 }),
      'the oldest of the log is younger than the latest',
    ).toBeLessThanOrEqual(3);
    const undo = await saveEdit(server.deps, 'meadow', editOf(6, [], { undoes: kept[3]!.id }), 'Tess');
    expect(undo.ok && undo.value.edits.at(-1)?.operations[0]).toMatchObject({
      set: { label: 'At 1999-12-31T23:59:59Z' },
    });
    await replayEqualsRows(server.deps.database, 's000000000000001', 7);
    await server.close();
  });
});
