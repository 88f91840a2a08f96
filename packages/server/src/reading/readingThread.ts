import { parentPort, workerData } from 'node:worker_threads';
import type { FromReading, ReadingWork, ToReading } from './readInThread.ts';
import { progressOf, steered } from './siteReader.ts';
import { SiteReading } from './siteReading.ts';

/** The thread in which one site is read. It stays until it is let go of, since what was read stands here. */
const { address, limits } = workerData as ReadingWork;
const port = parentPort;
if (port === null) throw new Error('This runs as a thread of the editor.');
const tell = (message: FromReading): void => port.postMessage(message);
/** ms between two words of how far it is. */
const BEAT = 200;

const reading = new SiteReading(address, limits);
port.on('message', (message: ToReading) => {
  if (message.kind === 'steer') steered(reading, message.act);
  else
    tell({
      kind: 'tree',
      ticket: message.ticket,
      tree: { pages: reading.tree(message.trust), redirects: reading.redirects },
    });
  if (message.kind === 'steer') tell({ kind: 'progress', progress: progressOf(reading) });
});

const beat = setInterval(() => tell({ kind: 'progress', progress: progressOf(reading) }), BEAT);
await reading.run();
clearInterval(beat);
tell({ kind: 'ended', progress: progressOf(reading) });
