import { handlerOf } from '../parts/partHandlers.ts';
import { deviceClasses } from '../schema/deviceClass.ts';
import { partKinds } from '../schema/part.ts';
import { USUAL_CONTENT, usualMargins, type Site } from '../schema/site.ts';
import { looks, rule, type Rule } from '../style/rule.ts';
import { UNSEEN } from '../style/unseen.ts';
import { areaRules } from './areaRules.ts';
import type { FrameLook } from './frameLook.ts';
import { grid } from './partRules.ts';
import { hiding } from './settingRules.ts';

/** What a frame needs of the style sheet, for the kinds of part that are in use; none where there is no frame. */
export function frameRules(
  { contentWidth = USUAL_CONTENT, margins = {} }: Pick<Site, 'contentWidth' | 'margins'>,
  frame: FrameLook,
): Rule[] {
  const { parts } = frame;
  if (parts.length === 0) return [];
  const kinds = partKinds.flatMap((kind) => {
    const some = parts.filter((part) => part.kind === kind);
    return some.length === 0 ? [] : (handlerOf(kind).css?.(some) ?? []);
  });
  return [
    ...layout,
    ...(parts.some(({ kind }) => kind === 'cell') ? grid : []),
    rule('.zv-band-content', `max-inline-size:${contentWidth}px`),
    ...deviceClasses.map((device) =>
      rule('.zv-band-content', `padding-inline:${margins[device] ?? usualMargins[device]}px`, {
        medium: device,
      }),
    ),
    ...kinds,
    ...areaRules(frame),
    ...(parts.some(({ hiddenOn }) => hiddenOn !== undefined) ? hiding : []),
  ];
}

const layout: readonly Rule[] = [
  rule(
    '.zv-band-content',
    'box-sizing:content-box;display:grid;grid-template-columns:minmax(0,1fr) auto;align-items:center;margin-inline:auto',
  ),
  rule('.zv-with-centre', 'grid-template-columns:1fr auto 1fr'),
  rule('.zv-grid', 'grid-template-columns:repeat(12,minmax(0,1fr));align-items:start'),
  rule('.zv-page-wide', 'max-inline-size:none', { weight: 1 }),
  rule('.zv-zone', 'display:flex;flex-wrap:wrap;align-items:center;min-inline-size:0'),
  rule('.zv-zone-start:only-child', 'grid-column:1/-1'),
  rule('.zv-zone-centre', 'justify-content:center'),
  rule('.zv-zone-end', 'justify-content:end'),
  rule('.zv-zone .zv-search', 'grid-template-columns:minmax(0,14rem) auto'),
  rule('.zv-zone .zv-search label', UNSEEN, { isLate: true }),
  rule('.zv-zone .zv-divider', 'inline-size:0;align-self:stretch', { weight: 1 }),
  rule('.zv-zone .zv-action-link', 'box-sizing:border-box'),
  rule('.zv-zone [class*=zv-spacer]', 'block-size:0'),
  rule('.zv-side .zv-band-content', 'max-inline-size:none;padding-inline:0', { weight: 1 }),
  // The groups of a footer stand side by side where there is room.
  rule('.zv-footer .zv-list>ul', 'display:grid;grid-template-columns:repeat(auto-fit,minmax(11rem,1fr))'),
  rule('.zv-skip', 'position:absolute;z-index:20;inset-block-start:0;inset-inline-start:0'),
  rule('.zv-skip:not(:focus)', UNSEEN, { isLate: true }),
  // Until a drawer is composed, zones that do not fit stand one below the other.
  rule('.zv-band-content:not(.zv-grid)', 'display:flex;flex-wrap:wrap;justify-content:space-between', {
    medium: 'narrow',
  }),
  rule('.zv-band .zv-cell', 'grid-column:span 12', { medium: 'narrow', weight: 1 }),
  looks(
    'header',
    'side',
    'footer',
    'band',
    'upperBand',
    'footerBand',
    'footerLevel',
    'frameList',
    'endBar',
    'frameHeading',
    'lastBand',
    'zones',
    'zone',
    'frameCell',
    'skip',
    'menu',
    'bandSearch',
    'bandDivider',
    'sideEntry',
    'sideTop',
    'sideDeep',
    'footerEntry',
    'footerHeading',
  ),
];
