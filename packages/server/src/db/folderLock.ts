import { readFileSync } from 'node:fs';
import { open, readFile, rm, writeFile } from 'node:fs/promises';
import { hostname } from 'node:os';
import { join } from 'node:path';

/** Whose lock it is. A process is known by its id and its start, since ids are given out again. */
interface Holder {
  readonly pid: number;
  readonly started: string;
  readonly host: string;
  /** Where the process answers; absent until it listens. */
  readonly address?: string;
}

/**
 * Locks a data folder for this process: two processes on one folder would corrupt it silently. A lock that a
 * killed process left behind is recognised and taken over. Gives the release; throws a sentence when the
 * folder is in use. `isRestart`: a lock of this very process was left behind by a thread that ended, and is
 * taken over as well.
 */
export async function lockFolder(folder: string, isRestart = false): Promise<() => Promise<void>> {
  const path = join(folder, 'zorvik.lock');
  const own: Holder = { pid: process.pid, started: startOf(process.pid), host: hostname() };
  for (let attempt = 0; attempt < 3; attempt += 1) {
    if (await createdWith(path, JSON.stringify(own))) return () => rm(path, { force: true });
    const holder = await readHolder(path);
    const isOwn =
      isRestart && holder?.pid === own.pid && holder.started === own.started && holder.host === own.host;
    if (holder !== null && !isOwn && isAlive(holder)) {
      throw new Error(
        `The data folder ${folder} is in use by another Zorvik (process ${holder.pid} on ${holder.host}). Stop that one, or set ZORVIK_DATA to another folder.`,
      );
    }
    await rm(path, { force: true });
  }
  throw new Error(
    `The data folder ${folder} could not be locked: another process keeps taking it. Try again.`,
  );
}

/**
 * Writes into the lock where its holder answers, so that others on this machine can ask it for what they
 * cannot open themselves.
 */
export async function tellAddress(folder: string, address: string): Promise<void> {
  const path = join(folder, 'zorvik.lock');
  const holder = await readHolder(path);
  if (holder?.pid === process.pid) await writeFile(path, JSON.stringify({ ...holder, address }));
}

/** Where the process answers that holds a folder; null: nobody holds it, or it does not listen yet. */
export async function addressOfHolder(folder: string): Promise<string | null> {
  const holder = await readHolder(join(folder, 'zorvik.lock'));
  return holder !== null && isAlive(holder) ? (holder.address ?? null) : null;
}

async function createdWith(path: string, text: string): Promise<boolean> {
  try {
    const file = await open(path, 'wx');
    await file.writeFile(text);
    await file.close();
    return true;
  } catch (error) {
    if ((error as NodeJS.ErrnoException).code === 'EEXIST') return false;
    throw error;
  }
}

/** Null when the lock cannot be read: it was just released, or its writer was killed halfway. */
async function readHolder(path: string): Promise<Holder | null> {
  try {
    return JSON.parse(await readFile(path, 'utf8')) as Holder;
  } catch {
    // Both reasons mean that nobody holds it.
    return null;
  }
}

function isAlive({ pid, started, host }: Holder): boolean {
  if (host !== hostname()) return true;
  try {
    process.kill(pid, 0);
  } catch (error) {
    return (error as NodeJS.ErrnoException).code === 'EPERM';
  }
  return startOf(pid) === started;
}

/**
 * When a process started, in clock ticks since boot (proc(5), field 22 of stat); empty where there is no
 * /proc.
 */
function startOf(pid: number): string {
  try {
    const stat = readFileSync(`/proc/${pid}/stat`, 'utf8');
    return stat.slice(stat.lastIndexOf(')') + 2).split(' ')[19] ?? '';
  } catch {
    // Not Linux: the id alone has to do.
    return '';
  }
}
