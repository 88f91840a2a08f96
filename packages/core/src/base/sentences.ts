import { fillIn, type RefusalParams } from './refusal.ts';

/** What an edit did, in plain words: for the history, for screen readers and for "what changed since". */
const templates = {
  pageAdded: 'Added the page “{label}”',
  pagesAdded: 'Added {count} pages under “{label}”',
  pageChanged: 'Changed the page “{label}”',
  pageRenamed: 'Renamed the page “{was}” to “{label}”',
  pageMoved: 'Moved the page “{label}” under “{parent}”',
  pageReordered: 'Reordered the page “{label}” within “{parent}”',
  pagesMoved: 'Moved {count} pages under “{parent}”',
  pagesState: '{count} pages are {state} now',
  pageReaddressed: '“{label}” has the address {address}',
  pageRetired: 'Retired the page “{label}”',
  pageRemoved: 'Took back the page “{label}”',
  pagesRead: 'Read the site’s pages: {added} new, {changed} changed, {gone} gone',
  menuAdded: 'Made the menu “{label}”',
  menuChanged: 'Changed the menu “{label}”',
  menuRenamed: 'Renamed the menu “{was}” to “{label}”',
  menuMoved: 'Reordered the menu “{label}”',
  followedHidden: 'Hid “{label}”, which is followed',
  followSet: 'Changed what “{label}” follows',
  itemPinned: 'Changed where “{label}” stands among what is followed',
  nowFollows: '“{label}” follows {source}',
  followChanged: 'Changed how “{label}” follows {source}',
  unfollowed: '“{label}” follows no more; {count} items are its own now',
  exceptionTaken: '“{label}” is again as what it follows',
  menuRemoved: 'Retired the menu “{label}”',
  itemAdded: 'Added “{label}” to “{parent}”',
  itemsAdded: 'Added {count} items to “{parent}”',
  itemChanged: 'Changed “{label}”',
  itemRenamed: 'Renamed “{was}” to “{label}”',
  itemTitled: '“{label}” takes its page’s title',
  itemLeads: '“{label}” leads to {target}',
  itemsChanged: 'Changed {what} of {count} items',
  itemSet: 'Changed {what} of “{label}”',
  itemMoved: 'Moved “{label}” into “{parent}”',
  itemReordered: 'Reordered “{label}” within “{parent}”',
  itemsMoved: 'Moved {count} items into “{parent}”',
  severalRemoved: 'Removed {count} items',
  itemsDuplicated: 'Duplicated {count} items',
  itemsPasted: 'Pasted {count} items into “{parent}”',
  itemsDecided: 'Settled where {count} items lead',
  madeAlike: 'Made {count} items like “{label}”: {what}',
  itemRemoved: 'Removed “{label}”',
  itemsRemoved: 'Removed “{label}” and {count} below it',
  linkShared: 'Made “{label}” a shared link',
  linkUsed: '“{label}” shows the shared link “{link}”',
  linkDetached: 'Detached “{label}” from its shared link',
  linkAdded: 'Made the shared link “{label}”',
  linkChanged: 'Changed the shared link “{label}”, which {count} items show',
  linkMoved: 'Reordered the shared link “{label}”',
  linkRemoved: 'Removed the shared link “{label}”',
  fieldAdded: 'Made the field “{label}”',
  fieldChanged: 'Changed the field “{label}”',
  fieldMoved: 'Reordered the field “{label}”',
  fieldRemoved: 'Removed the field “{label}”',
  partAdded: 'Added {what} to the panel of “{label}”',
  partChanged: 'Changed {what} in the panel of “{label}”',
  partMoved: 'Moved {what} within the panel of “{label}”',
  partRemoved: 'Took {what} out of the panel of “{label}”',
  partDuplicated: 'Duplicated {what} in the panel of “{label}”',
  panelComposed: 'Began to compose the panel of “{label}”',
  panelPlain: 'Made the panel of “{label}” plain columns again',
  cellShaped: 'Made a cell in the panel of “{label}” {span} of 12 columns wide',
  presetUsed: 'Used “{preset}” for the panel of “{label}”',
  presetSaved: 'Saved the panel of “{label}” as “{preset}”',
  presetAdded: 'Saved the preset “{label}”',
  presetRenamed: 'Renamed the preset “{was}” to “{label}”',
  presetRemoved: 'Removed the preset “{label}”',
  driftMended: 'Mended: {what}',
  driftsMended: 'Mended {count} findings',
  findingLeft: 'Left as it is: {what}',
  findingsLeft: 'Left {count} findings as they are',
  findingTakenUp: 'Took up a finding again',
  pagePlanned: 'Planned the page “{label}”, and added it to “{parent}”',
  menuCopied: 'Made the menu “{label}” as a copy of “{was}”',
  menuFilled: 'Made the menu “{label}” with {count} items',
  menuBrought: 'Brought {count} items into “{parent}”',
  placementAdded: 'Placed “{label}” in the {place}',
  placementChanged: 'Changed where “{label}” stands',
  placementMoved: 'Reordered “{label}” within the {place}',
  placementRemoved: 'Took “{label}” out of the {place}',
  undone: 'Took back: {sentence}',
  redone: 'Brought back: {sentence}',
  wentBack: 'Went back to when the latest was: {sentence}',
  wentToStart: 'Went back to the empty site',
} as const;

export type SentenceCode = keyof typeof templates;
export const sentenceCodes = Object.keys(templates) as SentenceCode[];

/** A sentence as data: it is stored with the edit and worded where it is read. */
export interface Sentence {
  readonly code: SentenceCode;
  readonly params: RefusalParams;
}

export function sentence(code: SentenceCode, params: RefusalParams): Sentence {
  return { code, params };
}

export function inWords({ code, params }: Sentence): string {
  return fillIn(templates[code], params);
}
