import * as Type from 'typebox';
import type { Static } from 'typebox';
import { closed, IdShape } from './shapes.ts';

/** The most characters of the reason for ignoring a finding. */
export const LONGEST_REASON = 1000;

/**
 * A finding of drift that somebody leaves as it is, for a reason: until what it was about changes again. Its
 * parent is the site.
 */
export const LeftFindingShape = Type.Object(
  {
    id: IdShape,
    parent: IdShape,
    /** Which finding: its kind, and what it is about. */
    finding: Type.String({ minLength: 1, maxLength: 200 }),
    /** What the facts were that it was found by. */
    facts: Type.String({ maxLength: 8000 }),
    reason: Type.String({ maxLength: LONGEST_REASON }),
  },
  closed,
);
/** A finding that somebody chose to ignore, and why. */
export type LeftFinding = Static<typeof LeftFindingShape>;
