import {
  mdiEmailOutline,
  mdiFileDocumentOutline,
  mdiFormatTitle,
  mdiHelpCircleOutline,
  mdiLinkVariant,
  mdiPhoneOutline,
} from '@mdi/js';
import type { Destination } from '@zorvik/core';

export const destinationIcons: Readonly<Record<Destination['kind'], string>> = {
  page: mdiFileDocumentOutline,
  address: mdiLinkVariant,
  email: mdiEmailOutline,
  phone: mdiPhoneOutline,
  none: mdiFormatTitle,
  undecided: mdiHelpCircleOutline,
};

export const destinationWords: Readonly<Record<Destination['kind'], string>> = {
  page: 'page',
  address: 'address',
  email: 'e-mail',
  phone: 'phone number',
  none: 'heading',
  undecided: 'no link yet',
};
