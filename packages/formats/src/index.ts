export { readSitemap, sitemapReader, type SitemapEntry, type SitemapLimits, type SitemapReader } from './sitemap.ts';
export { pagesFromAddresses, type PageList } from './pagesFromAddresses.ts';
export { titleFromSlug } from './titleFromSlug.ts';
export { findBadUtf8 } from './findBadUtf8.ts';
export { menuFormats, readMenus } from './menus/menuFormats.ts';
export { outlineText } from './menus/outlineText.ts';
export { MENU_SCHEMA } from './menus/json.ts';
export type { FoundMenu, MenuFormat, MenuFormatKey } from './menus/menuFormat.ts';
