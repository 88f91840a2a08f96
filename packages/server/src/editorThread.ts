import { parentPort, workerData } from 'node:worker_threads';
import { startEditor } from './startEditor.ts';
import type { EditorWork, FromEditor, ToEditor } from './threads.ts';

/** The thread in which all editing happens. Whatever it is busy with, the public side goes on in its own. */
const { config, parts, path } = workerData as EditorWork;
const port = parentPort;
if (port === null) throw new Error('This runs as a thread of main.ts.');

const tell = (message: FromEditor): void => port.postMessage(message);
const waiting = new Map<number, () => void>();
let tickets = 0;

try {
  const editor = await startEditor(config, parts, {
    listenAt: { path },
    forget: (siteKey) =>
      new Promise((done) => {
        tickets += 1;
        waiting.set(tickets, done);
        tell({ kind: 'forget', ticket: tickets, siteKey });
      }),
  });
  port.on('message', (message: ToEditor) => {
    if (message.kind === 'forgotten') {
      waiting.get(message.ticket)?.();
      waiting.delete(message.ticket);
    } else if (message.kind === 'load') {
      const { ticket } = message;
      editor.loadEdition(message.siteKey).then(
        (edition) => tell({ kind: 'edition', ticket, edition }),
        (error: unknown) => tell({ kind: 'noEdition', ticket, message: String(error) }),
      );
    } else {
      // A promise that still waits for the public side would keep nobody: it is going, too.
      void editor.close().then(() => port.close());
    }
  });
  tell({ kind: 'ready' });
} catch (error) {
  tell({ kind: 'failed', message: error instanceof Error ? error.message : String(error) });
  port.close();
}
