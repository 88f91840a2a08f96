import { mdiFileDocumentOutline, mdiFormatTitle, mdiLinkVariant } from '@mdi/js';
import type { Destination } from '@zorvik/core';

export const destinationIcons: Readonly<Record<Destination['kind'], string>> = {
  page: mdiFileDocumentOutline,
  address: mdiLinkVariant,
  none: mdiFormatTitle,
};

export const destinationWords: Readonly<Record<Destination['kind'], string>> = { page: 'page', address: 'address', none: 'heading' };
