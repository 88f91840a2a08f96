import type { Id } from '../base/ids.ts';
import type { SiteDocument } from '../model/document.ts';
import { faceOf, type Face } from '../model/faceOf.ts';
import { childrenOf, nodeAt } from '../model/forest.ts';
import { labelOf } from '../model/labelOf.ts';
import type { Sketch, SketchTarget } from '../model/sketch.ts';
import type { PortableSettings } from '../schema/readSettings.ts';
import { settingNames } from '../schema/settings.ts';
import { ownLooks } from './ownLooks.ts';
import { portablePanel } from './portablePanel.ts';
import { panelSketch } from './presets.ts';
import { mapTree } from '../walk/mapTree.ts';

/**
 * Items, with those below them, as formats write them: pages by their address, shared links by what they
 * show. O(items).
 */
export function sketchOf(document: SiteDocument, items: Iterable<Id>): Sketch[] {
  return mapTree<Id, Sketch>(
    items,
    (id) => childrenOf(document.items, id),
    (id, children) => {
      const item = nodeAt(document.items, id);
      const face = faceOf(document, item);
      const looks = [
        ...(face === item || item.link === undefined ? [] : ownLooks(document, item.link)),
        ...ownLooks(document, id),
      ];
      const settings: PortableSettings = {
        ...Object.fromEntries(
          settingNames.filter((name) => face[name] !== undefined).map((name) => [name, face[name]]),
        ),
        ...(looks.length === 0 ? {} : { looks }),
      };
      return {
        label: labelOf(document, face),
        target: targetOf(document, face),
        ...(face.opensNewTab ? { opensNewTab: true } : {}),
        ...(Object.keys(settings).length === 0 ? {} : { settings }),
        ...(childrenOf(document.parts, id).size === 0
          ? {}
          : { panel: portablePanel(document, panelSketch(document, id)) }),
        children,
      };
    },
  );
}

function targetOf(document: SiteDocument, { destination }: Face): SketchTarget {
  switch (destination.kind) {
    case 'none':
      return { kind: 'heading' };
    case 'undecided':
      return { kind: 'find' };
    case 'email':
      return { kind: 'address', address: `mailto:${destination.address}` };
    case 'phone':
      return { kind: 'address', address: `tel:${destination.number}` };
    case 'address':
      return destination;
    case 'page': {
      const { address } = nodeAt(document.pages, destination.page);
      return {
        kind: 'address',
        address: destination.anchor === null ? address : `${address}#${destination.anchor}`,
      };
    }
  }
}
