import type { SiteDocument } from '../model/document.ts';
import { ONLY_MORE_LISTS } from '../model/stored.ts';
import type { Operation } from '../ops/registry.ts';
import { coloursIntoLooks } from './coloursIntoLooks.ts';
import { placementsIntoFrame } from './placementsIntoFrame.ts';
import { renewPlacements } from './renewPlacements.ts';
import { renamePartFields } from './renamePartFields.ts';

/** How the document of a site gets from one format to the next. */
export interface UpgradeStep {
  /** The format that it leads to, from the one before. */
  readonly to: number;
  /**
   * What changes in the document. A step is frozen once it has been released: what it meant to write, it must
   * write for ever, since sites that nobody has opened since are upgraded years later.
   */
  readonly operations: (document: SiteDocument) => readonly Operation[];
}

const withNewPartFields = renamePartFields({ fit: 'cropping', scope: 'extraParameter' });

/** All steps, oldest first. What is older than the first is read as the format that it begins at. */
export const upgradeSteps: readonly UpgradeStep[] = [
  {
    to: ONLY_MORE_LISTS + 1,
    operations: (document) => [...withNewPartFields(document), ...renewPlacements(document)],
  },
  { to: ONLY_MORE_LISTS + 2, operations: placementsIntoFrame },
  // Looks: one more list. What was published keeps its looks, which are those of the first starter.
  { to: ONLY_MORE_LISTS + 3, operations: () => [] },
  // Colours, fonts and lengths with names: one more list.
  { to: ONLY_MORE_LISTS + 4, operations: () => [] },
  // CSS that somebody wrote: one more list.
  { to: ONLY_MORE_LISTS + 5, operations: () => [] },
  // Colours of icons and badges are looks of their item, like all others.
  { to: ONLY_MORE_LISTS + 6, operations: coloursIntoLooks },
];
