import type { Delivery } from './delivery.ts';

/**
 * What the editing side knows of delivery, which may run in another thread: answers that take a while say
 * when it is done.
 */
export interface PublicSide {
  readonly answer: Delivery['answer'];
  readonly forget: (siteKey: string) => void | Promise<void>;
  readonly forgetAll: () => void | Promise<void>;
}
