import type { ResolvedPart } from '../resolve/resolved.ts';
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
      `<${opening('div', part, within, ` zv-band${classes}${own}`)}><div class="zv-band-content${contentClasses(part)}">`,
      ...within.inside(written(part)),
      '</div></div>',
    ];
  },
  css(parts) {
    const heights = [...new Set(parts.flatMap(({ bandHeight }) => bandHeight ?? []))].sort((a, b) => a - b);
    const widths = [...new Set(parts.flatMap(({ contentWidth }) => contentWidth ?? []))].sort(
      (a, b) => a - b,
    );
    return [
      ...heights.map((height): Rule => rule(`.zv-band-height-${height}`, `min-block-size:${height}px`)),
      ...widths.map((width): Rule => rule(`.zv-content-${width}`, `max-inline-size:${width}px`)),
    ];
  },
};

function contentClasses({ parts = [], isFull, contentWidth }: ResolvedPart): string {
  const width =
    isFull === true ? ' zv-page-wide' : contentWidth === undefined ? '' : ` zv-content-${contentWidth}`;
  if (parts.some(({ kind }) => kind === 'cell')) return ` zv-grid${width}`;
  const hasCentre = parts.some(({ at, parts: some = [] }) => at === 'centre' && some.length > 0);
  return `${hasCentre ? ' zv-with-centre' : ''}${width}`;
}

/** An empty centre is left out; the other zones keep their places. */
function written(part: ResolvedPart): ResolvedPart {
  const { parts = [] } = part;
  const kept = parts.filter(
    ({ kind, at, parts: some = [] }) => kind !== 'zone' || at !== 'centre' || some.length > 0,
  );
  return { ...part, parts: kept };
}
