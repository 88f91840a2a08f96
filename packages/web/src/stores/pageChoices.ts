import type { PageChoices, Site } from '@zorvik/core';
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
