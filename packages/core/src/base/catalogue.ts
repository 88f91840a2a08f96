/** One entry of the error catalogue. `docs/errors.md` holds the same list; a test keeps them equal. */
export interface CatalogueEntry {
  /** The HTTP status that a server answers with when it passes the refusal on. */
  readonly status: 400 | 403 | 404 | 405 | 409 | 413 | 415 | 422 | 500 | 503;
  /** What is wrong and how to go on, in at most two sentences, as a template for `fillIn`. */
  readonly sentence: string;
}

const entries = {
  unknownSite: {
    status: 404,
    sentence: 'There is no site with the ID “{key}”. Choose one from the list of sites.',
  },
  unknownMenu: {
    status: 404,
    sentence: 'There is no menu with the ID “{key}” on this site. Its menus are: {known}.',
  },
  unknownPath: {
    status: 404,
    sentence: 'There is nothing at {method} {path}. All paths are listed at /api/v1/openapi.json.',
  },
  wrongQuery: {
    status: 400,
    sentence: 'The parameter “{name}” can’t be “{value}”. It has to be {expected}.',
  },
  noSuchArea: { status: 409, sentence: 'This starter has no {area}. Choose another one.' },
  noDrawer: { status: 409, sentence: 'This site has no drawer yet. Add one first.' },
  notForDrawer: {
    status: 409,
    sentence: 'The drawer can’t show “{part}”. Choose a part of the header or of the side area.',
  },
  notInBar: {
    status: 409,
    sentence: '“{part}” is not a menu in the header, so it has no width to fit into. Choose a menu there.',
  },
  inDrawerAlready: {
    status: 409,
    sentence: '“{part}” is already in the drawer. Select it there to move it.',
  },
  arrangedAlready: {
    status: 409,
    sentence: 'The {area} already has its own arrangement on {device} screens. Move the part there.',
  },
  notArranged: {
    status: 409,
    sentence: 'The {area} is not arranged separately on {device} screens. Arrange it separately first.',
  },
  noFrameYet: {
    status: 409,
    sentence: 'There is nothing in the frame yet. Add a band first.',
  },
  otherName: {
    status: 422,
    sentence: '“{typed}” is not the name of this site. Type “{name}” to delete it.',
  },
  notDeleted: {
    status: 404,
    sentence: 'The site “{key}” can’t be restored: it was not deleted in the last day.',
  },
  noPreview: {
    status: 404,
    sentence:
      'There is no preview at this address. It may have expired or been revoked; ask for a new address.',
  },
  noFrame: {
    status: 404,
    sentence:
      'The current edition of the site “{key}” has no frame. Compose a header, a side area or a footer, publish, then try again.',
  },
  nothingPublished: {
    status: 404,
    sentence: 'The site “{key}” has not been published yet. Publish it, then try again.',
  },
  unknownEdit: {
    status: 404,
    sentence: 'This change (“{id}”) is no longer in the history. Make the change by hand instead.',
  },
  notThere: {
    status: 409,
    sentence: 'This {what} no longer exists: {id} was removed. Undo the removal, or choose another one.',
  },
  wrongStyle: {
    status: 422,
    sentence: 'Can’t set {property} of {thing} to “{value}”. Enter {expected}.',
  },
  noSuchStyle: {
    status: 422,
    sentence: '{thing} can’t have {what}. Choose something else to set.',
  },
  tokenIsOther: {
    status: 409,
    sentence: 'The name {key} already belongs to a {of}. Choose another name.',
  },
  wrongToken: {
    status: 422,
    sentence: 'Can’t set the {of} “{name}” to “{value}”. Enter {expected}.',
  },
  notFont: {
    status: 422,
    sentence: 'Can’t use this file as a font: {problem}. Choose a WOFF2 file of up to 2 MB.',
  },
  tokenNameTooLong: {
    status: 422,
    sentence: 'This name has {length} characters; the most is {most}. Enter a shorter one.',
  },
  noSuchName: {
    status: 422,
    sentence:
      'There is no {of} called “{name}” on this site. Choose one of those in the list, or add it first.',
  },
  noSuchStarter: {
    status: 409,
    sentence: 'There is no starter “{key}” on this site any more. Choose another one.',
  },
  starterNameTaken: {
    status: 409,
    sentence: 'There already is a starter “{name}”. Choose another name, or delete that one first.',
  },
  tooManyStarters: {
    status: 409,
    sentence: 'A site keeps {most} starters at most. Delete one first.',
  },
  badStyleFile: {
    status: 422,
    sentence: 'This file can’t be used as a style: {problem}. Choose one that Zorvik exported.',
  },
  wrongCss: {
    status: 422,
    sentence: 'This CSS can’t be used: {problem}. Change it there; nothing was stored.',
  },
  variantGone: {
    status: 409,
    sentence: 'The variant “{key}” was deleted from this site. Choose another one.',
  },
  variantNameTaken: {
    status: 409,
    sentence: 'There already is a variant “{name}”. Choose another name.',
  },
  variantsFull: {
    status: 409,
    sentence: 'A site keeps {most} added variants at most. Delete one first.',
  },
  nothingByHand: {
    status: 409,
    sentence: 'Nothing was set by hand for the whole site. It looks as its starter does.',
  },
  noStyleOwner: {
    status: 409,
    sentence: 'What this look was for no longer exists ({id}). Undo its removal, or choose another place.',
  },
  alreadyThere: { status: 409, sentence: 'The id {id} is already used on this site. Use a new one.' },
  wouldCircle: {
    status: 409,
    sentence:
      'Can’t move “{label}” into “{target}”: that is inside “{label}” itself. Choose a place outside it.',
  },
  noSuchPlace: {
    status: 409,
    sentence: 'The place for “{label}” no longer exists ({id}). Choose another place.',
  },
  notEmpty: {
    status: 409,
    sentence:
      'Can’t remove “{label}”: there {count|is # item|are # items} below it. Remove or move {count|it|them} first.',
  },
  stillUsed: {
    status: 409,
    sentence:
      'Can’t remove the page “{label}”: {count|# menu item links|# menu items link} to it. Change {count|that link|those links} first.',
  },
  linkInUse: {
    status: 409,
    sentence:
      'Can’t remove the shared link “{label}”: it is used in {count|# place|# places}. Unlink {count|that item|those items} first, or unlink all and remove it.',
  },
  wrongLink: {
    status: 409,
    sentence: 'The shared link {id} no longer exists, so “{label}” can’t use it. Choose another one.',
  },
  isShared: {
    status: 409,
    sentence: '“{label}” uses a shared link. Change the shared link, or unlink this item first.',
  },
  notShared: { status: 409, sentence: '“{label}” does not use a shared link.' },
  notLeft: { status: 409, sentence: 'This finding is open already.' },
  isFollowed: {
    status: 409,
    sentence:
      '“{label}” is followed, so its link can’t be changed here. Hide it and add your own link instead.',
  },
  followsItself: {
    status: 409,
    sentence:
      '“{label}” can’t follow the menu “{menu}”: it would end up following itself. Choose another menu.',
  },
  follows: {
    status: 409,
    sentence: 'The items below “{label}” are already followed. Stop following there first.',
  },
  notFollowing: { status: 409, sentence: '“{label}” does not follow anything.' },
  notException: { status: 409, sentence: '“{label}” is not an exception, so there is nothing to reset.' },
  isFollowedBy: {
    status: 409,
    sentence: 'Can’t delete “{label}”: “{follower}” follows it. Stop following there first.',
  },
  shownInPanel: {
    status: 409,
    sentence: 'Can’t delete “{label}”: it is shown in the panel of “{item}”. Remove it there first.',
  },
  holdsPanel: {
    status: 409,
    sentence:
      'Can’t remove “{label}”: someone is composing its panel. Remove the panel’s parts first, or undo them.',
  },
  wrongPartPlace: {
    status: 409,
    sentence: 'This part ({what}) can’t go into a {place}. Choose another place.',
  },
  tooManyVariants: {
    status: 409,
    sentence:
      'The {area} would be different in {count} ways on different pages; at most {most} can be delivered. Exceptions of these parts make them: {parts}. Remove some of the exceptions, or make them for a template or a branch in place of single pages.',
  },
  wrongPart: { status: 422, sentence: 'This part ({what}) is not valid: {problem}.' },
  noRoom: {
    status: 409,
    sentence: 'The row is full: all {columns} columns are in use. Make a cell narrower, or add a row.',
  },
  widestAlready: {
    status: 409,
    sentence:
      'The cell can’t get wider: it has {span} of {columns} columns, and the cells next to it can’t shrink.',
  },
  narrowestAlready: { status: 409, sentence: 'The cell can’t get narrower: it is 1 column wide.' },
  shownAlready: { status: 409, sentence: '“{label}” is already in the panel. Move it where you want it.' },
  noPanelHere: {
    status: 409,
    sentence:
      '“{label}” has no dropdown here: only menus in a bar have panels. Place the menu in a bar first.',
  },
  noParts: {
    status: 409,
    sentence: 'The panel of “{label}” has no parts: its columns come from the items below it.',
  },
  tooDeep: {
    status: 409,
    sentence:
      'Can’t place “{label}” on level {level}: this menu allows {limit|# level|# levels}. Move it under an item on level {above}, or raise the limit.',
  },
  keyTaken: { status: 409, sentence: 'The ID “{key}” is already used by “{name}”. Choose another one.' },
  reservedKey: { status: 422, sentence: 'The ID “{key}” is reserved. Choose another one.' },
  wrongMenu: { status: 409, sentence: 'The menu {id} no longer exists. Choose another menu.' },
  wrongPage: {
    status: 409,
    sentence:
      'The page {id} is not one of this site’s pages, so “{label}” can’t link to it. Choose another page.',
  },
  changedSince: {
    status: 409,
    sentence:
      'Can’t undo: {who} has changed “{label}” since ({sentence}). Edit it directly, or skip this step.',
  },
  changedMeanwhile: {
    status: 409,
    sentence: 'Can’t undo: “{label}” has been changed since. Edit it directly, or skip this step.',
  },
  notYours: {
    status: 409,
    sentence:
      'This change was made in another window, so it can’t be undone here. Restore an earlier state from the history instead.',
  },
  backAlready: { status: 409, sentence: 'This has already been undone ({sentence}).' },
  otherHistory: {
    status: 409,
    sentence:
      'The site was restored from a backup. Reload this window to continue; changes that are not saved yet are kept here.',
  },
  tooOld: {
    status: 409,
    sentence: 'The history no longer goes back that far. Compare with an edition instead.',
  },
  beforeUpgrade: {
    status: 409,
    sentence:
      'Can’t undo: this change was made before Zorvik was updated. Restore an earlier state from the history instead.',
  },
  wrongFormat: {
    status: 409,
    sentence:
      'This change converts the site from format {from} to {to}, but the site has format {format}. Reload this window.',
  },
  onlyInLogs: {
    status: 422,
    sentence: 'A new change can’t contain “{kind}”. Reload this window to get the latest Zorvik.',
  },
  newerSite: {
    status: 503,
    sentence:
      'This site was converted by a newer Zorvik (format {format}), and this one reads up to format {known}. Update Zorvik on this server.',
  },
  nothingToUndo: { status: 409, sentence: 'There is nothing to undo yet.' },
  nothingToRedo: { status: 409, sentence: 'There is nothing to redo.' },
  alreadyFirst: { status: 409, sentence: '“{label}” is already first on its level.' },
  alreadyLast: { status: 409, sentence: '“{label}” is already last on its level.' },
  cannotNest: {
    status: 409,
    sentence: 'There is no item above “{label}” to nest it under. Move it down first.',
  },
  alreadyOut: { status: 409, sentence: '“{label}” is already on the top level.' },
  changesNothing: { status: 409, sentence: 'No change: “{label}” is already set like that.' },
  nothingChosen: { status: 409, sentence: 'Nothing is selected. Select an item or a page first.' },
  emptyName: { status: 422, sentence: 'A name needs at least one visible character.' },
  tooLong: {
    status: 422,
    sentence: 'That is {length|# character|# characters} long; {what} can have up to {most#}. Shorten it.',
  },
  badBreakpoints: {
    status: 422,
    sentence:
      'Wide screens can’t start at {wide} px while medium ones start at {medium} px. Use a larger width for wide.',
  },
  badAction: {
    status: 422,
    sentence:
      'A form can’t be sent to “{address}”. Use a path such as /search, or an address that starts with https://.',
  },
  badHtml: {
    status: 422,
    sentence: 'This HTML was not cleaned before it was sent. Paste it into the HTML field again.',
  },
  badAddress: {
    status: 422,
    sentence: '“{address}” is not a valid link. Use /path, https://…, mailto: or tel:.',
  },
  badPath: {
    status: 422,
    sentence:
      '“{address}” is not a valid page address. Start with a slash and use no spaces, for example /seeds/autumn.',
  },
  addressTaken: {
    status: 409,
    sentence:
      'The address {address} is already used by the page “{title}”. Change that page’s address first, or choose another one.',
  },
  badClass: {
    status: 422,
    sentence:
      '“{given}” is not a valid class name. Use letters, digits, - and _, starting with a letter; separate several with spaces.',
  },
  badValue: { status: 422, sentence: '“{given}” is not valid as {what}. Use {expected}.' },
  emptyMenu: { status: 422, sentence: 'There are no items in it. Use one line for each item.' },
  badMenuFile: {
    status: 422,
    sentence: 'This can’t be read as {what}: {problem}. Correct it, or import it in another format.',
  },
  badFrameFile: {
    status: 422,
    sentence: 'This file is no frame: {problem}. Export one again, or correct the file.',
  },
  badTokenFile: {
    status: 422,
    sentence: 'Can’t read this file as design tokens: {problem}. Correct it, or export it again.',
  },
  nothingToImport: {
    status: 409,
    sentence: 'Nothing in this file would change anything here.',
  },
  noList: {
    status: 422,
    sentence: 'There is no {what} in it. Choose the page or the file that has the menu.',
  },
  tooMany: {
    status: 422,
    sentence: 'That is {count#} {what}; the limit is {most#}. Split it into smaller parts.',
  },
  noneSaid: {
    status: 409,
    sentence: 'There is nothing to apply: the siblings of “{label}” already have these settings.',
  },
  badKey: {
    status: 422,
    sentence:
      '“{key}” is not a valid ID. Use 1 to 40 lower-case letters, digits and hyphens, starting with a letter.',
  },
  mayNot: {
    status: 403,
    sentence: 'You can view this site, but you can’t {doing}. Ask someone with the role “{role}”.',
  },
  foreignHost: {
    status: 403,
    sentence: 'The editor only answers at {allowed}, not at “{host}”. Open it at one of those addresses.',
  },
  foreignOrigin: {
    status: 403,
    sentence: 'The editor does not accept requests from pages of “{origin}”. Open it at its own address.',
  },
  badJson: {
    status: 400,
    sentence: 'The request body is not valid JSON: {reason}. Send one JSON value in UTF-8.',
  },
  badShape: {
    status: 400,
    sentence: 'The request is not valid: {place} {problem}. Its schema is in /api/v1/openapi.json.',
  },
  badBase: {
    status: 409,
    sentence: 'The edit refers to revision {base}, but the site is at {revision}. Load the site again.',
  },
  staleView: {
    status: 409,
    sentence:
      'The site has changed since you opened this page (revision {seen}, now {revision}). Review the changes, then publish.',
  },
  badPacking: {
    status: 400,
    sentence:
      'The request body can’t be decompressed: {reason}. Send the complete body, or send it without Content-Encoding.',
  },
  breaksSite: {
    status: 409,
    sentence:
      'The edit would damage the site ({problem}). Nothing was changed. Reload, then make the change again.',
  },
  badText: {
    status: 400,
    sentence: 'The text at {place} contains {problem}, which can’t be saved. Remove it and try again.',
  },
  emptyEdit: { status: 422, sentence: 'The edit has no operations. Send at least one.' },
  tooLarge: {
    status: 413,
    sentence: 'The request is larger than the limit of {most}. Send less, or raise {setting}.',
  },
  wrongType: { status: 415, sentence: 'The content type “{type}” is not supported here. Send {expected}.' },
  emptyFile: {
    status: 422,
    sentence: 'The file is empty. A sitemap starts with <urlset> and has a <url> for each page.',
  },
  notUtf8: {
    status: 422,
    sentence:
      'The file is not valid UTF-8: see the byte at {offset} (line {line}). Save it as UTF-8 and try again.',
  },
  notXml: {
    status: 422,
    sentence: 'Line {line}, column {column}: {problem}. Correct the XML there and try again.',
  },
  hasDoctype: {
    status: 422,
    sentence:
      'Line {line}: a document type declaration is not allowed in a sitemap. Remove it and try again.',
  },
  wrongRoot: {
    status: 422,
    sentence:
      'Line {line}: the root element is <{found}>, but a sitemap starts with <urlset>. Choose the sitemap itself.',
  },
  isIndex: {
    status: 422,
    sentence:
      'Line {line}: this is a sitemap index (<sitemapindex>), not a sitemap. Read the site instead, or choose one of the files it lists.',
  },
  badLocation: {
    status: 422,
    sentence: 'Line {line}: “{address}” is not a valid address ({problem}). Use https://host/path in <loc>.',
  },
  noLocation: { status: 422, sentence: 'Line {line}: this <url> has no <loc>. Add the address of the page.' },
  noPages: { status: 422, sentence: 'The sitemap has no pages. It needs at least one <url> with a <loc>.' },
  tooManyPages: {
    status: 422,
    sentence:
      'Line {line}: there are more than {most#} addresses. Split the sitemap and import its parts one after the other.',
  },
  otherHost: {
    status: 422,
    sentence:
      'Line {line}: “{address}” is not on {host}, the host of the first address. All pages of a site have the same host.',
  },
  badPageFile: {
    status: 422,
    sentence: 'This can’t be read as pages: {problem}. Correct it, or import it in another format.',
  },
  badStart: {
    status: 422,
    sentence: '“{address}” is not a valid start page. Use an address such as https://host/.',
  },
  readingRunning: {
    status: 409,
    sentence: 'The site is already being read. Wait until it is done, or stop it first.',
  },
  nothingRead: { status: 409, sentence: 'There are no results to import. Read the site first.' },
  nothingReadNew: { status: 409, sentence: 'No changes found: {count|# page was|# pages were} compared.' },
  importRunning: {
    status: 409,
    sentence: 'Another import into this site is still running. Wait until it is done.',
  },
  nothingNew: {
    status: 409,
    sentence: 'No changes found: the file has {count|# address|# addresses}, and nothing is new or missing.',
  },
  notEmptyThere: {
    status: 409,
    sentence:
      'The database already contains sites. Restore into an empty one, or use --replace, which archives the current data first.',
  },
  badArchive: {
    status: 422,
    sentence: 'The archive can’t be read: {problem}. Nothing was changed. Choose another archive.',
  },
  newerArchive: {
    status: 422,
    sentence:
      'The archive has version {version}, and this Zorvik reads up to {known}. Restore it with a newer Zorvik.',
  },
  notPicture: {
    status: 422,
    sentence:
      'This picture can’t be used: {problem}. Choose a PNG, JPEG, WebP, AVIF, GIF or SVG of up to 5 MB.',
  },
  noPicture: {
    status: 404,
    sentence: 'There is no picture “{name}” on this site. Unused pictures are removed after a while.',
  },
  diskFull: {
    status: 503,
    sentence:
      'The server’s disk is full, so nothing was changed. Free some space; waiting changes are then saved automatically.',
  },
  notWritable: {
    status: 503,
    sentence:
      'The data can’t be written ({reason}), so nothing was changed. Make it writable; waiting changes are then saved automatically.',
  },
  serverAway: {
    status: 503,
    sentence: 'The server is starting or stopping, so nothing was changed. Try again in a moment.',
  },
  databaseAway: {
    status: 503,
    sentence: 'No connection to the database, so nothing was changed. Try again in a moment.',
  },
  bug: {
    status: 500,
    sentence:
      'Something went wrong on the server, and nothing was changed. Its log has the details under {id}.',
  },
} as const satisfies Record<string, CatalogueEntry>;

/** The code of a refusal. Codes are never renamed, because the log and clients keep them. */
export type ErrorCode = keyof typeof entries;
/**
 * Every refusal that people can meet, by its code: HTTP status and sentence. `docs/errors.md` lists the same.
 */
export const catalogue: Readonly<Record<ErrorCode, CatalogueEntry>> = entries;
