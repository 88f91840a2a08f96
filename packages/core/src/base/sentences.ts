import { fillIn, isList, listed, type Param, type Params, type Phrase } from './fillIn.ts';
import { causePhrases, findingPhrases, fixedPhrases, fixPhrases } from './findingWords.ts';
import { nounPhrases } from './nounPhrases.ts';

/**
 * What an edit did, in plain words: for the history, for screen readers and for what changed since. The codes
 * are stored with each edit for as long as the log lasts, so that one is never renamed; only its wording
 * changes.
 */
const history = {
  pageAdded: 'Added the page “{label}”',
  pagesAdded: 'Added {count|# page|# pages} under “{label}”',
  pageChanged: 'Changed the page “{label}”',
  pageRenamed: 'Renamed the page “{was}” to “{label}”',
  pageMoved: 'Moved the page “{label}” under “{parent}”',
  pageReordered: 'Moved the page “{label}” within “{parent}”',
  pagesMoved: 'Moved {count|# page|# pages} under “{parent}”',
  pagesState: 'Set {count|# page|# pages} to {state}',
  pageReaddressed: 'Changed the address of “{label}” to {address}',
  branchReaddressed:
    'Changed the address of “{label}” to {address}, and the addresses of {count|# page|# pages} below it',
  pageRetired: 'Deleted the page “{label}”',
  pageRemoved: 'Removed the page “{label}”',
  pagesRead: 'Imported the site’s pages: {added#} new, {changed#} changed, {gone#} deleted',
  menuAdded: 'Created the menu “{label}”',
  menuChanged: 'Changed the settings of the menu “{label}”',
  menuRenamed: 'Renamed the menu “{was}” to “{label}”',
  menuMoved: 'Moved the menu “{label}” in the list of menus',
  followedHidden: 'Hid “{label}”',
  followSet: 'Changed what “{label}” follows',
  itemPinned: 'Moved “{label}” among the followed items',
  nowFollows: 'Set “{label}” to follow {source}',
  followChanged: 'Changed how “{label}” follows {source}',
  unfollowed: 'Stopped following for “{label}”; {count|# item was|# items were} kept',
  exceptionTaken: 'Reset the exception “{label}”',
  menuRemoved: 'Deleted the menu “{label}”',
  itemAdded: 'Added “{label}” to “{parent}”',
  itemsAdded: 'Added {count|# item|# items} to “{parent}”',
  itemChanged: 'Changed “{label}”',
  itemRenamed: 'Renamed “{was}” to “{label}”',
  itemTitled: 'Set “{label}” to use its page’s title',
  itemLeads: 'Linked “{label}” to {target}',
  itemHeading: 'Made “{label}” a heading without a link',
  itemUnlinked: 'Removed the link of “{label}”',
  itemsChanged: 'Changed {what} of {count|# item|# items}',
  itemSet: 'Changed {what} of “{label}”',
  itemMoved: 'Moved “{label}” into “{parent}”',
  itemReordered: 'Moved “{label}” within “{parent}”',
  itemsMoved: 'Moved {count|# item|# items} into “{parent}”',
  severalRemoved: 'Removed {count|# item|# items}',
  itemsDuplicated: 'Duplicated {count|# item|# items}',
  itemsPasted: 'Pasted {count|# item|# items} into “{parent}”',
  itemsDecided: 'Set the links of {count|# item|# items}',
  partsMadeAlike:
    'Applied {settings|# setting|# settings} of “{label}” to {count|# other part|# other parts}',
  madeAlike: 'Applied {what} of “{label}” to {count|# sibling|# siblings}',
  itemRemoved: 'Removed “{label}”',
  itemsRemoved: 'Removed “{label}” and {count|# item|# items} below it',
  linkShared: 'Made “{label}” a shared link',
  linkUsed: 'Linked “{label}” to the shared link “{link}”',
  linkDetached: 'Unlinked “{label}” from its shared link',
  linkAdded: 'Added the shared link “{label}”',
  linkChanged: 'Changed the shared link “{label}”, used in {count|# place|# places}',
  linkMoved: 'Moved the shared link “{label}”',
  linkRemoved: 'Removed the shared link “{label}”',
  fieldAdded: 'Added the custom field “{label}”',
  fieldChanged: 'Changed the custom field “{label}”',
  fieldMoved: 'Moved the custom field “{label}”',
  fieldRemoved: 'Removed the custom field “{label}”',
  partAdded: 'Added {what} to the panel of “{label}”',
  partChanged: 'Changed {what} in the panel of “{label}”',
  partMoved: 'Moved {what} within the panel of “{label}”',
  partRemoved: 'Removed {what} from the panel of “{label}”',
  partDuplicated: 'Duplicated {what} in the panel of “{label}”',
  frameAdded: 'Added {what} to the {label}',
  frameChanged: 'Changed {what} in the {label}',
  frameMoved: 'Moved {what} in the {label}',
  frameRemoved: 'Removed {what} from the {label}',
  frameDuplicated: 'Duplicated {what} in the {label}',
  areaChanged: 'Changed the {label}',
  areaChangedOn: 'Changed the {label} for {pages}',
  drawerAdded: 'Added a drawer',
  drawerRemoved: 'Removed the drawer',
  arrangedApart: 'Arranged the {label} separately on {device} screens',
  arrangedTogether: 'Removed the separate arrangement of the {label} on {device} screens',
  exceptionSet: 'Changed {what} for {pages}',
  exceptionRemoved: 'Removed the exception of {what} for {pages}',
  panelComposed: 'Started composing the panel of “{label}”',
  panelPlain: 'Reset the panel of “{label}” to simple columns',
  cellShaped: 'Made a cell in the panel of “{label}” {span} of 12 columns wide',
  presetUsed: 'Applied the preset “{preset}” to the panel of “{label}”',
  presetSaved: 'Saved the panel of “{label}” as the preset “{preset}”',
  frameStarterUsed: 'Started the frame again from “{preset}”',
  frameStarterSaved: 'Saved the frame as the starter “{preset}”',
  presetAdded: 'Added the preset “{label}”',
  styleSet: 'Set {property} of {thing} in “{where}” to {value}',
  styleReset: 'Reset {property} of {thing} in “{where}”',
  stylesSet: 'Set {count|# value|# values} of {thing} in “{where}”',
  entryLooksSet: 'Changed the look of {thing} in {count|# item|# items}',
  looksReset: 'Reset {count|# value|# values} of looks',
  madeReadable: 'Made {count|# colour|# colours} easier to read',
  looksSet: 'Set the look of {count|# thing|# things}',
  starterChosen: 'Switched to the looks “{preset}”',
  areaStarterChosen: 'Switched the {area} to the looks “{preset}”',
  areaStarterReset: 'Switched the {area} back to the looks of the site',
  lookStarterSaved: 'Saved the looks of the site as the starter “{preset}”',
  lookStarterRemoved: 'Deleted the starter “{preset}”',
  variantAdded: 'Added the variant “{label}”',
  variantRenamed: 'Renamed the variant “{before}” to “{label}”',
  variantRemoved: 'Deleted the variant “{label}”',
  looksImported: 'Imported {count|# change|# changes} of looks',
  cssSet: 'Changed the CSS of “{where}”',
  cssRemoved: 'Removed the CSS of “{where}”',
  tokenAdded: 'Added the {of} “{name}”, {value}',
  tokenSet: 'Set the {of} “{name}” to {value}',
  darkSet: 'Set the {of} “{name}” to {value} in dark',
  darkReset: 'Reset the {of} “{name}” in dark',
  darkAdded: 'Added dark colours',
  darkRemoved: 'Turned off dark colours',
  namesImported: 'Imported {count|# name|# names}',
  pictureAdded: 'Added the picture “{name}”',
  fillSet: 'Set the picture of {thing} in “{where}” to “{name}”',
  fontAdded: 'Added the font “{name}”',
  fontFilesSet: 'Set the font “{name}” to {count|# file|# files}',
  fontSwaps: 'Set the font “{name}” to appear as soon as it has loaded',
  fontWaits: 'Set the font “{name}” to appear without a shift',
  tokenRenamed: 'Renamed the {of} “{name}” to “{to}”',
  tokenRemoved: 'Removed the {of} “{name}”',
  roleReset: 'Reset the {of} “{name}”',
  stylesReset: 'Reset {count|# value|# values} of {thing} in “{where}”',
  presetRenamed: 'Renamed the preset “{was}” to “{label}”',
  presetRemoved: 'Removed the preset “{label}”',
  driftMended: 'Fixed: {what}',
  driftsMended: 'Fixed {count|# finding|# findings}',
  findingLeft: 'Ignored: {what}',
  findingsLeft: 'Ignored {count|# finding|# findings}',
  findingTakenUp: 'Reopened an ignored finding',
  pagePlanned: 'Added the planned page “{label}” to “{parent}”',
  menuCopied: 'Created the menu “{label}” as a copy of “{was}”',
  menuFilled: 'Created the menu “{label}” with {count|# item|# items}',
  menuBrought: 'Imported {count|# item|# items} into “{parent}”',
  menuPlaced: 'Placed “{label}” in the {place}',
  placementAdded: 'Placed “{label}” in the {place}',
  placementChanged: 'Changed where “{label}” appears',
  placementMoved: 'Moved “{label}” within the {place}',
  placementRemoved: 'Removed “{label}” from the {place}',
  undone: 'Undid: {sentence}',
  redone: 'Redid: {sentence}',
  wentBack: 'Restored the state after: {sentence}',
  siteRenamed: 'Renamed the site “{was}” to “{label}”',
  siteChanged: 'Changed the settings of the site',
  siteUpgraded: 'Converted the site for a newer Zorvik',
  wentToStart: 'Restored the empty site',
} as const;

const phrases = {
  ...history,
  ...fixedPhrases,
  ...nounPhrases,
  ...findingPhrases,
  ...causePhrases,
  ...fixPhrases,
};

/** Names of things that are declared elsewhere, such as the kinds of parts: see `knowPhrases`. */
export type NameCode = `${'part' | 'named'}${Capitalize<string>}`;
const names: Record<string, string> = {};

/**
 * Takes over how things are called that are declared in other rooms, so that what says all about a kind of
 * thing also says its name. Done once for each, when its declaration is loaded.
 */
export function knowPhrases(more: Readonly<Record<NameCode, string>>): void {
  Object.assign(names, more);
}

/** Every code that may stand in the log. */
export type PhraseCode = keyof typeof phrases | NameCode;
/** The codes of sentences in the history. */
export type SentenceCode = keyof typeof history | keyof typeof fixedPhrases;
/** All codes in the order of the catalogues. */
export const phraseCodes = Object.keys(phrases) as PhraseCode[];

/**
 * What an edit did. Its code is one of `PhraseCode`; one that a newer version wrote is worded as an unknown
 * change.
 */
export type Sentence = Phrase;

/** A phrase with its parameters. It becomes text only where it is shown. */
export function phrase(code: PhraseCode, params: Params = {}): Phrase<PhraseCode> {
  return { code, params };
}

/** A sentence of the history with its parameters. */
export function sentence(code: SentenceCode, params: Params): Sentence {
  return phrase(code, params);
}

/**
 * A phrase in words. It never throws: what is stored may be older or newer than this version, or come from
 * elsewhere.
 */
export function inWords({ code, params }: Phrase): string {
  const known: Readonly<Record<string, string>> = Object.hasOwn(names, code) ? names : phrases;
  const template = Object.hasOwn(known, code) ? (known[code] ?? '') : phrases.otherChange;
  return fillIn(template, params, inWords, () => '…');
}

/** A parameter as text or number, for those who get a text with its parameters beside it. */
export function paramInWords(value: Param): string | number {
  if (typeof value !== 'object') return value;
  return isList(value) ? listed(value.map(inWords)) : inWords(value);
}

/**
 * Sentences may quote sentences that quote others: an undo of a restore of an undo. Beyond this depth they
 * only say that there was a change.
 */
const DEEPEST_QUOTE = 3;

/** A sentence to be quoted in another one, cut off where it quotes too deeply. */
export function quoted({ code, params }: Sentence, depth = DEEPEST_QUOTE): Sentence {
  const inner = params.sentence;
  if (typeof inner !== 'object' || isList(inner)) return { code, params };
  return depth === 1
    ? phrase('otherChange')
    : { code, params: { ...params, sentence: quoted(inner, depth - 1) } };
}
