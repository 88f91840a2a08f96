import { capitalised } from '../base/capitalised.ts';
import type { Phrase } from '../base/fillIn.ts';
import { phrase, sentence, type Sentence } from '../base/sentences.ts';
import type { SiteDocument } from '../model/document.ts';
import type { Faced } from '../model/faceOf.ts';
import { labelOf, nameOf } from '../model/labelOf.ts';
import { itemOptions, linkFields, type Destination } from '../schema/item.ts';
import { settingNames, type SettingName } from '../schema/settings.ts';
import { missingTarget } from './addItem.ts';
import { defineUpdate, type FieldsOf, type Update } from './kit/defineUpdate.ts';

/** Changes fields of an item: its label, its destination, how it opens, its settings, the facts agreed on. */
export type UpdateItem = Update<'updateItem', 'items'>;

export const updateItem = defineUpdate(
  'updateItem',
  'items',
  { always: linkFields, maybe: itemOptions },
  (document, { id, set }) => {
    const item = document.items.nodes.get(id);
    return item === undefined ? sentence('itemChanged', { label: id }) : describeChange(document, item, set);
  },
  missingTarget,
);

/** What is changed of an item, in words. */
function describeChange(document: SiteDocument, item: Faced, set: FieldsOf<'items'>): Sentence {
  const label =
    set.label == null
      ? labelOf(document, { ...item, label: set.label === null ? null : item.label })
      : set.label;
  if (set.link === null) return sentence('linkDetached', { label: labelOf(document, item) });
  if (set.link !== undefined)
    return sentence('linkUsed', {
      label: labelOf(document, item),
      link: nameOf(document, 'sharedLinks', set.link),
    });
  if (set.destination !== undefined)
    return destinationSet(document, labelOf(document, item), set.destination);
  if (set.label === null) return sentence('itemTitled', { label });
  if (set.label !== undefined) return sentence('itemRenamed', { was: labelOf(document, item), label });
  if (set.exception?.hidden === true) return sentence('followedHidden', { label });
  if (set.follow !== undefined) return sentence('followSet', { label });
  if (set.pin !== undefined) return sentence('itemPinned', { label });
  const [first] = settingNames.filter((name) => name in set);
  return first === undefined
    ? sentence('itemChanged', { label })
    : sentence('itemSet', { label, what: settingPhrase(first) });
}

/** What a setting is called in a sentence. */
export function settingPhrase(name: SettingName | 'opensNewTab'): Phrase {
  return phrase(`setting${capitalised(name)}`);
}

function destinationSet(document: SiteDocument, label: string, destination: Destination): Sentence {
  switch (destination.kind) {
    case 'none':
      return sentence('itemHeading', { label });
    case 'undecided':
      return sentence('itemUnlinked', { label });
    case 'page': {
      const isThere = document.pages.nodes.has(destination.page);
      return sentence('itemLeads', {
        label,
        target: isThere
          ? phrase('thePage', { label: nameOf(document, 'pages', destination.page) })
          : destination.page,
      });
    }
    case 'phone':
      return sentence('itemLeads', { label, target: destination.number });
    case 'address':
    case 'email':
      return sentence('itemLeads', { label, target: destination.address });
  }
}
