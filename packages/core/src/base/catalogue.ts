/** One entry of the error catalogue. `docs/errors.md` holds the same list; a test keeps them equal. */
export interface CatalogueEntry {
  /** The HTTP status that a server answers with when it passes the refusal on. */
  readonly status: 400 | 403 | 404 | 405 | 409 | 413 | 415 | 422 | 500 | 503;
  /** What, where, what was expected, how to go on. `{name}` is filled in. */
  readonly sentence: string;
}

const entries = {
  unknownSite: { status: 404, sentence: 'There is no site with the key “{key}”. Choose one from the list of sites.' },
  unknownMenu: { status: 404, sentence: 'There is no menu with the key “{key}” in this site. Its menus are: {known}.' },
  unknownPath: { status: 404, sentence: 'Nothing answers at {method} {path}. The paths are listed at /api/v1/openapi.json.' },
  nothingPublished: { status: 404, sentence: 'The site “{key}” has no edition yet. Publish it once, then ask again.' },
  unknownEdit: {
    status: 404,
    sentence: 'There is no edit “{id}” in this site’s log: it was refused itself, or is older than the log. Change it by hand instead.',
  },
  notThere: { status: 409, sentence: 'This {what} is no longer there: {id} was removed. Undo the removal, or choose another.' },
  alreadyThere: { status: 409, sentence: 'The id {id} is taken already in this site. Every addition needs an id of its own.' },
  wouldCircle: { status: 409, sentence: 'Cannot place “{label}” inside “{target}”: that is inside “{label}” itself. Choose a place outside it.' },
  noSuchPlace: { status: 409, sentence: 'The place for “{label}” is no longer there ({id}). Choose another place.' },
  notEmpty: { status: 409, sentence: 'Cannot remove “{label}”: it still holds {count} more. Remove or move those first.' },
  stillUsed: { status: 409, sentence: 'Cannot take back the page “{label}”: {count} menu items lead to it. Let them lead elsewhere first.' },
  keyTaken: { status: 409, sentence: 'The key “{key}” is taken by “{name}”. Choose another key.' },
  wrongMenu: { status: 409, sentence: 'The menu {id} is not there, so nothing can be placed for it. Choose another menu.' },
  wrongPage: { status: 409, sentence: 'The page {id} is not among this site’s pages, so “{label}” cannot lead to it. Choose another page.' },
  changedSince: { status: 409, sentence: 'Cannot take this back: “{label}” was changed by {who} since ({sentence}). Change it by hand instead.' },
  notYours: { status: 409, sentence: 'Another window made this change, so this one cannot take it back. Go back to an earlier state in the history instead.' },
  backAlready: { status: 409, sentence: 'This was taken back already ({sentence}).' },
  otherHistory: { status: 409, sentence: 'The site was restored from a backup since this window loaded it. Load it again; what is not kept yet stays here.' },
  tooOld: { status: 409, sentence: 'The log no longer goes back that far: it is kept for {days} days. Compare with an edition instead.' },
  nothingToUndo: { status: 409, sentence: 'There is nothing to take back: you have changed nothing yet.' },
  nothingToRedo: { status: 409, sentence: 'There is nothing to bring back: nothing was taken back last.' },
  alreadyFirst: { status: 409, sentence: '“{label}” is the first on its level already.' },
  alreadyLast: { status: 409, sentence: '“{label}” is the last on its level already.' },
  cannotNest: { status: 409, sentence: '“{label}” has no item before it on its level to go inside of. Move it down first.' },
  alreadyOut: { status: 409, sentence: '“{label}” stands on the top level already.' },
  changesNothing: { status: 409, sentence: 'That changes nothing: “{label}” is so already.' },
  nothingChosen: { status: 409, sentence: 'Nothing is chosen. Select an item or a page first.' },
  emptyName: { status: 422, sentence: 'A name needs at least one visible character. Type one, or leave it as it was.' },
  tooLong: { status: 422, sentence: 'That is {length} characters long; {what} may have {most}. Shorten it.' },
  badAddress: { status: 422, sentence: '“{address}” is not an address a link may lead to. Use /path, https://…, mailto: or tel:.' },
  badKey: { status: 422, sentence: '“{key}” is not a key: use 1 to 40 lower-case letters, digits and hyphens, a letter first.' },
  mayNot: { status: 403, sentence: 'You may look at this site, but not {doing}. Ask someone with the role “{role}”.' },
  foreignHost: { status: 403, sentence: 'The editor answers to {allowed} only, and was asked as “{host}”. Open it at that address.' },
  foreignOrigin: { status: 403, sentence: 'The editor takes no requests from pages of “{origin}”. Open it at its own address.' },
  badJson: { status: 400, sentence: 'The request’s body is not JSON: {reason}. Send one JSON value in UTF-8.' },
  badShape: { status: 400, sentence: 'The request does not fit: {place} {problem}. Its schema is in /api/v1/openapi.json.' },
  badBase: { status: 409, sentence: 'The edit says that it knows revision {base}, but the site is at {revision}. Load the site again.' },
  staleView: { status: 409, sentence: 'The working copy went on to revision {revision} while you looked at {seen}. Look at what changed, then publish.' },
  badText: { status: 400, sentence: 'The text at {place} holds {problem}, which cannot be kept. Remove it and send the rest.' },
  emptyEdit: { status: 422, sentence: 'The edit holds no operation. Send at least one.' },
  tooLarge: { status: 413, sentence: 'That is larger than the {most} that fit in one request. Send less, or raise {setting}.' },
  wrongType: { status: 415, sentence: 'A body of type “{type}” cannot be read here; {expected} is expected.' },
  emptyFile: { status: 422, sentence: 'The file is empty. A sitemap starts with <urlset> and holds one <url> for each page.' },
  notUtf8: { status: 422, sentence: 'The file is not UTF-8: the byte at {offset} (line {line}) fits no character. Save it as UTF-8 and try again.' },
  notXml: { status: 422, sentence: 'Line {line}, column {column}: {problem}. XML was expected; mend the file there and try again.' },
  hasDoctype: { status: 422, sentence: 'Line {line}: a document type declaration has no place in a sitemap and is not read. Remove it and try again.' },
  wrongRoot: { status: 422, sentence: 'Line {line}: the root element is <{found}>; <urlset> was expected. Give the address list itself.' },
  isIndex: { status: 422, sentence: 'Line {line}: this is an index of sitemaps (<sitemapindex>), not a sitemap. Give one of the files it names.' },
  badLocation: { status: 422, sentence: 'Line {line}: “{address}” is not an address ({problem}). https://host/path was expected in <loc>.' },
  noLocation: { status: 422, sentence: 'Line {line}: this <url> has no <loc>. Each page needs its address there.' },
  noPages: { status: 422, sentence: 'The sitemap names no page. At least one <url> with a <loc> was expected.' },
  tooManyPages: { status: 422, sentence: 'Line {line}: more than {most} addresses. Split the sitemap and read its parts one after the other.' },
  otherHost: { status: 422, sentence: 'Line {line}: “{address}” is on another host than {host}, with which the sitemap begins. One site has one host.' },
  importRunning: { status: 409, sentence: 'Another import into this site is still running. Wait until it is done.' },
  nothingNew: { status: 409, sentence: 'The file says what the pages say already: {count} addresses, none of them new or missing.' },
  databaseAway: { status: 503, sentence: 'The database does not answer. Nothing was changed; try again in a moment.' },
  bug: { status: 500, sentence: 'Something went wrong on our side, and nothing was changed. The server’s log has it under {id}.' },
} as const satisfies Record<string, CatalogueEntry>;

export type ErrorCode = keyof typeof entries;
export const catalogue: Readonly<Record<ErrorCode, CatalogueEntry>> = entries;
