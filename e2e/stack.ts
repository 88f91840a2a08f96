import { spawn, type ChildProcess } from 'node:child_process';
import { randomInt } from 'node:crypto';
import { cp, mkdtemp, rm } from 'node:fs/promises';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';

/** Zorvik with its stand-in site, as `npm start` runs them, on free ports and its own data. */
export interface Stack {
  readonly editor: string;
  readonly site: string;
  readonly delivery: string;
  readonly data: string;
  /** Ends the process by a signal and waits until it is gone. */
  readonly stop: (signal?: NodeJS.Signals) => Promise<void>;
  /** Starts it again on the same ports and the same data. */
  readonly start: () => Promise<void>;
}

/** A stack that this process owns. */
export interface OwnStack extends Stack {
  /** Starts it again on the same ports, with the data of a first start. */
  readonly renew: () => Promise<void>;
  readonly remove: () => Promise<void>;
}

const script = fileURLToPath(new URL('../scripts/start.mjs', import.meta.url));
/** A data folder as it is after a first start; `scripts/setup.mjs` makes it. */
const firstData = fileURLToPath(new URL('../build/quillmere-data', import.meta.url));

/**
 * `isFirstStart`: on no data at all, as a new user starts it, which takes some seconds; otherwise on the data
 * that such a start has left.
 */
export async function openStack({ isFirstStart = false } = {}): Promise<OwnStack> {
  const data = await mkdtemp(join(tmpdir(), 'zorvik-data-'));
  const [port, sitePort, deliveryPort] = [await freePort(), await freePort(), await freePort()];
  let child: ChildProcess | null = null;
  const start = async (): Promise<void> => {
    const environment = {
      ...process.env,
      PORT: String(port),
      SITE_PORT: String(sitePort),
      DELIVERY_PORT: String(deliveryPort),
      ZORVIK_DATA: data,
    };
    child = spawn(process.execPath, [script], { env: environment, stdio: ['ignore', 'pipe', 'pipe'] });
    await printed(child, 'The stand-in site at');
  };
  const stop = async (signal: NodeJS.Signals = 'SIGTERM'): Promise<void> => {
    const running = child;
    child = null;
    if (running === null || running.exitCode !== null || running.signalCode !== null) return;
    const gone = new Promise((done) => running.once('exit', done));
    running.kill(signal);
    await gone;
  };
  const renew = async (): Promise<void> => {
    await stop('SIGKILL');
    await rm(data, { recursive: true, force: true, maxRetries: 5 });
    if (!isFirstStart) await cp(firstData, data, { recursive: true });
    await start();
  };
  const remove = async (): Promise<void> => {
    await stop();
    await rm(data, { recursive: true, force: true, maxRetries: 5 });
  };
  await renew();
  const at = (where: number): string => `http://127.0.0.1:${where}`;
  return {
    editor: at(port),
    site: at(sitePort),
    delivery: at(deliveryPort),
    data,
    stop,
    start,
    renew,
    remove,
  };
}

/** Waits until a process has printed a text; fails with all that it printed when it ends before. */
function printed(child: ChildProcess, text: string): Promise<void> {
  return new Promise((done, fail) => {
    let output = '';
    const add = (piece: Buffer): void => {
      output += piece.toString();
      if (output.includes(text)) done();
    };
    child.stdout?.on('data', add);
    child.stderr?.on('data', add);
    child.once('exit', () => fail(new Error(`It ended before it printed “${text}”: ${output}`)));
  });
}

/** Below this, the system gives no port to a connection that goes out. */
const OUTGOING = 32_768;
const LOWEST = 20_000;

/**
 * A port that nothing listens at. It stays free while a server is down and started again: a connection that goes
 * out meanwhile cannot have it.
 */
export async function freePort(): Promise<number> {
  for (;;) {
    const port = LOWEST + randomInt(OUTGOING - LOWEST);
    if (await isFree(port)) return port;
  }
}

function isFree(port: number): Promise<boolean> {
  return new Promise((done) => {
    const server = createServer();
    server.once('error', () => done(false));
    server.listen(port, '127.0.0.1', () => server.close(() => done(true)));
  });
}
