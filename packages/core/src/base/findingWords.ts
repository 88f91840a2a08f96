/** What each kind of finding says. */
export const findingPhrases = {
  pageGone: '“{label}” links to a deleted page',
  addressGone: '“{label}” links to {address}, and the page there was deleted',
  anchorGone: '“{label}” links to #{anchor}, which “{page}” no longer has',
  linkDead: '“{label}” links to {address}, which does not work: {reason}',
  pageDraft: '“{label}” links to a page that is a draft again, so visitors do not see it',
  pageNew: 'New page “{page}” under “{branch}”, which is in this menu',
  pageMoved: 'The page of “{label}” moved from “{was}” to “{now}”',
  titleStale: '“{label}” is the old title: the page is now called “{now}”',
  addressChanged: 'The address of “{label}” changed from {was} to {now}',
  addressRedirects: '“{label}” links to {was}, which redirects to {now}',
  addressOfPage: '“{label}” links to the address {address}, not to the page “{page}” that has it',
  orderDiffers: 'The pages under “{label}” are in a new order; {count|this one moved|these moved}: {names}',
  kindChanged: 'The page of “{label}” changed from {was} to {now}',
  plannedLive: 'The planned page “{label}” is live now',
  exceptionLost: 'The exception “{label}” under “{branch}” no longer matches anything',
  sourceRenamed: '“{was}” in “{menu}” is now called “{now}”; here it is “{label}”',

  pageGoneInPanel: 'In the panel of “{item}”, {part} links to the deleted page “{page}”',
  addressGoneInPanel: 'In the panel of “{item}”, {part} links to {address}, and the page there was deleted',
  anchorGoneInPanel: 'In the panel of “{item}”, {part} links to #{anchor}, which “{page}” no longer has',
  linkDeadInPanel: 'In the panel of “{item}”, {part} links to {address}, which does not work: {reason}',
  addressRedirectsInPanel: 'In the panel of “{item}”, {part} links to {was}, which redirects to {now}',

  pageGoneInFrame: 'In the {item}, {part} links to the deleted page “{page}”',
  addressGoneInFrame: 'In the {item}, {part} links to {address}, and the page there was deleted',
  anchorGoneInFrame: 'In the {item}, {part} links to #{anchor}, which “{page}” no longer has',
  linkDeadInFrame: 'In the {item}, {part} links to {address}, which does not work: {reason}',
  addressRedirectsInFrame: 'In the {item}, {part} links to {was}, which redirects to {now}',
} as const;

/** What several findings of one kind say that came by one change. */
export const causePhrases = {
  pageGoneSeveral: '{count#} items link to pages that were deleted with “{page}”',
  linkDeadSeveral: '{count#} links to {host} do not work',
  pageDraftSeveral: '{count#} items link to a page that is a draft again, so visitors do not see them',
  pageNewSeveral: '{count#} new pages under “{branch}”, which is in this menu',
  pageMovedSeveral: '{count#} pages moved from “{was}” to “{now}”',
  titleStaleSeveral: '{count#} items have the old title: the page is now called “{now}”',
  addressChangedSeveral: '{count#} addresses changed, from {was} to {now}',
  addressRedirectsSeveral: '{count#} items link to {was}, which redirects to {now}',
  addressOfPageSeveral: '{count#} items link to addresses, not to the pages that have them',
  kindChangedSeveral: '{count#} pages changed from {was} to {now}',
  plannedLiveSeveral: '{count#} items link to a planned page that is live now',

  agreeAll: 'OK, all {count#} links are already updated',
  fixAll: 'Fix all {count#}',
  addAll: 'Add all {count#}',
  moveAll: 'Move all {count#}',
  renameAll: 'Rename all {count#}',
  removeAll: 'Remove all {count#}',
  linkAll: 'Link all {count#} to their pages',
} as const;

/** What each fix is called on its button. */
export const fixPhrases = {
  keepUnpublished: 'Keep it, unpublished until the page is live',
  noteLive: 'OK, the page is live',
  noteAddress: 'OK, the link is already updated',
  noteKind: 'OK, it is now of the kind {now}',
  linkToPage: 'Link to “{title}” ({address})',
  renameToTitle: 'Rename to “{title}” and keep in sync with the page title',
  keepLabel: 'Keep the label “{label}”',
  moveAsOnSite: 'Move into “{parent}”, as on the site',
  keepPlace: 'Keep it here',
  linkToAnchor: 'Link to “{title}” (#{anchor}) on that page',
  linkToTop: 'Link to the top of “{page}”',
  linkAndFollow: 'Link to the page “{title}” and follow its address',
  renameAsSource: 'Rename to “{now}”, as in “{menu}”',
  removeException: 'Remove the exception',
  removeExceptionKeepItems: 'Remove the exception and move {count|the item below it|the # items below it} up',
  addAsOnSite: 'Add to “{parent}”, in the site’s order',
  moveOneAsOnSite: 'Move “{name}” to its place on the site',
  moveSeveralAsOnSite: 'Move {count|# item|# items} to match the site',
  keepOrder: 'Keep the order of the menu',
  makeHeading: 'Make “{label}” a heading without a link',
  removeItem: 'Remove “{label}”',
  removeItemKeepBelow: 'Remove “{label}” and move the items below it up',
  removePart: 'Remove {part} from the panel',
  unlinkPart: 'Keep {part} without the link',
  removeFramePart: 'Remove {part} from the {item}',
  unlinkFramePart: 'Keep {part} without the link',
} as const;

export type FixCode = keyof typeof fixPhrases;

/** What each fix has done, for the history. */
const done: Readonly<Record<FixCode, string>> = {
  keepUnpublished: 'Kept “{label}”, unpublished until its page is live',
  noteLive: 'Noted that the page of “{label}” is live',
  noteAddress: 'Noted the new address of “{label}”',
  noteKind: 'Noted that the page of “{label}” is now of the kind {now}',
  linkToPage: 'Linked “{label}” to the page “{title}”',
  renameToTitle: 'Renamed “{label}” to “{title}”, in sync with the page title',
  keepLabel: 'Kept the label “{label}”',
  moveAsOnSite: 'Moved “{label}” into “{parent}”, as on the site',
  keepPlace: 'Kept “{label}” where it is',
  linkToAnchor: 'Linked “{label}” to “{title}” (#{anchor})',
  linkToTop: 'Linked “{label}” to the top of “{page}”',
  linkAndFollow: 'Linked “{label}” to the page “{title}”, following its address',
  renameAsSource: 'Renamed “{label}” to “{now}”, as in “{menu}”',
  removeException: 'Removed the exception “{label}”',
  removeExceptionKeepItems:
    'Removed the exception “{label}” and moved {count|the item below it|the # items below it} up',
  addAsOnSite: 'Added “{page}” to “{parent}”, in the site’s order',
  moveOneAsOnSite: 'Moved “{name}” to its place on the site',
  moveSeveralAsOnSite: 'Moved {count|# item|# items} under “{label}” to match the site',
  keepOrder: 'Kept the order under “{label}”',
  makeHeading: 'Made “{label}” a heading without a link',
  removeItem: 'Removed “{label}”',
  removeItemKeepBelow: 'Removed “{label}” and moved the items below it up',
  removePart: 'Removed {part} from the panel of “{item}”',
  unlinkPart: 'Removed the link of {part} in the panel of “{item}”',
  removeFramePart: 'Removed {part} from the {item}',
  unlinkFramePart: 'Removed the link of {part} in the {item}',
};

export type FixedCode = `${FixCode}Done`;
export const fixedPhrases = Object.fromEntries(
  Object.entries(done).map(([code, words]) => [`${code}Done`, words]),
) as Record<FixedCode, string>;
