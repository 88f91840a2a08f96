import type { Placing } from '@zorvik/core';
import type { TreePage } from '@zorvik/formats';
import { SiteReading, type ReadingLimits, type ReadingProblem, type ReadingState } from './siteReading.ts';

/** How far a reading is. */
export interface ReadingProgress {
  readonly state: ReadingState;
  /** Pages read, and addresses that wait. */
  readonly read: number;
  readonly waiting: number;
  /** Why it failed. */
  readonly reason: string | null;
  readonly problems: readonly ReadingProblem[];
}

/** What was read, as a tree, with the addresses that led elsewhere. */
export interface ReadTree {
  readonly pages: readonly TreePage[];
  readonly redirects: ReadonlyMap<string, string>;
}

export type Steer = 'pause' | 'goOn' | 'cancel';

/** The reading of a site, wherever it happens. */
export interface SiteReader {
  readonly origin: string;
  readonly progress: () => ReadingProgress;
  readonly steer: (act: Steer) => void;
  /** Once it is done; `trust` puts one kind of evidence first. */
  readonly tree: (trust: Placing | null) => Promise<ReadTree>;
  /** Settles when it is done, has failed or was ended. */
  readonly ended: Promise<void>;
  /** Lets go of it and of all that it read. */
  readonly close: () => void;
}

export type OpenReading = (address: string, limits: ReadingLimits) => SiteReader;

export function progressOf({ state, read, waiting, reason, problems }: SiteReading): ReadingProgress {
  return { state, read, waiting, reason, problems: [...problems] };
}

export function steered(reading: SiteReading, act: Steer): void {
  if (act === 'pause') reading.pause();
  else if (act === 'goOn') reading.goOn();
  else reading.cancel();
}

/** Reads in the thread that asks, between its other work. */
export const readHere: OpenReading = (address, limits) => {
  const reading = new SiteReading(address, limits);
  return {
    origin: reading.origin,
    progress: () => progressOf(reading),
    steer: (act) => steered(reading, act),
    tree: (trust) => Promise.resolve({ pages: reading.tree(trust), redirects: reading.redirects }),
    ended: reading.run(),
    close: () => reading.cancel(),
  };
};
