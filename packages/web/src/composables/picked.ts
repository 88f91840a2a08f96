import type { Id, Target } from '@zorvik/core';

/** What was meant by what was typed where a page, an address or a label is asked for. */
export type Picked =
  | { readonly kind: 'page'; readonly id: Id }
  | { readonly kind: 'link'; readonly label: string; readonly address: string }
  | { readonly kind: 'heading'; readonly label: string }
  | { readonly kind: 'undecided'; readonly label: string };

/** Where an item that is made of it leads. */
export function targetOf(picked: Picked): Target {
  if (picked.kind === 'page') return { page: picked.id };
  if (picked.kind === 'link') return { typed: picked.address };
  return picked.kind === 'undecided' ? 'undecided' : 'nothing';
}
