import type { Driver } from 'selenium-webdriver/chrome.js';
import {
  barFits,
  childrenOf,
  fitPage,
  levelOwner,
  renderPage,
  setLooks,
  type Id,
  type Lane,
  type LaneState,
  type StyleSet,
} from '@zorvik/core';
import { applied, contextOf } from '@zorvik/core/testing';
import { byCode, faceRules, measure, PAGE_IN, pageOf, stateAt, type RandomHeader } from './fitLaw.ts';

/** The law of bands, of what drops from bars, and of the lists of footers: they are at each width what Fit says. */

/** The same with looks of what drops: of a level, of one entry with its branch, and of one within. */
export function withLooksOfDrops(one: RandomHeader, seed: number): RandomHeader {
  let { document } = one;
  const set = (owner: string, values: StyleSet): void => {
    const made = setLooks(contextOf(document, seed), { owner, thing: 'dropEntry' }, values);
    if (made.ok) document = made.value.operations.reduce(applied, document);
  };
  for (const { id } of document.menus.nodes.values()) {
    const tops = [...childrenOf(document.items, id)].filter(
      (top) => childrenOf(document.items, top).size > 0,
    );
    set(levelOwner(id, 2), { fontSize: seed % 2 === 0 ? '20px' : '.8rem' });
    const [first, second] = tops;
    if (first !== undefined) set(first, { letterSpacing: '1px' });
    const [child] = second === undefined ? [] : childrenOf(document.items, second);
    if (child !== undefined) set(child, { paddingInline: '3rem' });
  }
  return { ...one, document };
}

export function lanesSaid(one: RandomHeader): Lane[] {
  return fitPage(one.document, pageOf(one).facts, { from: 320, to: 1920 }, measure);
}

/** What is seen of those whose state Fit knows. */
export function knownOf(lanes: readonly Lane[], seen: Readonly<Record<Id, string>>): Record<Id, string> {
  const unknown = new Set(lanes.filter(({ stretches }) => stretches === null).map(({ part }) => part));
  return Object.fromEntries(Object.entries(seen).filter(([key]) => !unknown.has(key)));
}

/** In the words in which it is seen: what a list of a bar, or of a footer, is at a width. */
export function laneSaid(lane: Lane, width: number): readonly [key: string, seen: string] | null {
  const { of, part, item } = lane;
  const found = stateAt(lane, width);
  if (found === null) return null;
  const key = item === undefined ? part : `${part} ${item}`;
  if (of === 'band') return found.is === 'band' ? [key, `in ${found.rows}`] : null;
  if (of === 'footer') return found.is === 'columns' ? [key, String(found.columns)] : null;
  return found.is === 'list' ? [key, listSaid(found)] : null;
}

function listSaid({ place, broken }: Extract<LaneState, { is: 'list' }>): string {
  return `${place} ${broken.join(' ')}`;
}

const LOOK = `${PAGE_IN}
const [html, css, widths, done] = arguments;
const { frame, page } = pageIn(html, css);
// As with the script: what is below the entries of a dropdown is closed.
for (const nav of page.querySelectorAll('nav')) nav.setAttribute('data-zv-on', '');
void page.body.offsetHeight;
const lines = (face) => {
  const range = page.createRange();
  range.selectNodeContents(face);
  let [count, bottom] = [0, -Infinity];
  for (const one of [...range.getClientRects()].filter(({ width }) => width > 0).sort((a, b) => a.top - b.top)) {
    if (one.top >= bottom - 2) { count += 1; bottom = one.bottom; }
    else bottom = Math.max(bottom, one.bottom);
  }
  return count;
};
// Boxes of a row overlap from top to bottom, wherever they are centred.
const rowsOf = (boxes) => {
  const rows = [];
  let bottom = -Infinity;
  for (const one of boxes.map((box) => [box, box.getBoundingClientRect()]).sort((a, b) => a[1].top - b[1].top)) {
    if (one[1].top >= bottom - 0.1) rows.push([]);
    rows.at(-1).push(one[0]);
    bottom = Math.max(one[1].top >= bottom - 0.1 ? -Infinity : bottom, one[1].bottom);
  }
  return rows;
};
page.fonts.ready.then(() => {
  const seen = widths.map((width) => {
    frame.style.inlineSize = width + 'px';
    const found = {};
    for (const nav of page.querySelectorAll('.zv-header nav.zv-bar')) for (const entry of nav.querySelectorAll(':scope>ul>li:not(.zv-more)')) {
      const list = entry.querySelector(':scope>ul');
      if (list === null || entry.getClientRects().length === 0 || width < 768) continue;
      list.style.display = 'block';
      const isInside = () => { const { left, right } = list.getBoundingClientRect(); return left >= -0.02 && right <= width + 0.02; };
      let place = 'usual';
      if (!isInside()) { entry.setAttribute('data-zv-end', ''); place = isInside() ? 'flipped' : 'beyond'; }
      entry.removeAttribute('data-zv-end');
      const broken = [...list.querySelectorAll(':scope>li')].filter((one) => lines(one.querySelector(':scope>:is(a,span,button)')) > 1);
      found[nav.id.slice(3) + ' ' + entry.dataset.zvItem] = place + ' ' + broken.map((one) => one.dataset.zvItem).join(' ');
      list.style.display = '';
    }
    for (const band of page.querySelectorAll('.zv-header>.zv-band')) {
      if (band.getClientRects().length === 0) continue;
      const seenIn = (zone) => [...zone.children].filter((one) => one.getClientRects().length > 0);
      const zones = [...band.querySelectorAll(':scope>.zv-band-content>.zv-zone')].filter((one) => seenIn(one).length > 0);
      const count = rowsOf(zones).map((row) => Math.max(...row.map((zone) => rowsOf(seenIn(zone)).length)));
      if (count.length > 0) found[band.dataset.zvPart] = 'in ' + count.reduce((sum, one) => sum + one, 0);
    }
    for (const nav of page.querySelectorAll('.zv-footer nav.zv-list')) {
      const tops = [...nav.querySelectorAll(':scope>ul>li')].map((one) => one.getBoundingClientRect());
      found[nav.id.slice(3)] = String(tops.filter(({ top }) => Math.abs(top - tops[0].top) < 2).length);
    }
    return found;
  });
  done(seen);
});`;

export async function lanesSeen(
  driver: Driver,
  one: RandomHeader,
  widths: readonly number[],
): Promise<Record<Id, string>[]> {
  const { document } = one;
  const { situation, facts } = pageOf(one);
  const { header, footer, css } = renderPage(document, situation, {
    compareTitles: byCode,
    pictures: '/p/',
    year: 2026,
    fits: barFits(document, facts.header, measure),
    isComposed: true,
  });
  const plain = css.replaceAll(/@font-face\{[^}]*\}\n?/g, '');
  return driver.executeAsyncScript(LOOK, header + footer, `${faceRules('zv-')}\n${plain}`, widths);
}
