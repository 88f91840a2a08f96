import { refusal, type Refusal } from '../../base/refusal.ts';
import type { Id } from '../../base/ids.ts';
import type { ForestName } from '../../model/document.ts';

const words: Readonly<Record<ForestName, string>> = {
  pages: 'page',
  menus: 'menu',
  items: 'item',
  placements: 'placement',
  sharedLinks: 'shared link',
  ownFields: 'custom field',
  leftFindings: 'ignored finding',
  parts: 'part of the panel',
  presets: 'preset',
};

export function missing(forest: ForestName, id: Id): Refusal {
  return refusal('notThere', { what: words[forest], id });
}
