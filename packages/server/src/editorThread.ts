import { parentPort, workerData } from 'node:worker_threads';
import type { LoadedEdition } from './delivery/loadEdition.ts';
import { startEditor, type RunningEditor } from './startEditor.ts';
import type { EditorWork, FromEditor, ToEditor } from './threads.ts';

/** The thread in which all editing happens. Whatever it is busy with, delivery goes on in its own. */
const { config, parts, isRestart } = workerData as EditorWork;
const port = parentPort;
if (port === null) throw new Error('This runs as a thread of main.ts.');

const tell = (message: FromEditor, handedOver: readonly ArrayBuffer[] = []): void =>
  port.postMessage(message, [...handedOver]);
const waiting = new Map<number, () => void>();
let tickets = 0;
let deliveryIs: { readonly at: (address: string) => void; readonly nowhere: (error: Error) => void } | null =
  null;

const starting: Promise<RunningEditor> = startEditor(config, parts, {
  isRestart,
  deliveryAddress: () =>
    new Promise((at, nowhere) => {
      deliveryIs = { at, nowhere };
      tell({ kind: 'opened' });
    }),
  forget: (outOfDate) =>
    new Promise((done) => {
      tickets += 1;
      waiting.set(tickets, done);
      tell({ kind: 'forget', ticket: tickets, ...outOfDate });
    }),
});

/** Files are handed over, and not copied: the thread that takes them would stand still for that long. */
function tellEdition(ticket: number, edition: LoadedEdition): void {
  const packed = edition.kind === 'files' ? edition.files.flatMap(({ gzip, brotli }) => [gzip, brotli]) : [];
  const whole = packed.flatMap((bytes) =>
    bytes?.buffer instanceof ArrayBuffer && bytes.byteLength === bytes.buffer.byteLength
      ? [bytes.buffer]
      : [],
  );
  tell({ kind: 'edition', ticket, edition }, whole);
}

port.on('message', (message: ToEditor) => {
  if (message.kind === 'deliveryAt') deliveryIs?.at(message.address);
  else if (message.kind === 'forgotten') {
    waiting.get(message.ticket)?.();
    waiting.delete(message.ticket);
  } else if (message.kind === 'load' || message.kind === 'preview') {
    const { ticket } = message;
    starting
      .then(async (editor) =>
        message.kind === 'load'
          ? tellEdition(ticket, await editor.loadEdition(message.siteKey))
          : tell({ kind: 'previewed', ticket, reply: await editor.answerPreview(message.path) }),
      )
      .catch((error: unknown) => tell({ kind: 'unanswered', ticket, message: String(error) }));
  } else {
    // Without delivery it does not come to listen: it closes the database, and is done.
    deliveryIs?.nowhere(new Error('It was closed before it listened.'));
    // A promise that still waits for the other thread would keep nobody: that is going, too.
    void starting
      .then(
        (editor) => editor.close(),
        () => undefined,
      )
      .finally(() => port.close());
  }
});

try {
  const { address } = await starting;
  tell({ kind: 'ready', address });
} catch (error) {
  tell({ kind: 'failed', message: error instanceof Error ? error.message : String(error) });
  port.close();
}
