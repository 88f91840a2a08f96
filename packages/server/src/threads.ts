import type { LoadedEdition } from './delivery/loadEdition.ts';
import type { OutOfDate } from './delivery/publicSide.ts';
import type { PreviewReply } from './editing/answerPreview.ts';
import type { Config } from './config.ts';
import type { Parts } from './startEditor.ts';

/** What the editing thread is started with. */
export interface EditorWork {
  readonly config: Config;
  readonly parts: Parts;
  /** An earlier thread of this process ended by an error; its lock on the data folder is still there. */
  readonly isRestart: boolean;
}

/** What the editing thread says. */
export type FromEditor =
  /** The database is open; now it wants to hear where editions are delivered. */
  | { readonly kind: 'opened' }
  /** It listens. */
  | { readonly kind: 'ready'; readonly address: string }
  /** It could not start; the sentence is for the person who started it. */
  | { readonly kind: 'failed'; readonly message: string }
  | ({ readonly kind: 'forget'; readonly ticket: number } & OutOfDate)
  | { readonly kind: 'edition'; readonly ticket: number; readonly edition: LoadedEdition }
  | { readonly kind: 'previewed'; readonly ticket: number; readonly reply: PreviewReply }
  | { readonly kind: 'unanswered'; readonly ticket: number; readonly message: string };

/** What it is told. */
export type ToEditor =
  | { readonly kind: 'deliveryAt'; readonly address: string }
  | { readonly kind: 'forgotten'; readonly ticket: number }
  | { readonly kind: 'load'; readonly ticket: number; readonly siteKey: string }
  | { readonly kind: 'preview'; readonly ticket: number; readonly path: string }
  | { readonly kind: 'close' };
