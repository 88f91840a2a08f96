import type { Params, Phrase } from '../base/fillIn.ts';
import type { FixCode } from '../base/findingWords.ts';
import { inWords, phrase, sentence, type PhraseCode, type Sentence } from '../base/sentences.ts';
import type { Destination } from '../schema/item.ts';
import type { Id } from '../base/ids.ts';

/** Each kind of difference: what fails visitors, what is wrong or out of date for them, and what is only news. */
const tones = {
  pageGone: 'broken',
  addressGone: 'broken',
  anchorGone: 'broken',
  linkDead: 'broken',
  pageDraft: 'wrong',
  titleStale: 'wrong',
  pageMoved: 'wrong',
  orderDiffers: 'wrong',
  sourceRenamed: 'wrong',
  addressRedirects: 'wrong',
  pageNew: 'news',
  plannedLive: 'news',
  addressChanged: 'news',
  addressOfPage: 'news',
  kindChanged: 'news',
  exceptionLost: 'news',
} as const satisfies Partial<Record<PhraseCode, string>>;

/** A kind of finding; docs/drift.md explains each. */
export type FindingKind = keyof typeof tones;
/** All kinds of findings. */
export const findingKinds = Object.keys(tones) as FindingKind[];
/** How urgent a finding is: broken, wrong for visitors, or news. */
export type FindingTone = (typeof tones)[FindingKind];

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
  | 'unlink'
  | 'removeException';

/** A fix that a finding offers. */
export interface Mend {
  readonly kind: MendKind;
  /** What it will change, as words that are filled in. */
  readonly code: FixCode;
  readonly params: Params;
  /**
   * It neither adds nor removes an item, nor leads one elsewhere than its page: such mends may be done all at
   * once.
   */
  readonly isSafe: boolean;
  /** The page to lead to, the anchor to lead to, or the item to move into. */
  readonly target?: Id;
}

/** One difference between a menu and the site's pages that nobody chose. */
export interface Finding {
  /** The same as long as it is about the same: its kind, and what it is about. */
  readonly id: string;
  readonly kind: FindingKind;
  readonly menu: Id;
  /** The item that it is about, or the menu or the item below which something is amiss. */
  readonly at: Id;
  readonly page: Id | null;
  /** The part of the item's panel that it is about. */
  readonly part?: Id;
  /** The part is one of the frame, and of no panel: `menu` and `at` are the site then. */
  readonly isInFrame?: true;
  /** With `part`: which of its links, as it is. */
  readonly link?: Destination;
  readonly params: Params;
  /** What the site says, as a text: left with these facts, it is found again when they change. */
  readonly facts: string;
  /** The likely one first. */
  readonly mends: readonly Mend[];
  /** Items to move, with orderDiffers. */
  readonly items?: readonly Id[];
}

/** What a finding says, as data. */
export function findingPhrase({ kind, part, isInFrame, params }: Finding): Phrase {
  // Only kinds that are told of panels and frames have a part (a test).
  const where = isInFrame === true ? 'InFrame' : 'InPanel';
  return phrase(part === undefined ? kind : (`${kind}${where}` as PhraseCode), params);
}

/** A finding as a sentence. */
export function findingInWords(finding: Finding): string {
  return inWords(findingPhrase(finding));
}

/** What a fix will do, as its button says it. */
export function fixInWords({ code, params }: Mend): string {
  return inWords(phrase(code, params));
}

/** What a fix has done, for the history. */
export function fixedSentence({ code, params }: Mend): Sentence {
  return sentence(`${code}Done`, params);
}

/** How urgent a finding is. */
export function toneOf({ kind }: Finding): FindingTone {
  return tones[kind];
}
