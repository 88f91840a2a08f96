import { describe, expect, it } from 'vitest';
import { seededRandom } from '../src/base/seededRandom.ts';
import type { Id } from '../src/base/ids.ts';
import type { SiteDocument } from '../src/model/document.ts';
import { findBreach } from '../src/model/findBreach.ts';
import { nodeAt } from '../src/model/forest.ts';
import { newPart } from '../src/model/newPart.ts';
import { applyEdit } from '../src/ops/applyEdit.ts';
import type { Operation } from '../src/ops/registry.ts';
import { frameTable, varied, type Varied } from '../src/render/frameVariants.ts';
import { renderEdition } from '../src/render/renderEdition.ts';
import { styledIn } from '../src/resolve/sheetOf.ts';
import { renderArea, renderPlace } from '../src/render/renderFrame.ts';
import { exceptionsOf, situationOn, winning } from '../src/resolve/frameExceptions.ts';
import { resolveArea, resolvePlaces, siteWords } from '../src/resolve/resolveFrame.ts';
import { withFollowed } from '../src/resolve/withFollowed.ts';
import { resolveMenu } from '../src/resolve/resolveMenu.ts';
import { exceptionId, type Part, type PartOf } from '../src/schema/part.ts';
import { acceptEdit } from '../src/saving/acceptEdit.ts';
import { contextOf } from '../testing/contextOf.ts';
import { makeEdit } from '../src/commands/context.ts';
import { randomDocument } from '../testing/randomDocument.ts';
import { randomOperation } from '../testing/randomOperation.ts';
import { kindOf } from '../src/ops/registry.ts';
import { pick } from '../testing/pick.ts';

const SEEDS = Array.from({ length: 40 }, (_, at) => at + 1);
const SIZE = { pages: 30, menus: 4, items: 30, panels: 3 };
const byCode = (a: string, b: string): number => (a < b ? -1 : Number(a > b));

/** A document on whose frame some operations were tried. */
function tried(seed: number): SiteDocument {
  const random = seededRandom(seed);
  let document = randomDocument(random, SIZE);
  for (let step = 0; step < 30; step += 1) {
    const operation = randomOperation(random, document);
    const applied = operation === null ? null : kindOf(operation).apply(document, operation);
    if (applied?.ok === true) document = applied.value.document;
  }
  return document;
}

/** An area as it is on a page, resolved for that page alone. */
function alone(document: SiteDocument, area: Varied, page: Id | null, template: string | null): string {
  const situation = situationOn(document, page, template);
  const sources = {
    document,
    compareTitles: byCode,
    keepsEmpty: false,
    menuOf: (id: Id) =>
      document.menus.nodes.has(id) ? resolveMenu(document, id, { compareTitles: byCode }) : null,
    exceptionFor: (part: Part): PartOf<'exception'> | null =>
      winning(exceptionsOf(document, part.id), situation),
  };
  const choices = {
    site: document.site,
    words: siteWords(document),
    pictures: '',
    fetchesPanels: true,
    styled: styledIn(document),
  };
  return area === 'page'
    ? resolvePlaces(sources)
        .map((place) => renderPlace(place, choices).html)
        .join('\n')
    : renderArea(area, resolveArea(sources, area), choices).html;
}

describe('laws of the frame', () => {
  it('what the variants give a page is what resolving it for that page alone gives', () => {
    let pages = 0;
    for (const seed of SEEDS) {
      const stored = tried(seed);
      const document = withFollowed(stored, byCode);
      const { files, frame } = renderEdition(stored, { compareTitles: byCode, pictures: '' });
      if (frame === null) continue;
      const { ofPage, combinations } = frameTable(document);
      const body = (path: string): string => files.find((one) => one.path === path)?.body ?? '';
      for (const [page, at] of ofPage) {
        pages += 1;
        for (const area of varied) {
          const variant = combinations[at]![area];
          const given =
            area === 'page'
              ? Object.values(frame.places[variant] ?? {})
                  .map(({ html }) => body(html))
                  .join('\n')
              : body(frame.areas[area][variant]!.html);
          const template = nodeAt(document.pages, page).template;
          expect(given, `seed ${seed}, ${page}, ${area}`).toBe(alone(document, area, page, template));
        }
      }
    }
    expect(pages).toBeGreaterThan(500);
  });

  it('no id stands twice in what a page gets, and every reference within it leads somewhere', () => {
    for (const seed of SEEDS) {
      const document = tried(seed * 7);
      const { files, frame } = renderEdition(document, { compareTitles: byCode, pictures: '' });
      const body = (path: string): string => files.find((one) => one.path === path)?.body ?? '';
      for (const { header, side, footer } of frame?.combinations ?? []) {
        const html = [frame!.areas.header[header], frame!.areas.side[side], frame!.areas.footer[footer]]
          .map((one) => body(one?.html ?? ''))
          .join('');
        const ids = [...html.matchAll(/ id="([^"]+)"/g)].map(([, id]) => id);
        expect(new Set(ids).size, `seed ${seed}`).toBe(ids.length);
        const named = [...html.matchAll(/ (?:aria-controls|for)="([^"]+)"/g)].map(([, id]) => id);
        for (const id of named) expect(ids, `seed ${seed}`).toContain(id);
      }
    }
  });

  it('two people who make exceptions for two templates both have theirs, whoever is first', () => {
    for (const seed of SEEDS) {
      const document = randomDocument(seededRandom(seed), SIZE);
      const random = seededRandom(seed * 3);
      const part = pick(
        random,
        [...document.parts.nodes.values()].filter(({ kind }) => kind === 'placement'),
      );
      if (part === undefined) continue;
      const adding = (template: string): Operation => ({
        kind: 'addPart',
        after: null,
        branch: [
          newPart(exceptionId(part.id, { template }), part.id, {
            kind: 'exception',
            isShown: false,
            template,
          }),
        ],
      });
      const [mine, theirs] = ['mine', 'theirs'].map((template, at) =>
        makeEdit(contextOf(document, seed * 10 + at), [adding(template)]),
      );
      if (!mine!.ok || !theirs!.ok) throw new Error('Neither is refused on its own.');
      const first = applyEdit(document, theirs!.value);
      if (!first.ok) throw new Error(first.refusal.message);
      const logged = { ...first.value.edit, revision: 1, at: '', actor: 'Noor' };
      const accepted = acceptEdit(
        first.value.document,
        { ...mine!.value, session: 'w000000000000mine' },
        { since: [{ ...logged, session: 'w00000000000their' }], undone: null },
      );
      if (!accepted.ok) throw new Error(accepted.refusal.message);
      const made = exceptionsOf(accepted.value.document, part.id).map(({ template }) => template);
      expect(made).toEqual(expect.arrayContaining(['mine', 'theirs']));
      expect(findBreach(accepted.value.document)).toBeNull();
    }
  });
});
