import type { Person } from '@zorvik/contract';
import type { Id } from '@zorvik/core';

/**
 * The channel of LISTEN and NOTIFY on which the processes that share a database tell one another what
 * happened.
 */
export const CHANNEL = 'zorvik';

/** What is told; a payload of NOTIFY may have at most 8,000 bytes. */
export type Notice =
  | { readonly kind: 'site'; readonly site: string; readonly revision: number }
  | { readonly kind: 'edition'; readonly site: string; readonly number: number }
  | { readonly kind: 'reading'; readonly site: string }
  /** It was deleted, or came back. */
  | { readonly kind: 'deleted'; readonly site: string }
  /** All of the database was replaced from an archive. */
  | { readonly kind: 'restored' }
  | { readonly kind: 'here'; readonly site: string; readonly person: Person }
  | { readonly kind: 'left'; readonly site: string; readonly session: Id };

/** Hears every notice; null when some may have been missed, since the connection was away. */
export type Hear = (notice: Notice | null) => void;
