import { foldText } from '../base/foldText.ts';
import type { SiteDocument } from '../model/document.ts';
import type { Sketch } from '../model/sketch.ts';
import type { Page } from '../schema/page.ts';

/**
 * A typical tree of a menu. `like` are other words for the same; a page that is called or addressed so is
 * meant.
 */
interface StarterItem {
  readonly label: string;
  readonly like?: readonly string[];
  readonly children?: readonly StarterItem[];
}

/** A menu to start from: its name, and its items as a sketch. */
export interface Starter {
  readonly key: string;
  readonly name: string;
  readonly about: string;
  readonly items: readonly StarterItem[];
}

const help: StarterItem = {
  label: 'Help',
  like: ['customer service', 'faq', 'questions', 'help and advice'],
};
const contact: StarterItem = {
  label: 'Contact',
  like: ['contact us', 'get in touch', 'write to us', 'where to find us'],
};
const about: StarterItem = {
  label: 'About us',
  like: ['about', 'who we are', 'our story', 'the garden', 'the company'],
};

/** The menus that a new menu can start from. */
export const starters: readonly Starter[] = [
  {
    key: 'content',
    name: 'Content site',
    about: 'What it is, what it offers, what is new, how to get in touch.',
    items: [
      {
        label: 'Visit',
        like: ['plan your visit', 'visiting', 'come and see'],
        children: [
          { label: 'Opening times', like: ['hours', 'opening hours'] },
          { label: 'Tickets', like: ['tickets and prices', 'prices', 'admission'] },
          { label: 'Getting here', like: ['directions', 'how to find us', 'travel'] },
        ],
      },
      {
        ...about,
        children: [
          { label: 'History', like: ['our history'] },
          { label: 'People', like: ['team', 'staff', 'our people'] },
          { label: 'Jobs', like: ['careers', 'work with us', 'vacancies'] },
        ],
      },
      { label: 'News', like: ['journal', 'blog', 'stories', 'latest'] },
      { label: 'Events', like: ['what’s on', 'calendar', 'programme', 'courses'] },
      contact,
    ],
  },
  {
    key: 'store',
    name: 'Store',
    about: 'Departments first, then what helps to choose and to buy.',
    items: [
      {
        label: 'Shop',
        like: ['store', 'all products', 'seed house', 'products'],
        children: [
          { label: 'New in', like: ['new', 'new arrivals'] },
          { label: 'Best sellers', like: ['bestsellers', 'most loved'] },
          { label: 'Gifts', like: ['gift ideas', 'presents'] },
          { label: 'Sale', like: ['offers', 'reduced', 'outlet'] },
        ],
      },
      { label: 'Ideas', like: ['inspiration', 'guides', 'growing guides', 'learn'] },
      {
        ...help,
        children: [
          { label: 'Delivery', like: ['shipping', 'post and packing'] },
          { label: 'Returns', like: ['refunds', 'returns and refunds'] },
          { label: 'Payment', like: ['ways to pay'] },
        ],
      },
      { label: 'Account', like: ['my account', 'sign in', 'members'] },
    ],
  },
  {
    key: 'service',
    name: 'Second bar',
    about: 'The thin row above the header: help, account, language.',
    items: [
      { label: 'Opening times', like: ['hours'] },
      help,
      { label: 'Account', like: ['my account', 'members', 'membership', 'sign in'] },
      { label: 'Basket', like: ['cart', 'bag'] },
    ],
  },
  {
    key: 'footer',
    name: 'Footer',
    about: 'Columns for what people look for at the end of a page.',
    items: [
      {
        label: 'About',
        like: ['about us'],
        children: [
          { label: 'History', like: ['our history'] },
          { label: 'Press', like: ['media', 'newsroom'] },
          { label: 'Jobs', like: ['careers', 'vacancies'] },
        ],
      },
      {
        label: 'Help',
        like: ['support'],
        children: [
          contact,
          { label: 'Delivery', like: ['shipping'] },
          { label: 'Returns', like: ['refunds'] },
          { label: 'Accessibility', like: ['access', 'access and mobility'] },
        ],
      },
      {
        label: 'Legal',
        children: [
          { label: 'Privacy', like: ['privacy notice', 'privacy policy', 'data protection'] },
          { label: 'Terms', like: ['terms and conditions', 'conditions'] },
          { label: 'Imprint', like: ['legal notice'] },
        ],
      },
    ],
  },
];

/**
 * A starter's tree with addresses of this site's pages where a page of that meaning was found. O(pages +
 * words of the starter).
 */
export function starterSketch(document: SiteDocument, { items }: Starter): Sketch[] {
  const pages = [...document.pages.nodes.values()].filter(({ state }) => state !== 'gone');
  const byWords = new Map<string, Page>();
  // The shallower page wins: it comes first. Titles count before addresses.
  for (const page of pages) if (!byWords.has(foldText(page.title))) byWords.set(foldText(page.title), page);
  for (const page of pages) {
    const last = foldText(
      (page.address.split(/[?#]/)[0] ?? '').split('/').findLast((part) => part !== '') ?? '',
    );
    if (last !== '' && !byWords.has(last)) byWords.set(last, page);
  }
  const sketch = ({ label, like = [], children = [] }: StarterItem): Sketch => {
    const page = [label, ...like]
      .map((words) => byWords.get(foldText(words)))
      .find((one) => one !== undefined);
    const below = children.map(sketch);
    if (page !== undefined)
      return { label: page.title, target: { kind: 'address', address: page.address }, children: below };
    return { label, target: { kind: 'find' }, children: below };
  };
  return items.map(sketch);
}
