import type { Activation, Dropdown, DropdownForm } from '@zorvik/core';

/** What settings of items are called wherever they are set: for an item, or for all of a menu. */
export const dropdownWords: Readonly<
  Record<DropdownForm, { readonly label: string; readonly hint: string }>
> = {
  list: { label: 'list', hint: 'Levels open inside it' },
  flyouts: { label: 'flyouts', hint: 'Each level opens next to its parent' },
  row: { label: 'row', hint: 'Links side by side across the bar' },
  panel: { label: 'panel', hint: 'Groups in columns' },
};
export const openingWords: Readonly<Record<NonNullable<Dropdown['opens']>, string>> = {
  rest: 'hover after a pause',
  atOnce: 'hover',
  press: 'click',
};
export const activationWords: Readonly<Record<Activation, string>> = {
  split: 'label opens the page, arrow opens the dropdown',
  open: 'opens the dropdown',
  follow: 'opens the page',
};
