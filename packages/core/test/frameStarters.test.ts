import { describe, expect, it } from 'vitest';
import type { Result } from '../src/base/result.ts';
import { addToFrame, setException } from '../src/commands/frame.ts';
import {
  frameStarters,
  isFramePreset,
  saveFrameStarter,
  useFrameStarter,
} from '../src/commands/frameStarters.ts';
import { createMenu } from '../src/commands/menus.ts';
import { removePreset, usePreset } from '../src/commands/presets.ts';
import { setSite } from '../src/commands/siteFacts.ts';
import { newDocument, type SiteDocument } from '../src/model/document.ts';
import { branchOf } from '../src/model/branchOf.ts';
import { childrenOf } from '../src/model/forest.ts';
import { findBreach } from '../src/model/findBreach.ts';
import { areaId, zoneId } from '../src/model/partRoots.ts';
import { partsIn } from '../src/model/partsIn.ts';
import { toStored } from '../src/model/stored.ts';
import { applyEdit } from '../src/ops/applyEdit.ts';
import type { Edit } from '../src/ops/edit.ts';
import { invertEdit } from '../src/ops/invertEdit.ts';
import { newProblem } from '../src/ops/newProblem.ts';
import { situationOn } from '../src/resolve/frameExceptions.ts';
import { renderPage } from '../src/render/renderPage.ts';
import { seededRandom } from '../src/base/seededRandom.ts';
import type { CommandContext } from '../src/commands/context.ts';
import { contextOf as contextWith } from '../testing/contextOf.ts';
import { outlined } from '../testing/outlined.ts';

const { document: start, ids } = outlined('Shop > /shop\nHelp > /help', '/ Home\n/shop Shop\n/help Help');

const random = seededRandom(5);
const contextOf = (document: SiteDocument): CommandContext => ({ ...contextWith(document), random });

/** The edit's document, after everything that a server would ask of it. */
function done(document: SiteDocument, made: Result<Edit>): SiteDocument {
  if (!made.ok) throw new Error(made.refusal.message);
  for (const operation of made.value.operations) expect(newProblem(document, operation)).toBeNull();
  const applied = applyEdit(document, made.value);
  if (!applied.ok) throw new Error(applied.refusal.message);
  expect(findBreach(applied.value.document)).toBeNull();
  const back = applyEdit(applied.value.document, {
    ...made.value,
    operations: invertEdit(applied.value.edit),
  });
  if (!back.ok) throw new Error(back.refusal.message);
  expect(toStored(back.value.document), 'undo').toEqual(toStored(document));
  return applied.value.document;
}
const shown = (document: SiteDocument, page = ids.get('/shop') ?? ''): ReturnType<typeof renderPage> =>
  renderPage(document, situationOn(document, page), { compareTitles: () => 0, pictures: '', year: 2026 });
const kindsIn = (document: SiteDocument): Set<string> =>
  new Set(partsIn(document, document.site.id).map(({ kind }) => kind));

describe('a starter of a frame', () => {
  it.each(frameStarters.map((starter) => [starter.name, starter] as const))(
    '%s puts this site’s menu and facts into the place of what was there, and is undone as one step',
    (_, starter) => {
      const site = done(
        start,
        setSite(contextOf(start), { phone: '01632 960140', postal: ['Mill Lane'], holder: 'Meadow Trust' }),
      );
      const made = done(site, useFrameStarter(contextOf(site), starter));
      const { header, footer } = shown(made);
      expect(header).toContain('aria-label="Menu"');
      expect(header).toContain('zv-logo');
      expect(footer).toContain('Meadow Trust');
      expect(header + footer).toContain(starter.key === 'line' ? 'zv-search' : '01632 960140');
      expect(partsIn(made, site.site.id).filter(({ kind }) => kind === 'placement')).toHaveLength(1);
    },
  );

  it('needs neither menus nor facts; what is typed later shows where the starter has a part for it', () => {
    const bare = newDocument(start.site);
    const page = bare.site.id;
    for (const starter of frameStarters.filter(({ key }) => key !== 'line')) {
      const made = done(bare, useFrameStarter(contextOf(bare), starter));
      expect(shown(made, page).header + shown(made, page).footer).not.toContain('zv-contact');
      const later = done(made, setSite(contextOf(made), { phone: '01632 960140', postal: ['Mill Lane'] }));
      const { header, footer } = shown(later, page);
      expect(header + footer).toContain('01632 960140');
      expect(footer).toContain('Mill Lane');
    }
  });

  it('has room for menus that are made later: a second bar beside the contact details, the footer menu in a row of its own above the copyright', () => {
    const two = frameStarters.find(({ key }) => key === 'two')!;
    const before = done(start, useFrameStarter(contextOf(start), two));
    const withMenu = (document: SiteDocument, name: string, place: 'secondBar' | 'footer'): SiteDocument =>
      done(document, createMenu(contextOf(document), { name, place, fill: { kind: 'empty' } }));
    const after = withMenu(withMenu(before, 'Service', 'secondBar'), 'Small print', 'footer');
    const bands = (document: SiteDocument, area: 'header' | 'footer'): string[] =>
      [...childrenOf(document.parts, areaId(area))].map((band) =>
        branchOf(document.parts, band)
          .filter(({ kind }) => kind !== 'band' && kind !== 'zone' && kind !== 'cell')
          .map((part) =>
            part.kind === 'placement' ? (document.menus.nodes.get(part.shows ?? '')?.name ?? '') : part.kind,
          )
          .join(' '),
      );
    expect(bands(after, 'header')).toEqual(['contact Service', 'logo Menu search', 'breadcrumb']);
    expect(bands(after, 'footer')).toEqual(['Small print', 'contact social', 'copyright payment']);
  });

  it('can be for the header alone: all else stays', () => {
    const [line, two] = frameStarters;
    const before = done(start, useFrameStarter(contextOf(start), two!));
    const after = done(before, useFrameStarter(contextOf(before), line!, 'header'));
    expect(shown(after).footer).toBe(shown(before).footer);
    expect(shown(after).header).not.toBe(shown(before).header);
    const none = useFrameStarter(contextOf(start), line!, 'side');
    expect(none.ok ? '' : none.refusal.code).toBe('noSuchArea');
  });

  it('is saved with its exceptions, and gives the same frame again', () => {
    const [, , shop] = frameStarters;
    let site = done(start, useFrameStarter(contextOf(start), shop!));
    const [band = ''] = [...site.parts.children.get(areaId('header'))!];
    site = done(site, addToFrame(contextOf(site), { parent: zoneId(band, 'end'), after: null }, 'button'));
    const placement = partsIn(site, site.site.id).find(({ kind }) => kind === 'placement')!.id;
    const on = { onPage: ids.get('/help') ?? '', isBelow: true } as const;
    site = done(site, setException(contextOf(site), placement, on, { isShown: false }));
    site = done(site, saveFrameStarter(contextOf(site), 'Our frame'));
    const [preset] = [...site.presets.nodes.values()];
    expect(isFramePreset(preset!)).toBe(true);
    const other = done(site, useFrameStarter(contextOf(site), frameStarters[0]!));
    const again = done(other, useFrameStarter(contextOf(other), { preset: preset!.id }));
    const plain = (html: string): string => html.replaceAll(/c[0-9a-z]{15}|zv-[0-9a-z]{16}/g, 'ID');
    for (const page of ['/shop', '/help'])
      expect(plain(shown(again, ids.get(page)).header)).toBe(plain(shown(site, ids.get(page)).header));
    expect(shown(again, ids.get('/help')).header).not.toContain('aria-label="Menu"');
    const twice = saveFrameStarter(contextOf(again), 'Our frame');
    expect(twice.ok ? '' : twice.refusal.code).toBe('keyTaken');
    const item = [...again.items.nodes.keys()][0] ?? '';
    const inPanel = usePreset(contextOf(again), item, { preset: preset!.id });
    expect(inPanel.ok ? '' : inPanel.refusal.code, 'it is none for a panel').toBe('notThere');
    const gone = done(again, removePreset(contextOf(again), preset!.id));
    expect(kindsIn(gone)).toEqual(kindsIn(again));
  });
});
