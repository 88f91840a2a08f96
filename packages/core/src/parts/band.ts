import type { ResolvedPart } from '../resolve/resolved.ts';
import { zoneThatGives } from './zoneThatGives.ts';
import { rule, type Rule } from '../style/rule.ts';
import { opening } from './html.ts';
import { shownIf, type PartHandler } from './partHandler.ts';

/** A band without anything in it is left out. */
export const band: PartHandler<'band'> = {
  resolve: (_, { base }) =>
    shownIf(
      (base.parts ?? []).some(({ parts = [] }) => parts.length > 0),
      base,
    ),
  html(part, within, classes) {
    const { bandHeight } = part;
    const own = bandHeight === undefined ? '' : ` zv-band-height-${bandHeight}`;
    return [
      `<${opening('div', part, within, ` zv-band${classes}${own}${isMeasured(part) ? ' zv-measured' : ''}`)}><div class="zv-band-content${contentClasses(part)}">`,
      ...within.inside(written(part)),
      '</div></div>',
    ];
  },
  css(parts) {
    const heights = [...new Set(parts.flatMap(({ bandHeight }) => bandHeight ?? []))].sort((a, b) => a - b);
    const widths = [...new Set(parts.flatMap(({ contentWidth }) => contentWidth ?? []))].sort(
      (a, b) => a - b,
    );
    const given = new Set(parts.flatMap((part) => givingZone(part) ?? []));
    return [
      ...[...given].map((zone) => giving[zone]),
      ...heights.map((height): Rule => rule(`.zv-band-height-${height}`, `min-block-size:${height}px`)),
      ...widths.map((width): Rule => rule(`.zv-content-${width}`, `max-inline-size:${width}px`)),
    ];
  },
};

/** What is beside a bar keeps its width, where that is not the usual way of a band. */
const giving = {
  end: rule('.zv-end-gives', 'grid-template-columns:auto minmax(0,1fr)'),
  centre: rule(
    '.zv-centre-gives',
    'grid-template-columns:minmax(max-content,1fr) minmax(0,auto) minmax(max-content,1fr)',
    { weight: 1 },
  ),
} as const;

function givingZone(part: ResolvedPart): keyof typeof giving | null {
  const gives = zoneThatGives(part);
  if (gives === 'centre') return gives;
  return gives === 'end' && !hasCentre(part) ? gives : null;
}

/** Whether something in it does what the width of the band decides. */
function isMeasured({ parts = [] }: ResolvedPart): boolean {
  return parts.some(({ parts: inner = [] }) => inner.some(({ fit }) => fit !== undefined));
}

function hasCentre({ parts = [] }: ResolvedPart): boolean {
  return parts.some(({ at, parts: some = [] }) => at === 'centre' && some.length > 0);
}

function contentClasses(part: ResolvedPart): string {
  const { parts = [], isFull, contentWidth } = part;
  const width =
    isFull === true ? ' zv-page-wide' : contentWidth === undefined ? '' : ` zv-content-${contentWidth}`;
  if (parts.some(({ kind }) => kind === 'cell')) return ` zv-grid${width}`;
  const gives = givingZone(part);
  return `${hasCentre(part) ? ' zv-with-centre' : ''}${gives === null ? '' : ` zv-${gives}-gives`}${width}`;
}

/** An empty centre is left out; the other zones keep their places. */
function written(part: ResolvedPart): ResolvedPart {
  const { parts = [] } = part;
  const kept = parts.filter(
    ({ kind, at, parts: some = [] }) => kind !== 'zone' || at !== 'centre' || some.length > 0,
  );
  return { ...part, parts: kept };
}
