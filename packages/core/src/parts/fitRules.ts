import type { FitRule } from '../resolve/barFit.ts';
import type { ResolvedPart } from '../resolve/resolved.ts';
import { rule, type Rule, type RuleChoices } from '../style/rule.ts';
import { prefixed } from './attributes.ts';

/** The classes of a placement whose bar does something where it does not fit, each with a space before it. */
export function fitClasses({ fit }: ResolvedPart): string {
  if (fit === undefined) return '';
  const devices = new Set(fit.rules.map(({ device }) => device));
  return `${prefixed('zv-fits-', [...devices])} zv-fit-${fit.name}`;
}

/**
 * What bars do where they do not fit, for a style sheet: below the width that was measured, and not above it. Where the
 * text of a visitor is wider than that, entries wrap, as they do anywhere: none is ever lost.
 */
export function fitRules(parts: readonly ResolvedPart[]): Rule[] {
  const fits = parts.flatMap(({ fit, shown }) =>
    fit === undefined || shown === undefined ? [] : [{ ...fit, ids: shown.items.map(({ id }) => id) }],
  );
  if (fits.length === 0) return [];
  const all = fits.flatMap(({ rules }) => rules);
  return [
    rule('.zv-measured', 'container:zv/inline-size'),
    rule('.zv-vertical>.zv-measured', 'container-type:normal', { medium: 'vertical' }),
    ...[...new Set(all.map(({ device }) => device))].flatMap((device) => [
      // One row, in which the bar alone gives way.
      rule(`.zv-zone:has(>.zv-fits-${device})`, 'flex-wrap:nowrap', { medium: device, weight: 1 }),
      rule(`.zv-zone:has(>.zv-fits-${device})>*`, 'flex:none', { medium: device }),
      rule(`.zv-zone>.zv-fits-${device}`, 'flex:0 1 auto', { medium: device, weight: 2 }),
    ]),
    ...(all.some(({ does }) => does === 'fold') ? more : []),
    ...fits.flatMap(({ name, rules, ids }) => rules.flatMap((one) => rulesOf(`.zv-fit-${name}`, one, ids))),
  ];
}

/** “More” is there where something is in it. */
const more: readonly Rule[] = [
  rule('.zv-bar>ul>.zv-more,.zv-bar>ul>.zv-more>ul>li', 'display:none'),
  rule('.zv-bar>ul>.zv-more>ul', 'inset-inline:auto 0'),
];

function rulesOf(bar: string, one: FitRule, ids: readonly string[]): Rule[] {
  const when = (narrower: number | null, rest: RuleChoices = {}): RuleChoices => ({
    medium: one.device,
    also: one.hasDrawer === undefined ? undefined : one.hasDrawer ? 'drawer' : 'noDrawer',
    narrower,
    ...rest,
  });
  switch (one.does) {
    case 'scroll':
      return scrolling(bar, when(one.below));
    case 'shrink':
      return one.steps.flatMap(({ below, gap, start, end, size }) => {
        const faces = [
          ...(start === undefined ? [] : [`padding-inline-start:${rem(start)}`]),
          ...(end === undefined ? [] : [`padding-inline-end:${rem(end)}`]),
          ...(size === undefined ? [] : [`font-size:${rem(size)}`]),
        ];
        const late = when(below, { isLate: true });
        return [
          ...(gap === undefined ? [] : [rule(`${bar} .zv-bar>ul`, `column-gap:${rem(gap)}`, late)]),
          ...(faces.length === 0
            ? []
            : [rule(`${bar} .zv-bar>ul>li>:is(a,span,button):not(a+button)`, faces.join(';'), late)]),
        ];
      });
    case 'fold':
      return [
        rule(`${bar} .zv-bar>ul>.zv-more`, 'display:flex', when(one.below)),
        ...one.entries.flatMap(({ id, below }) => {
          const at = ids.indexOf(id);
          return [
            rule(`${bar} .zv-bar>ul>li:nth-child(${at + 1})`, 'display:none', when(below)),
            rule(`${bar} .zv-more>ul>li:nth-child(${at})`, 'display:flex', when(below)),
          ];
        }),
      ];
  }
}

/** A list that scrolls would cut off what drops from it, so that hangs from the bar around it. */
function scrolling(bar: string, when: RuleChoices): Rule[] {
  const late = { ...when, isLate: true };
  return [
    rule(`${bar} .zv-bar`, 'position:relative', when),
    rule(
      `${bar} .zv-bar>ul`,
      'flex-wrap:nowrap;overflow-x:auto;overscroll-behavior-x:contain;scrollbar-width:thin',
      when,
    ),
    rule(`${bar} .zv-bar>ul>li`, 'position:static;flex:none', { ...when, weight: 4 }),
    rule(`${bar} .zv-bar>ul>li>:is(a,span,button)`, 'white-space:nowrap', when),
    // The focus is drawn within the list, which ends where its entries do.
    rule(`${bar} .zv-bar>ul>li>:is(a,button)`, 'outline-offset:-2px', late),
    rule(`${bar} .zv-bar>ul>li>ul`, 'position:absolute;min-inline-size:0;max-inline-size:100%', {
      ...late,
      weight: 4,
    }),
    ...(when.medium === 'narrow'
      ? [rule(`${bar} .zv-bar>ul>li>ul`, 'inline-size:max-content', { ...late, weight: 4 })]
      : []),
    rule(`${bar} .zv-bar>ul>li>.zv-panel`, 'position:absolute;inset-inline:0', { ...late, weight: 4 }),
  ];
}

/** Lengths grow with the text of the visitor, as the widths do below which they hold. */
function rem(px: number): string {
  return `${px / 16}rem`;
}
