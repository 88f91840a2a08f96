import type { IncomingPage, SiteDocument } from '@zorvik/core';
import type { PageColumn, PageTable, RowProblem } from '@zorvik/formats';
import { documentFeed, type DocumentPiece } from './documentFeed.ts';
import type { PageChanges } from './pageFile.ts';

type Columns = readonly (PageColumn | null)[];

/** What the worker is told. */
export type ToPageFile =
  | ({ readonly kind: 'document' } & DocumentPiece)
  | {
      readonly kind: 'read';
      readonly ticket: number;
      readonly file: Uint8Array | string;
      readonly origin: string;
    }
  | {
      readonly kind: 'compare';
      readonly ticket: number;
      readonly columns: Columns;
      readonly missing: 'keep' | 'retire';
      /** How many lines with problems are wanted at most. */
      readonly most: number;
    }
  | { readonly kind: 'take'; readonly ticket: number; readonly columns: Columns };

/** A file as the page needs it: of a table, its first rows. */
export type ReadFile =
  | { readonly kind: 'table'; readonly table: PageTable }
  | { readonly kind: 'nested' }
  | { readonly kind: 'problem'; readonly problem: string };

/** What taking the file in would do. */
export interface ComparedFile {
  readonly count: number;
  readonly changes: PageChanges | null;
  readonly problems: readonly RowProblem[];
  readonly problemCount: number;
}

/** What the worker answers. */
export type FromPageFile =
  | { readonly kind: 'read'; readonly ticket: number; readonly file: ReadFile }
  | ({ readonly kind: 'compared'; readonly ticket: number } & ComparedFile)
  | { readonly kind: 'taken'; readonly ticket: number; readonly pages: readonly IncomingPage[] };

/** Rows of a table that are shown, so that one sees what its columns hold. */
export const SAMPLE = 3;

export interface PageFileClient {
  /** Each gives null when the same was asked anew meanwhile. */
  readonly read: (file: Uint8Array | string, origin: string) => Promise<ReadFile | null>;
  readonly compare: (
    document: SiteDocument,
    columns: Columns,
    missing: 'keep' | 'retire',
    most: number,
  ) => Promise<ComparedFile | null>;
  readonly take: (columns: Columns) => Promise<readonly IncomingPage[] | null>;
  readonly close: () => void;
}

type Answer<K extends FromPageFile['kind']> = Extract<FromPageFile, { readonly kind: K }>;

/** A worker that reads one file at a time. */
export function pageFileClient(): PageFileClient {
  const worker = new Worker(new URL('./pageFile.worker.ts', import.meta.url), { type: 'module' });
  const feed = documentFeed();
  let tickets = 0;
  const waiting = new Map<
    FromPageFile['kind'],
    { readonly ticket: number; readonly done: (answer: FromPageFile | null) => void }
  >();
  worker.onmessage = ({ data }: MessageEvent<FromPageFile>) => {
    const present = waiting.get(data.kind);
    if (present?.ticket !== data.ticket) return;
    waiting.delete(data.kind);
    present.done(data);
  };

  function asked<K extends FromPageFile['kind']>(
    kind: K,
    send: (ticket: number) => void,
  ): Promise<Answer<K> | null> {
    waiting.get(kind)?.done(null);
    tickets += 1;
    const ticket = tickets;
    return new Promise((done) => {
      waiting.set(kind, { ticket, done: done as (answer: FromPageFile | null) => void });
      send(ticket);
    });
  }
  const tell = (message: ToPageFile): void => worker.postMessage(message);

  return {
    async read(file, origin) {
      const answer = await asked('read', (ticket) => tell({ kind: 'read', ticket, file, origin }));
      return answer?.file ?? null;
    },
    async compare(document, columns, missing, most) {
      return asked('compared', (ticket) => {
        void feed(document, (piece) => tell({ kind: 'document', ...piece })).then(() =>
          tell({ kind: 'compare', ticket, columns, missing, most }),
        );
      });
    },
    async take(columns) {
      const answer = await asked('taken', (ticket) => tell({ kind: 'take', ticket, columns }));
      return answer?.pages ?? null;
    },
    close: () => worker.terminate(),
  };
}
