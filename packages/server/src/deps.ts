import type { Actor, RandomBits } from '@zorvik/core';
import type { Logger } from 'pino';
import type { Hub } from './announcing/hub.ts';
import type { Presence } from './announcing/presence.ts';
import type { PublicSide } from './delivery/publicSide.ts';
import type { OpenReading } from './reading/siteReader.ts';
import type { PictureMaker } from './editing/pictureMaker.ts';
import type { EditingDeps } from './editing/editingDeps.ts';

/** All that the application stands on; `main.ts` makes it for real, tests make it with what they need. */
export interface Deps extends EditingDeps {
  readonly hub: Hub;
  readonly presence: Presence;
  readonly delivery: PublicSide;
  readonly random: RandomBits;
  readonly log: Logger;
  /** Who acts, until sign-in exists: the person at this machine. */
  readonly actor: Actor;
  readonly importLimit: number;
  readonly bodyLimit: number;
  /** The built editor, or null when only the API is wanted. */
  readonly webFolder: string | null;
  /** Where the stand-in site answers, for the link in the editor; null when it does not run. */
  readonly standIn: string | null;
  /** Origins that may be read although they are on this machine or in a private network. */
  readonly readable: ReadonlySet<string>;
  /** How a site is read: in a thread of its own, or here. */
  readonly openReading: OpenReading;
  /** What makes the pictures that are stored of those that are uploaded. */
  readonly pictures: PictureMaker;
  /** Where editions are delivered, without a slash at its end. */
  readonly deliveryAddress: string;
}
