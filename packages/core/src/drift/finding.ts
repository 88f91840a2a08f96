import { fillIn, type RefusalParams } from '../base/refusal.ts';
import type { Id } from '../base/ids.ts';

/** Each kind of disagreement, in a sentence; broken ones lead visitors to nothing. */
const kinds = {
  pageGone: { tone: 'broken', sentence: '“{label}” leads to a page that is gone' },
  addressGone: { tone: 'broken', sentence: '“{label}” leads to {address}, and the page there is gone' },
  anchorGone: { tone: 'broken', sentence: '“{label}” leads to #{anchor}, which “{page}” no longer has' },
  linkDead: { tone: 'broken', sentence: '“{label}” leads to {address}, which fails: {reason}' },
  pageDraft: { tone: 'look', sentence: '“{label}” leads to a page that went back to draft; it is held back' },
  pageNew: { tone: 'look', sentence: '“{page}” is new below “{branch}”, which this menu carries' },
  pageMoved: { tone: 'look', sentence: 'The page of “{label}” moved from “{was}” to “{now}”' },
  titleStale: { tone: 'look', sentence: '“{label}” is the page’s old title; it is called “{now}” now' },
  addressChanged: { tone: 'look', sentence: 'The page of “{label}” went from {was} to {now}' },
  addressRedirects: { tone: 'look', sentence: '“{label}” leads to {was}, which the site answers with {now}' },
  orderDiffers: { tone: 'look', sentence: 'Below “{label}”, the site has another order now: {names}' },
  kindChanged: { tone: 'look', sentence: 'The page of “{label}” was one of kind {was} and is one of kind {now}' },
  plannedLive: { tone: 'look', sentence: '“{label}” was planned, and the site has the page now' },
  exceptionLost: { tone: 'look', sentence: 'The exception for “{label}” below “{branch}” matches nothing any more' },
  sourceRenamed: { tone: 'look', sentence: '“{label}” stands for “{was}” of “{menu}”, which is called “{now}” now' },
} as const;

export type FindingKind = keyof typeof kinds;
export const findingKinds = Object.keys(kinds) as FindingKind[];
export type FindingTone = (typeof kinds)[FindingKind]['tone'];

/** What can be done about a finding. */
export type MendKind =
  | 'takeTitle'
  | 'agree'
  | 'moveThere'
  | 'leadThere'
  | 'addIt'
  | 'reorder'
  | 'otherAnchor'
  | 'dropAnchor'
  | 'takeLabel'
  | 'makeHeading'
  | 'remove'
  | 'removeException';

export interface Mend {
  readonly kind: MendKind;
  /** What it will change, in words. */
  readonly does: string;
  /** It neither adds nor removes an item, nor leads one elsewhere than its page: such mends may be done all at once. */
  readonly isSafe: boolean;
  /** The page to lead to, the anchor to lead to, or the item to move into. */
  readonly target?: Id;
}

/** One place where a menu and the site do not agree. */
export interface Finding {
  /** The same as long as it is about the same: its kind, and what it is about. */
  readonly id: string;
  readonly kind: FindingKind;
  readonly menu: Id;
  /** The item that it is about, or the menu or the item below which something is amiss. */
  readonly at: Id;
  readonly page: Id | null;
  readonly params: RefusalParams;
  /** What the site says, as a text: left with these facts, it is found again when they change. */
  readonly facts: string;
  /** The likely one first. */
  readonly mends: readonly Mend[];
  /** Items to move, with orderDiffers. */
  readonly items?: readonly Id[];
}

export function findingInWords({ kind, params }: Finding): string {
  return fillIn(kinds[kind].sentence, params);
}

export function toneOf({ kind }: Finding): FindingTone {
  return kinds[kind].tone;
}
