import { spawn, type ChildProcess } from 'node:child_process';
import { existsSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import type { StoredDocument } from '@zorvik/core';

/** The server as it is delivered, in processes of its own. */
const folder = new URL('../../../build/server/', import.meta.url);

export interface Begun {
  readonly child: ChildProcess;
  readonly output: () => string;
  readonly gone: Promise<number | null>;
}
export interface Run {
  readonly child: ChildProcess;
  readonly address: string;
  readonly delivery: string;
  readonly output: () => string;
  readonly gone: Promise<number | null>;
}

/** Another of the built programs than the server, with words for it. */
export interface Program {
  readonly program: string;
  readonly words: readonly string[];
}

export function begin(
  environment: Readonly<Record<string, string>>,
  { program, words }: Program = { program: 'main.js', words: [] },
): Begun {
  const path = fileURLToPath(new URL(program, folder));
  if (!existsSync(path)) throw new Error('The server is not built. Run `node scripts/setup.mjs` first.');
  const child = spawn(process.execPath, [path, ...words], {
    env: { ...process.env, PORT: '0', DELIVERY_PORT: '0', SITE_PORT: '0', ...environment },
    stdio: ['ignore', 'pipe', 'pipe'],
  });
  let output = '';
  child.stdout?.on('data', (piece: Buffer) => (output += piece.toString()));
  child.stderr?.on('data', (piece: Buffer) => (output += piece.toString()));
  const gone = new Promise<number | null>((done) => child.once('exit', (code) => done(code)));
  return { child, output: () => output, gone };
}

/** Starts one and waits until it is ready; throws what it said when it ends before. */
export async function startProcess(environment: Readonly<Record<string, string>>): Promise<Run> {
  const begun = begin(environment);
  for (;;) {
    const [, delivery, address] = /delivered at (\S+)\nZorvik ready at (\S+)/.exec(begun.output()) ?? [];
    if (delivery !== undefined && address !== undefined) return { ...begun, address, delivery };
    if (begun.child.exitCode !== null || begun.child.signalCode !== null) throw new Error(begun.output());
    await new Promise((done) => setTimeout(done, 20));
  }
}

export async function stopProcess(
  { child, gone }: Pick<Run, 'child' | 'gone'>,
  signal: NodeJS.Signals = 'SIGTERM',
): Promise<number | null> {
  child.kill(signal);
  return gone;
}

export async function readQuillmere(
  address: string,
): Promise<{ epoch: string; revision: number; document: StoredDocument }> {
  return (await (await fetch(`${address}/api/v1/sites/quillmere`)).json()) as {
    epoch: string;
    revision: number;
    document: StoredDocument;
  };
}
