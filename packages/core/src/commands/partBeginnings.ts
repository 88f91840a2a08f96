import type { Id } from '../base/ids.ts';
import { refusal, type Refusal } from '../base/refusal.ts';
import type { SiteDocument } from '../model/document.ts';
import { faceOf } from '../model/faceOf.ts';
import { childrenOf, nodeAt } from '../model/forest.ts';
import { nameOf } from '../model/labelOf.ts';
import { menuOf } from '../model/menuOf.ts';
import { notYetShown, partsIn } from '../panel/shownApart.ts';
import { partWords, type Part, type PartKind } from '../schema/part.ts';
import type { CommandContext } from './context.ts';

/** What a part is made with when somebody adds it, until they say otherwise. */
export type Beginning = (
  context: CommandContext,
  owner: Id,
) => readonly Omit<Part, 'id' | 'parent'>[] | Refusal;

const NEWEST = { depth: 20, order: 'date', limit: 3 } as const;

/** What each kind begins with; what is not here cannot be added by itself. */
export const beginnings: Readonly<Partial<Record<PartKind, Beginning>>> = {
  group({ document }, owner) {
    const item = notYetShown(document, owner)[0] ?? [...childrenOf(document.items, owner)][0];
    return item === undefined ? refusal('emptyMenu') : [{ kind: 'group', item }];
  },
  groups({ document }, owner) {
    const isThere = partsIn(document, owner).some(({ kind }) => kind === 'groups');
    return isThere ? refusal('shownAlready', { label: partWords.groups }) : [{ kind: 'groups' }];
  },
  links: () => [{ kind: 'links' }, { kind: 'link', text: 'Link', destination: { kind: 'undecided' } }],
  link: () => [{ kind: 'link', text: 'Link', destination: { kind: 'undecided' } }],
  heading: () => [{ kind: 'heading', text: 'Heading' }],
  text: () => [{ kind: 'text', body: [{ kind: 'paragraph', runs: [{ text: 'Text' }] }] }],
  picture: () => [{ kind: 'picture' }],
  button: ({ document }, owner) => [
    {
      kind: 'button',
      text: `All of ${nameOf(document, 'items', owner)}`,
      destination: ledTo(document, owner),
    },
  ],
  divider: () => [{ kind: 'divider' }],
  search: () => [{ kind: 'search', text: 'Search', address: '/search', parameter: 'q' }],
  pages: ({ document }, owner) => {
    const destination = ledTo(document, owner);
    return [
      { kind: 'pages', source: { page: destination.kind === 'page' ? destination.page : null, ...NEWEST } },
    ];
  },
  menu({ document }, owner) {
    const own = menuOf(document, owner).id;
    const other = [...childrenOf(document.menus, document.site.id)].find((id) => id !== own);
    return other === undefined ? refusal('wrongMenu', { id: 'another' }) : [{ kind: 'menu', menu: other }];
  },
  video: () => [{ kind: 'video', text: 'Video', destination: { kind: 'undecided' } }],
  tabs: () => [{ kind: 'tabs' }, { kind: 'tab', text: 'First' }, { kind: 'tab', text: 'Second' }],
  tab: () => [{ kind: 'tab', text: 'Tab' }],
};

/** Kinds that somebody may add, in the order in which they are offered. */
export const addableKinds = Object.keys(beginnings) as PartKind[];

function ledTo(document: SiteDocument, owner: Id): Exclude<Part['destination'], undefined> {
  const { destination } = faceOf(document, nodeAt(document.items, owner));
  return destination.kind === 'none' ? { kind: 'undecided' } : destination;
}
