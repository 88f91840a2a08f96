import { renderPage, type PageChoices, type Site, type SiteDocument, type Situation } from '@zorvik/core';
import { PICTURES } from '@zorvik/contract';

/** How pages are drawn in the editor: as visitors get them, with the pictures from where the editor has them. */
export function pageChoices({
  key,
  language,
}: Pick<Site, 'key' | 'language'>): Omit<PageChoices, 'isComposed'> {
  return {
    compareTitles: new Intl.Collator(language, { numeric: true }).compare,
    pictures: PICTURES.replace(':siteKey', key),
    year: new Date().getFullYear(),
  };
}

/** All areas of a page as they are delivered, with the ids of parts and items. */
export function composedHtml(document: SiteDocument, situation: Situation): string {
  const { header, side, footer, skip } = renderPage(document, situation, {
    ...pageChoices(document.site),
    isComposed: true,
  });
  return skip + header + side + footer;
}

/** A page of its own, to be looked through. */
export function pageOf(html: string): Document {
  const page = window.document.implementation.createHTMLDocument('');
  page.body.innerHTML = html;
  return page;
}
