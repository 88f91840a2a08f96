import type { Operation } from '@zorvik/core';
import { maybeSite } from '../src/repositories/sites.ts';
import { readQuillmere, startProcess, stopProcess, type Run } from './processes.ts';
import { replayEqualsRows } from './replayEqualsRows.ts';
import type { TestDatabase } from './testDatabase.ts';
import { editOf } from './testServer.ts';

/**
 * Kills a server again and again while edits arrive from two sides, each time at another moment. Throws what
 * is wrong: an acknowledged edit that is not in the log, one that is there twice, a gap, or rows that the log
 * does not replay to. Gives how many edits were acknowledged.
 */
export async function killManyTimes(
  kills: Iterable<number>,
  database: TestDatabase,
  onKill?: (kill: number) => void,
): Promise<number> {
  const acknowledged: string[] = [];
  for (const kill of kills) {
    const run = await startProcess(database.environment);
    await killWhileSaving(run, kill - 1, acknowledged);
    onKill?.(kill);
  }
  await look(database, acknowledged);
  return acknowledged.length;
}

async function killWhileSaving(run: Run, round: number, acknowledged: string[]): Promise<void> {
  const { revision, document } = await readQuillmere(run.address);
  const item = document.items[round % document.items.length]!;
  const before = acknowledged.length;
  let base = revision;
  let isDead = false;
  const flood = async (): Promise<void> => {
    for (let number = 0; !isDead; number += 1) {
      const operation: Operation = {
        kind: 'updateItem',
        id: item.id,
        set: { label: `Round ${round}, ${number}` },
        was: { label: item.label },
      };
      const edit = editOf(base, [operation]);
      const reply = await fetch(`${run.address}/api/v1/sites/quillmere/edits`, {
        method: 'POST',
        body: JSON.stringify(edit),
        headers: { 'Content-Type': 'application/json' },
      }).catch(() => null);
      const saved = (await reply?.json().catch(() => null)) as { revision?: number } | null | undefined;
      if (reply?.status !== 200 || saved?.revision === undefined) return;
      base = saved.revision;
      acknowledged.push(edit.id);
    }
  };
  const floods = [flood(), flood()];
  // Each time at another moment of the work, but not before there is some.
  while (acknowledged.length < before + 3 + (round % 5)) await new Promise((done) => setTimeout(done, 5));
  await new Promise((done) => setTimeout(done, (round * 7) % 23));
  await stopProcess(run, 'SIGKILL');
  isDead = true;
  await Promise.all(floods);
}

async function look(database: TestDatabase, acknowledged: readonly string[]): Promise<void> {
  const opened = await database.open();
  try {
    const head = await maybeSite(opened.database, 'quillmere');
    if (head === null) throw new Error('The site is gone.');
    await replayEqualsRows(opened.database, head.id, head.revision, acknowledged);
  } finally {
    await opened.close();
  }
}
