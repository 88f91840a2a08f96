import { spawn, type ChildProcess } from 'node:child_process';
import { mkdtemp, rm } from 'node:fs/promises';
import { createServer, type AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';

/** Zorvik with its stand-in site, as `npm start` runs them, on free ports and data of its own. */
export interface Stack {
  readonly editor: string;
  readonly site: string;
  readonly delivery: string;
  readonly data: string;
  /** Ends the process by a signal and waits until it is gone. */
  readonly stop: (signal?: NodeJS.Signals) => Promise<void>;
  /** Starts it again on the same ports and the same data. */
  readonly start: () => Promise<void>;
  readonly remove: () => Promise<void>;
}

const script = fileURLToPath(new URL('../scripts/start.mjs', import.meta.url));

export async function openStack(): Promise<Stack> {
  const data = await mkdtemp(join(tmpdir(), 'zorvik-data-'));
  const [port, sitePort, deliveryPort] = [await freePort(), await freePort(), await freePort()];
  let child: ChildProcess | null = null;
  const start = async (): Promise<void> => {
    const environment = { ...process.env, PORT: String(port), SITE_PORT: String(sitePort), DELIVERY_PORT: String(deliveryPort), ZORVIK_DATA: data };
    child = spawn(process.execPath, [script], { env: environment, stdio: ['ignore', 'pipe', 'pipe'] });
    await said(child, 'The stand-in site at');
  };
  const stop = async (signal: NodeJS.Signals = 'SIGTERM'): Promise<void> => {
    const running = child;
    child = null;
    if (running === null || running.exitCode !== null) return;
    const gone = new Promise((done) => running.once('exit', done));
    running.kill(signal);
    await gone;
  };
  await start();
  const remove = async (): Promise<void> => {
    await stop();
    await rm(data, { recursive: true, force: true, maxRetries: 5 });
  };
  return { editor: `http://127.0.0.1:${port}`, site: `http://127.0.0.1:${sitePort}`, delivery: `http://127.0.0.1:${deliveryPort}`, data, stop, start, remove };
}

/** Waits until a process has printed a text; fails with all that it printed when it ends before. */
function said(child: ChildProcess, text: string): Promise<void> {
  return new Promise((done, fail) => {
    let output = '';
    const hear = (piece: Buffer): void => {
      output += piece.toString();
      if (output.includes(text)) done();
    };
    child.stdout?.on('data', hear);
    child.stderr?.on('data', hear);
    child.once('exit', () => fail(new Error(`It ended before it said “${text}”: ${output}`)));
  });
}

export function freePort(): Promise<number> {
  return new Promise((done, fail) => {
    const server = createServer();
    server.once('error', fail);
    server.listen(0, '127.0.0.1', () => {
      const { port } = server.address() as AddressInfo;
      server.close(() => done(port));
    });
  });
}
