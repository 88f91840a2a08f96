import type { Delivery } from './delivery.ts';

/**
 * What the editing side knows of delivery, which may run in another thread: answers that take a while say
 * when it is done.
 */
export interface PublicSide {
  readonly answer: Delivery['answer'];
  readonly renew: Delivery['renew'];
  readonly forget: (siteKey: string) => void | Promise<void>;
  readonly forgetAll: () => void | Promise<void>;
}

/** Which editions delivery has to read anew: of one site, or of all where it is null. */
export interface OutOfDate {
  readonly siteKey: string | null;
  /** The number of the edition that comes in its place; null: nothing of what is in memory is served any more. */
  readonly edition: number | null;
}
