import type { Driver } from 'selenium-webdriver/chrome.js';
import { barFits, fitPage, renderPage, type Id, type Lane, type LaneState } from '@zorvik/core';
import { byCode, faceRules, measure, PAGE_IN, pageOf, stateAt, type RandomHeader } from './fitLaw.ts';

/** The law of what drops from bars, and of the lists of footers: they are at each width what Fit says. */

export function lanesSaid(one: RandomHeader): Lane[] {
  return fitPage(one.document, pageOf(one).facts, { from: 320, to: 1920 }, measure);
}

/** In the words in which it is seen: what a list of a bar, or of a footer, is at a width. */
export function laneSaid(lane: Lane, width: number): readonly [key: string, seen: string] | null {
  const { of, part, item } = lane;
  const found = stateAt(lane, width);
  if (found === null) return null;
  const key = item === undefined ? part : `${part} ${item}`;
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
