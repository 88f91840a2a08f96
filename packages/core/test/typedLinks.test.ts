import { describe, expect, it } from 'vitest';
import { addLink, leadTo } from '../src/commands/items.ts';
import { readdressedBelow, readdressPage } from '../src/commands/pages.ts';
import { createLink } from '../src/commands/sharedLinks.ts';
import { childrenOf, nodeAt } from '../src/model/forest.ts';
import { inWords } from '../src/base/sentences.ts';
import { contextOf } from '../testing/contextOf.ts';
import { doing } from '../testing/doing.ts';
import { outlined } from '../testing/outlined.ts';

/** What people type as the destination of a link. */
const {
  document: bare,
  menu,
  ids,
} = outlined('= /help', '/help Help\n  /help/contact Contact us\n/classes Classes');
const document = { ...bare, site: { ...bare.site, origin: 'https://meadow.example' } };
const { done } = doing(700);
const page = (path: string): string => ids.get(path) ?? '';

describe('the address of a page that is typed', () => {
  it.each([
    ['/classes', '/classes', null],
    ['/classes/', '/classes', null],
    ['https://meadow.example/classes', '/classes', null],
    ['/help/contact#map', '/help/contact', 'map'],
    ['/help/contact#how%20to%20find%20us', '/help/contact', 'how to find us'],
  ])('%s links to the page, under its title', (address, path, anchor) => {
    const after = done(document, (context) =>
      addLink(context, { parent: menu, after: null }, { label: address, address }),
    );
    const [first = ''] = childrenOf(after.items, menu);
    const item = nodeAt(after.items, first);
    expect(item.destination).toEqual({ kind: 'page', page: page(path), anchor });
    expect(item.label).toBeNull();
    expect(item.agreed).not.toBeNull();
    const led = done(document, (context) => leadTo(context, ids.get('= /help') ?? '', { typed: address }));
    expect(nodeAt(led.items, ids.get('= /help') ?? '').destination).toEqual(item.destination);
    const shared = done(document, (context) => createLink(context, { label: address, address }));
    expect([...shared.sharedLinks.nodes.values()][0]?.destination).toEqual(item.destination);
  });

  it('keeps a label that says something else', () => {
    const after = done(document, (context) =>
      addLink(context, { parent: menu, after: null }, { label: 'Book a class', address: '/classes' }),
    );
    const [first = ''] = childrenOf(after.items, menu);
    expect(nodeAt(after.items, first).label).toBe('Book a class');
  });

  it.each(['/classes?level=2', '/elsewhere', 'https://other.example/classes', '#map'])(
    '%s is that of no page, and stays a link to an address',
    (address) => {
      const made = addLink(contextOf(document, 5), { parent: menu, after: null }, { label: 'Link', address });
      const [operation] = made.ok ? made.value.operations : [];
      if (operation?.kind !== 'addItem') throw new Error('no item is added');
      expect(operation.branch[0]?.destination).toEqual({ kind: 'address', address });
    },
  );
});

describe('a page that gets another address', () => {
  it('says how many below it change with it', () => {
    expect(readdressedBelow(document, page('/help'))).toBe(1);
    const made = readdressPage(contextOf(document, 8), page('/help'), '/support');
    expect(made.ok && made.value.sentence !== undefined && inWords(made.value.sentence)).toBe(
      'Changed the address of “Help” to /support, and the addresses of 1 page below it',
    );
  });
});
