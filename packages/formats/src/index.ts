export { readSitemap, sitemapReader, type SitemapEntry, type SitemapLimits, type SitemapReader } from './sitemap.ts';
export { pagesFromAddresses, type PageList } from './pagesFromAddresses.ts';
export { titleFromSlug } from './titleFromSlug.ts';
export { findBadUtf8 } from './findBadUtf8.ts';
