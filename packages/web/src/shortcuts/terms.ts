/** Our own terms, each in one sentence: the tooltip wherever it appears. */
export const terms = {
  drift: 'Drift: differences between a menu and the site’s pages that nobody chose',
  finding: 'A finding is one such difference, with its fixes; it can also be ignored',
  edition: 'An edition is a numbered snapshot of all menus that visitors get; it never changes',
  follow:
    'An item that follows takes the items below it from the site’s pages or another menu, and stays up to date by itself',
  sharedLink:
    'A shared link is kept once and used by items of several menus; changing it changes it everywhere',
  plannedPage:
    'A planned page is a page that the site does not have yet; visitors see its item once the page is live',
} as const;
