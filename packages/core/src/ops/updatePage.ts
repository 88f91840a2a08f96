import { sentence } from '../base/sentences.ts';
import { nameOf } from '../model/labelOf.ts';
import { pageFields, pageOptions } from '../schema/page.ts';
import { defineUpdate, type Update } from './kit/defineUpdate.ts';

/** Changes fields of a page: its title, address, state, ... Retiring a page sets its state to `gone`. */
export type UpdatePage = Update<'updatePage', 'pages'>;

export const updatePage = defineUpdate(
  'updatePage',
  'pages',
  { always: pageFields, maybe: pageOptions },
  (document, { id, set }) => {
    const was = nameOf(document, 'pages', id);
    if (set.state === 'gone') return sentence('pageRetired', { label: was });
    return set.title === undefined
      ? sentence('pageChanged', { label: was })
      : sentence('pageRenamed', { was, label: set.title });
  },
);
