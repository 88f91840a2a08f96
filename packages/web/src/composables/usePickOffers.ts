import { mdiFileDocumentOutline, mdiFormatTitle, mdiHelpCircleOutline, mdiLinkVariant } from '@mdi/js';
import { computed, type Ref } from 'vue';
import { destinationOnSite, shownAddress, type Destination, type SiteDocument } from '@zorvik/core';
import { useWorkingCopy } from '../stores/workingCopy.ts';
import { searchPages } from './pageSearch.ts';
import type { Picked } from './picked.ts';

/** Pages that are offered at most. */
const MOST = 7;

/** What a typed text may mean: a page, an address, a heading, or an item without a link yet. */
export interface Offer {
  readonly key: string;
  readonly icon: string;
  readonly text: string;
  readonly note: string;
  readonly picked: Picked;
}
export function usePickOffers(typed: Ref<string>) {
  const copy = useWorkingCopy();
  return computed((): Offer[] => {
    const text = typed.value.trim();
    if (text === '' || copy.document === null) return [];
    const [before = '', after] = text.split(/\s+\|\s+/);
    const typedAs = destinationOnSite(copy.document, after ?? text);
    const isAddress = typedAs.ok && (after !== undefined || /[/:#?.@]|^\+?\d/.test(text));
    const address = after ?? text;
    const pages = searchPages(copy.document, text)
      .slice(0, MOST)
      .map((page): Offer => ({
        key: page.id,
        icon: mdiFileDocumentOutline,
        text: page.title,
        note: shownAddress(page.address),
        picked: { kind: 'page', id: page.id },
      }));
    const isPage = typedAs.ok && typedAs.value.kind === 'page';
    const link: Offer[] =
      typedAs.ok && isAddress
        ? [
            {
              key: 'link',
              icon: mdiLinkVariant,
              text: after === undefined ? address : before,
              note: linkNote(copy.document, typedAs.value),
              picked: { kind: 'link', label: after === undefined ? text : before, address },
            },
          ]
        : [];
    const heading: Offer[] =
      after === undefined
        ? [
            {
              key: 'heading',
              icon: mdiFormatTitle,
              text,
              note: 'heading without a link',
              picked: { kind: 'heading', label: text },
            },
            {
              key: 'undecided',
              icon: mdiHelpCircleOutline,
              text,
              note: 'no link yet, unpublished',
              picked: { kind: 'undecided', label: text },
            },
          ]
        : [];
    return isPage || /^(?:https?:|mailto:|tel:|\S+@\S+$)/.test(address) || after !== undefined
      ? [...link, ...pages, ...heading]
      : [...pages, ...link, ...heading];
  });
}

/** What a typed address links to. */
function linkNote(document: SiteDocument, destination: Destination): string {
  switch (destination.kind) {
    case 'email':
      return 'e-mail address';
    case 'phone':
      return 'phone number';
    case 'page': {
      const { page, anchor } = destination;
      const title = document.pages.nodes.get(page)?.title ?? '';
      return anchor === null ? `link to the page “${title}”` : `link to #${anchor} on “${title}”`;
    }
    case 'address':
    case 'none':
    case 'undecided':
      return 'link to this address';
  }
}
