import { foldText } from '../base/foldText.ts';
import type { SiteDocument } from '../model/document.ts';
import type { Sketch } from '../model/sketch.ts';
import type { Page, PageKind } from '../schema/page.ts';
import type { Place } from '../schema/placement.ts';
import { ancestors } from '../walk/ancestors.ts';

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

/** How certain it is that words mean a page, in percent, before its kind and its place are weighed. */
const certainties = { label: 100, like: 92, addressLabel: 84, addressLike: 76 } as const;
/** A product called “Travel” is hardly the page about getting here. */
const byKind: Readonly<Record<PageKind, number>> = {
  page: 0,
  category: -4,
  event: -25,
  article: -30,
  product: -50,
};
/** For each level below the top of the site, and below the page that the item above links to. */
const [DEEPER, WITHIN, DRAFT] = [-6, 8, -10];
/** What is less certain is no match: somebody decides. */
const LEAST = 50;
const MOST = 99;

/** A page that words may mean. */
interface Candidate {
  readonly page: Page;
  readonly isByAddress: boolean;
}

/**
 * A starter's tree with addresses of this site's pages where a page of that meaning was found, with how certain that is: the
 * kind of a page and its place count, too. O(pages + words of the starter).
 */
export function starterSketch(document: SiteDocument, { items }: Starter): Sketch[] {
  const byWords = new Map<string, Candidate[]>();
  const note = (words: string, one: Candidate): void => {
    const known = byWords.get(words);
    if (known === undefined) byWords.set(words, [one]);
    else known.push(one);
  };
  for (const page of document.pages.nodes.values()) {
    if (page.state === 'gone') continue;
    const title = foldText(page.title);
    const path = page.address.split(/[?#]/)[0] ?? '';
    const last = foldText(path.split('/').findLast((part) => part !== '') ?? '');
    note(title, { page, isByAddress: false });
    if (last !== '' && last !== title) note(last, { page, isByAddress: true });
  }
  const certaintyOf = ({ page, isByAddress }: Candidate, isLabel: boolean, near: Page | null): number => {
    const isWithin = near !== null && page.address.startsWith(`${near.address.replace(/\/+$/, '')}/`);
    const depth = [...ancestors<Page>(page, ({ parent }) => document.pages.nodes.get(parent))].length;
    const nearDepth = isWithin
      ? [...ancestors<Page>(near, ({ parent }) => document.pages.nodes.get(parent))].length + 1
      : 0;
    const by = isByAddress
      ? isLabel
        ? certainties.addressLabel
        : certainties.addressLike
      : isLabel
        ? certainties.label
        : certainties.like;
    return (
      by +
      byKind[page.kind] +
      DEEPER * Math.max(0, depth - nearDepth) +
      (isWithin ? WITHIN : 0) +
      (page.state === 'draft' ? DRAFT : 0)
    );
  };
  const sketch = ({ label, like = [], children = [] }: StarterItem, near: Page | null): Sketch => {
    let best: { readonly page: Page; readonly sure: number } | null = null;
    for (const words of [label, ...like]) {
      for (const one of byWords.get(foldText(words)) ?? []) {
        const sure = Math.min(MOST, certaintyOf(one, words === label, near));
        if (sure >= LEAST && sure > (best?.sure ?? 0)) best = { page: one.page, sure };
      }
    }
    const below = children.map((child) => sketch(child, best?.page ?? null));
    // What groups others needs no page of its own.
    if (best === null)
      return { label, target: { kind: below.length > 0 ? 'heading' : 'undecided' }, children: below };
    const { page, sure } = best;
    return { label: page.title, target: { kind: 'address', address: page.address, sure }, children: below };
  };
  return items.map((item) => sketch(item, null));
}

/** The starter that fits a place where menus appear. */
export function starterFor(place: Place): string {
  if (place === 'footer') return 'footer';
  return place === 'secondBar' ? 'service' : 'content';
}
