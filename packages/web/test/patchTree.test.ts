import { beforeEach, describe, expect, it } from 'vitest';
import { renderMenu, resolveMenu, seededRandom } from '@zorvik/core';
import { randomDocument } from '@zorvik/core/testing';
import { patchTree } from '../src/live/patchTree.ts';

const holder = (html: string): HTMLElement =>
  Object.assign(document.createElement('div'), { innerHTML: html });
const menuHtml = (seed: number): string => {
  const site = randomDocument(seededRandom(seed), { pages: 10, menus: 1, items: 30 });
  const [menu = ''] = site.menus.nodes.keys();
  return renderMenu(resolveMenu(site, menu), { place: 'bar', marks: true });
};

beforeEach(() => document.body.replaceChildren());

describe('patching the live header', () => {
  it('makes any menu into any other', () => {
    for (let seed = 1; seed < 25; seed += 1) {
      const present = holder(menuHtml(seed));
      patchTree(present, holder(menuHtml(seed + 1)));
      expect(present.innerHTML, `from ${seed}`).toBe(holder(menuHtml(seed + 1)).innerHTML);
    }
  });

  it('keeps what can stay: the element, its open branch, the focus', () => {
    const html = (label: string): string =>
      `<nav><ul><li data-zv-item="ia"><a href="/a">A</a></li><li data-zv-item="ib"><a href="/b">${label}</a><button aria-expanded="false">o</button><ul><li data-zv-item="ic"><a href="/c">C</a></li></ul></li></ul></nav>`;
    const present = holder(html('B'));
    document.body.append(present);
    const entry = present.querySelector('[data-zv-item=ib]');
    const button = present.querySelector('button');
    button?.setAttribute('aria-expanded', 'true');
    present.querySelector<HTMLElement>('a[href="/c"]')?.focus();
    patchTree(present, holder(html('B renamed')));
    expect(present.querySelector('[data-zv-item=ib]')).toBe(entry);
    expect(button?.getAttribute('aria-expanded')).toBe('true');
    expect(document.activeElement?.getAttribute('href')).toBe('/c');
    expect(entry?.querySelector('a')?.textContent).toBe('B renamed');
  });

  it('moves entries and does not make them anew', () => {
    const html = (...names: string[]): string =>
      `<ul>${names.map((name) => `<li data-zv-item="i${name}"><span>${name}</span></li>`).join('')}</ul>`;
    const present = holder(html('a', 'b', 'c', 'd'));
    const before = new Map([...present.querySelectorAll('li')].map((one) => [one.dataset.zvItem, one]));
    patchTree(present, holder(html('d', 'a', 'x', 'c')));
    expect(present.innerHTML).toBe(html('d', 'a', 'x', 'c'));
    for (const name of ['d', 'a', 'c'])
      expect(present.querySelector(`[data-zv-item=i${name}]`)).toBe(before.get(`i${name}`));
  });

  it('keeps text that stands between elements, and tells two of a kind apart', () => {
    const pictures = (label: string, more = ''): string =>
      `<a href="/a"><svg></svg>${label}<b>New</b>${more}</a><button>1</button><button>2</button>`;
    const present = holder(pictures('A'));
    const [, second] = present.querySelectorAll('button');
    patchTree(present, holder(pictures('B', ' tail')));
    expect(present.innerHTML).toBe(pictures('B', ' tail'));
    expect(present.querySelectorAll('button')[1]).toBe(second);
  });

  it('takes over what changed in kind: a link that became a heading, a branch that came or went', () => {
    const link = '<ul><li data-zv-item="ia"><a href="/a" target="_blank">A</a></li></ul>';
    const heading =
      '<ul><li data-zv-item="ia"><button aria-expanded="false">A</button><ul><li data-zv-item="ib"><span>B</span></li></ul></li></ul>';
    const present = holder(link);
    patchTree(present, holder(heading));
    expect(present.innerHTML).toBe(heading);
    patchTree(present, holder(link));
    expect(present.innerHTML).toBe(link);
  });
});
