import { describe, expect, it } from 'vitest';
import { seededRandom } from '../src/base/seededRandom.ts';
import type { RandomBits } from '../src/base/ids.ts';
import type { Result } from '../src/base/result.ts';
import type { CommandContext } from '../src/commands/context.ts';
import {
  addLink,
  addPages,
  branchesOf,
  duplicateItems,
  leadTo,
  moveItems,
  nestItems,
  pasteItems,
  removeItems,
  renameItem,
  shiftItems,
  unnestItems,
} from '../src/commands/items.ts';
import { bringIn, planSketch } from '../src/commands/bringIn.ts';
import { createMenu, placeMenu, retireMenu, setMenu } from '../src/commands/menus.ts';
import { declareField, removeField } from '../src/commands/ownFields.ts';
import {
  addPartOf,
  addRow,
  composePanel,
  duplicatePart,
  makePlain,
  movePartTo,
  removePartOf,
  setPart,
  shiftPart,
} from '../src/commands/composing.ts';
import { addCell, shapeCell } from '../src/commands/panelCells.ts';
import { removePreset, savePreset, shippedPresets, usePreset } from '../src/commands/presets.ts';
import { ownerOf } from '../src/model/partRoots.ts';
import { addableKinds } from '../src/schema/part.ts';
import { planPage } from '../src/commands/planPage.ts';
import { makeAlike, setItems } from '../src/commands/settings.ts';
import { addShared, createLink, detachItem, removeLink, shareItem } from '../src/commands/sharedLinks.ts';
import { sketchOf } from '../src/commands/sketchOf.ts';
import { starters, starterSketch } from '../src/commands/starters.ts';
import { follow, followOf, takeExceptionBack, unfollow } from '../src/commands/follow.ts';
import { isFollowed } from '../src/commands/throughFollowed.ts';
import { createFilling } from '../src/resolve/withFollowed.ts';
import { followOrders, type Follow } from '../src/schema/follow.ts';
import { undoEdit } from '../src/commands/undo.ts';
import { newHistory, nextRedo, nextUndo, withEdit } from '../src/history/history.ts';
import { emptyForest } from '../src/model/forest.ts';
import { findBreach } from '../src/model/findBreach.ts';
import { toStored } from '../src/model/stored.ts';
import type { SiteDocument } from '../src/model/document.ts';
import { applyEdit } from '../src/ops/applyEdit.ts';
import type { Edit } from '../src/ops/edit.ts';
import { below, pick } from '../testing/pick.ts';
import { randomDocument } from '../testing/randomDocument.ts';

const SESSION = 'w000000000000001';
const SEEDS = Array.from({ length: 40 }, (_, at) => at + 1);

function randomCommand(
  random: RandomBits,
  document: SiteDocument,
): (context: CommandContext) => Result<Edit> {
  const items = [...document.items.nodes.keys()];
  const menus = [...document.menus.nodes.keys()];
  const item = pick(random, items) ?? '';
  const chosen = [item, pick(random, items) ?? item];
  const spot = { parent: pick(random, [...menus, ...items]) ?? '', after: null };
  const page = pick(random, [...document.pages.nodes.keys()]) ?? '';
  const followed =
    pick(
      random,
      items.filter((id) => isFollowed(document, id)),
    ) ?? item;
  const parts = [...document.parts.nodes.keys()];
  const part = pick(random, parts) ?? '';
  const owner = part === '' ? item : ownerOf(document, part).id;
  const link = pick(random, [...document.sharedLinks.nodes.keys()]) ?? '';
  const commands: ((context: CommandContext) => Result<Edit>)[] = [
    (context) => addPages(context, { pages: [page], depth: 2, spot }),
    (context) => addLink(context, spot, { label: 'Link', address: '/somewhere' }),
    (context) => renameItem(context, item, 'Another name'),
    (context) => moveItems(context, chosen, spot),
    (context) => nestItems(context, chosen),
    (context) => unnestItems(context, chosen),
    (context) => shiftItems(context, chosen, 'down'),
    (context) => removeItems(context, chosen),
    (context) => duplicateItems(context, [item]),
    (context) => createMenu(context, { name: 'Menu', place: 'side' }),
    (context) => retireMenu(context, pick(random, menus) ?? ''),
    (context) =>
      leadTo(
        context,
        item,
        pick(random, [{ page }, { typed: 'ask@seeds.example' }, 'nothing', 'undecided'] as const) ??
          'nothing',
      ),
    (context) =>
      setItems(context, chosen, {
        tooltip: pick(random, ['Tip', '']) ?? '',
        heldBack: pick(random, [true, null]) ?? null,
        hiddenOn: ['narrow'],
      }),
    (context) =>
      items.length === 0
        ? removeItems(context, [])
        : makeAlike(context, item, ['tooltip', 'opensNewTab', 'badge']),
    (context) => pasteItems(context, branchesOf(context, chosen), spot),
    (context) => shareItem(context, item),
    (context) => createLink(context, { page }),
    (context) => addShared(context, link, spot),
    (context) => renameItem(context, link, 'A shared name'),
    (context) => detachItem(context, item),
    (context) => removeLink(context, link, 'detach'),
    (context) => planPage(context, { title: 'Planned', under: page, spot }),
    (context) =>
      bringIn(
        context,
        planSketch(
          document,
          sketchOf(
            document,
            chosen.slice(0, 1).filter((id) => document.items.nodes.has(id)),
          ),
        ),
        spot,
      ),
    (context) =>
      createMenu(context, {
        name: 'Copy',
        place: 'drawer',
        fill: { kind: 'copy', menu: pick(random, menus) ?? '' },
      }),
    (context) =>
      createMenu(context, { name: 'Pages', place: 'footer', fill: { kind: 'pages', below: page, depth: 1 } }),
    (context) =>
      createMenu(context, {
        name: 'Starter',
        place: 'bar',
        fill: { kind: 'planned', items: planSketch(document, starterSketch(document, starters[0]!)).items },
      }),
    (context) =>
      setMenu(context, pick(random, menus) ?? '', { depthLimit: pick(random, [2, 3, null]) ?? null }),
    (context) => placeMenu(context, pick(random, menus) ?? '', 'side'),
    (context) =>
      declareField(context, { name: pick(random, ['Campaign', 'Season']) ?? '', type: 'text', of: 'items' }),
    (context) =>
      follow(
        context,
        pick(random, [item, item, pick(random, menus) ?? item]) ?? item,
        randomRule(random, page, pick(random, menus) ?? ''),
      ),
    (context) =>
      unfollow(
        context,
        pick(
          random,
          [...items, ...menus].filter((id) => followOf(document, id) !== null),
        ) ?? item,
      ),
    (context) =>
      takeExceptionBack(
        context,
        pick(
          random,
          items.filter((id) => isFollowed(document, id)),
        ) ?? item,
      ),
    // Followed children are what most is done to.
    (context) =>
      moveItems(
        context,
        [followed],
        pick(random, [spot, { parent: document.items.nodes.get(followed)?.parent ?? '', after: null }]) ??
          spot,
      ),
    (context) => renameItem(context, followed, 'A followed name'),
    (context) => removeItems(context, [followed]),
    (context) =>
      addLink(
        context,
        { parent: followed, after: null },
        { label: 'Below a followed one', address: '/below' },
      ),
    (context) =>
      addLink(
        context,
        { parent: document.items.nodes.get(followed)?.parent ?? '', after: followed },
        { label: 'Beside', address: null },
      ),
    (context) => composePanel(context, pick(random, [item, followed]) ?? item),
    (context) => makePlain(context, owner),
    (context) => addRow(context, pick(random, [item, owner]) ?? item, pick(random, [part, null]) ?? null),
    (context) => addCell(context, part),
    (context) => shapeCell(context, part, 1 + below(random, 12)),
    (context) => removePartOf(context, part),
    (context) => duplicatePart(context, part),
    (context) => shiftPart(context, part, pick(random, ['up', 'down'] as const) ?? 'up'),
    (context) => movePartTo(context, part, { parent: pick(random, parts) ?? '', after: null }),
    (context) => setPart(context, part, { text: 'A text', hiddenOn: ['narrow'] }),
    (context) =>
      addPartOf(
        context,
        pick(random, [item, owner]) ?? item,
        part,
        pick(random, addableKinds('panel')) ?? 'heading',
      ),
    (context) =>
      usePreset(
        context,
        pick(random, [item, followed]) ?? item,
        pick(random, shippedPresets) ?? shippedPresets[0]!,
      ),
    (context) => savePreset(context, owner, pick(random, ['Mine', 'Ours']) ?? 'Mine'),
    (context) => usePreset(context, item, { preset: pick(random, [...document.presets.nodes.keys()]) ?? '' }),
    (context) => removePreset(context, pick(random, [...document.presets.nodes.keys()]) ?? ''),
    (context) => removeField(context, pick(random, [...document.ownFields.nodes.keys()]) ?? ''),
  ];
  return pick(random, commands) ?? ((context) => removeItems(context, chosen));
}

function randomRule(random: RandomBits, page: string, menu: string): Follow {
  const of =
    pick(random, [
      { kind: 'pages', page } as const,
      { kind: 'pages', page: null } as const,
      { kind: 'menu', menu } as const,
    ]) ?? ({ kind: 'menu', menu } as const);
  const order = pick(random, followOrders) ?? 'site';
  return {
    of,
    order,
    depth: 1 + below(random, 3),
    ...(pick(random, [{}, { flat: true as const }, { limit: 2 }]) ?? {}),
  };
}

describe('laws of commands and undo', () => {
  it('any run of commands keeps the invariants, undo leads back to its start, and redo to its end', () => {
    for (const seed of SEEDS) {
      const random = seededRandom(seed);
      const start = randomDocument(random, { pages: 15, menus: 2, items: 20, panels: 4 });
      let document = start;
      let log: Edit[] = [];
      const fill = createFilling();
      const perform = (command: (context: CommandContext) => Result<Edit>, isUndo = false): boolean => {
        const base = { base: log.length, session: SESSION, random };
        const made = command(
          isUndo
            ? { document, ...base }
            : { document: fill(document), from: { stored: document, fill }, ...base },
        );
        if (!made.ok) return false;
        const applied = applyEdit(document, made.value);
        if (!applied.ok)
          throw new Error(`seed ${seed}: a command gave what does not apply: ${applied.refusal.message}`);
        document = applied.value.document;
        // An exception that matches nothing any more is kept and not shown; so is its panel.
        expect(
          findBreach({ ...fill(document), parts: emptyForest() }),
          `seed ${seed}: what is shown`,
        ).toBeNull();
        log = [...log, applied.value.edit];
        return true;
      };
      const takeBack = (id: string | undefined): void => {
        const at = log.findIndex((edit) => edit.id === id);
        const edit = log[at];
        if (edit === undefined) throw new Error(`seed ${seed}: no such edit`);
        if (!perform((context) => undoEdit(context, { edit, since: log.slice(at + 1), group: null }), true))
          throw new Error(`seed ${seed}: it cannot be taken back`);
      };
      const history = () => log.reduce(withEdit, newHistory(SESSION));

      let steps = 0;
      for (let tries = 0; tries < 110 && document.menus.nodes.size > 0; tries += 1)
        if (perform(randomCommand(random, fill(document)))) steps += 1;
      expect(findBreach(document), `seed ${seed}`).toBeNull();
      const end = toStored(document);
      for (let step = 0; step < steps; step += 1) takeBack(nextUndo(history())[0]);
      expect(nextUndo(history())).toEqual([]);
      expect(toStored(document), `seed ${seed}: back to the start`).toEqual(toStored(start));
      for (let step = 0; step < steps; step += 1) takeBack(nextRedo(history())[0]);
      expect(toStored(document), `seed ${seed}: and to the end again`).toEqual(end);
    }
  }, 60_000);
});
