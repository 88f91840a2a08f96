export {
  readSitemap,
  sitemapReader,
  type SitemapEntry,
  type SitemapLimits,
  type SitemapReader,
} from './sitemap.ts';
export { AddressTree, pagesFromAddresses, type PageList } from './pagesFromAddresses.ts';
export { titleFromSlug } from './titleFromSlug.ts';
export { findBadUtf8 } from './findBadUtf8.ts';
export { menuFormats, readMenus } from './menus/menuFormats.ts';
export { outlineText } from './menus/outlineText.ts';
export { FRAME_SCHEMA, readFrameFile, writeFrameFile, type FrameFile } from './frames/frameJson.ts';
export { MENU_SCHEMA } from './menus/json.ts';
export type { FoundMenu, MenuFormat, MenuFormatKey } from './menus/menuFormat.ts';
export { sanitiseHtml } from './html/sanitiseHtml.ts';
export { decodeHtml } from './reading/decodeHtml.ts';
export { readPage, addressKey, ownAddress, type PageFacts } from './reading/readPage.ts';
export { siteTree, sureness, type TreePage } from './reading/siteTree.ts';
export { pageFormats, writePages, type PageFormatKey } from './pages/writePages.ts';
export {
  pageColumns,
  pagesFromSketches,
  pagesFromTable,
  readPageTable,
  tableText,
  type PageColumn,
  type PagesFromFile,
  type PageTable,
  type RowProblem,
} from './pages/pageTable.ts';
export { readDesignTokens, type ReadTokens } from './tokens/readTokens.ts';
export { writeCustomProperties, writeDesignTokens } from './tokens/writeTokens.ts';
export { readStyleFile, STYLE_SCHEMA, writeStyleFile } from './styles/styleJson.ts';
