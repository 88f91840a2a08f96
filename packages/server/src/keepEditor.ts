import type { Logger } from 'pino';
import type { LoadedEdition } from './delivery/loadEdition.ts';
import type { AnswerPreview } from './editing/answerPreview.ts';
import { startEditorThread, type EditorThread, type Forget } from './editorThreadClient.ts';
import type { EditorWork } from './threads.ts';

/** An editor that is started again whenever its thread ends by an error. */
export interface KeptEditor extends Pick<EditorThread, 'opened' | 'begin' | 'close'> {
  /** Loads a site's edition; while the editor is being started again, this waits for it. */
  readonly load: (siteKey: string) => Promise<LoadedEdition>;
  /** Answers at an address of a preview, with the same patience. */
  readonly preview: AnswerPreview;
  readonly onForget: (act: Forget) => void;
}

/** How long a visitor's request waits for an editor that is being started again, in ms. */
const PATIENCE = 30_000;

/** How long to wait before the editor is started again, in ms: twice as long after each try that failed. */
const FIRST_WAIT = 250;
const LONGEST_WAIT = 30_000;

/**
 * Starts the editor's thread. The first start may fail, with a sentence for the person who started Zorvik.
 * From then on an error ends only the thread: it is logged, and the editor is started again at the same
 * address, on what was committed.
 */
export function keepEditor(file: URL, work: Omit<EditorWork, 'isRestart'>, log: Logger): KeptEditor {
  let forget: Forget = () => undefined;
  const start = (given: EditorWork): EditorThread =>
    startEditorThread(file, given, (outOfDate) => forget(outOfDate));
  let isClosing = false;
  const hasEnded = new WeakSet<EditorThread>();
  let thread = start({ ...work, isRestart: false });
  /** Settles when the thread that is there now answers. */
  let answering: Promise<unknown> = thread.opened;
  answering.catch(() => undefined);

  function watch(deliveryAddress: string, port: number): void {
    const watched = thread;
    void watched.ended.then((error) => {
      hasEnded.add(watched);
      if (isClosing) return;
      log.error(
        { stack: error?.stack },
        'The editor stopped with an error and is being restarted; delivery continues',
      );
      answering = startAgain(deliveryAddress, port);
    });
  }

  async function startAgain(deliveryAddress: string, port: number): Promise<void> {
    const again: EditorWork = { ...work, config: { ...work.config, port }, isRestart: true };
    for (let wait = FIRST_WAIT; !isClosing; wait = Math.min(2 * wait, LONGEST_WAIT)) {
      thread = start(again);
      try {
        await thread.opened;
        await thread.begin(deliveryAddress);
        // It may have published just before it ended, and not have said so.
        void forget({ siteKey: null, edition: null });
        log.warn('The editor is back');
        return watch(deliveryAddress, port);
      } catch (error) {
        log.error(
          { stack: error instanceof Error ? error.stack : String(error) },
          'The editor could not be restarted; trying again',
        );
        await thread.ended;
        await new Promise((done) => setTimeout(done, wait).unref());
      }
    }
  }

  async function patiently<T extends object>(ask: (thread: EditorThread) => Promise<T>): Promise<T> {
    const late = tooLong();
    for (;;) {
      await Promise.race([answering, late]);
      const asked = thread;
      const answer = await Promise.race([ask(asked), late]).catch((error: unknown) => error as Error);
      if (!(answer instanceof Error)) return answer;
      // Where the thread has ended meanwhile, the next one is asked.
      await new Promise(setImmediate);
      if (!hasEnded.has(asked) || isClosing) throw answer;
    }
  }

  return {
    opened: thread.opened,
    async begin(deliveryAddress) {
      const address = await thread.begin(deliveryAddress);
      watch(deliveryAddress, Number(new URL(address).port));
      return address;
    },
    load: (siteKey) => patiently((one) => one.load(siteKey)),
    preview: (path) => patiently((one) => one.preview(path)),
    onForget: (act) => void (forget = act),
    async close() {
      isClosing = true;
      await thread.close();
    },
  };
}

function tooLong(): Promise<never> {
  const late = new Promise<never>((_, fail) =>
    setTimeout(() => fail(new Error('The editor is not back yet.')), PATIENCE).unref(),
  );
  late.catch(() => undefined);
  return late;
}
