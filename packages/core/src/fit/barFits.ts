import type { Id } from '../base/ids.ts';
import type { SiteDocument } from '../model/document.ts';
import { templateOf } from '../model/styleOwner.ts';
import type { BarFit, FitRule } from '../resolve/barFit.ts';
import type { ResolvedArea } from '../resolve/resolveFrame.ts';
import type { ResolvedPart } from '../resolve/resolved.ts';
import { preorder } from '../walk/preorder.ts';
import { contentFor, measuredBands, type MeasuredBand, type MeasuredZone } from './fitBand.ts';
import { UNITS } from './lengths.ts';
import type { Measure } from './measure.ts';
import type { MeasuredPart } from './partWidth.ts';
import { roomFor } from './rows.ts';

/** What the bars of a header do where they do not fit, by the part that shows them. */
export type BarFits = Readonly<Record<Id, BarFit>>;

/** All widths that a window can have, in px. */
const ALL = { from: 1, to: 100_000 };

/**
 * From which width of its band on each bar of a header fits, and what it does below: for the style sheet. Bars that
 * wrap are not among them, nor those in bands that only a browser can measure, which wrap, too. Templates with looks of
 * their own share a style sheet: the bar does in time for all of them what it does. O(texts) for each such template.
 */
export function barFits(document: SiteDocument, header: ResolvedArea, measure: Measure): BarFits {
  // Mostly all bars wrap: nothing has to be measured then.
  const parts = [...preorder<ResolvedPart>(header.bands, ({ parts: inner = [] }) => inner)];
  if (parts.every(({ node }) => node.fits === undefined)) return {};
  const templates = [...document.styles.nodes.values()].flatMap(({ owner }) => templateOf(owner) ?? []);
  const found: Record<Id, FitRule[]> = {};
  for (const template of new Set([null, ...templates]))
    for (const { measured } of measuredBands(document, { header, template }, ALL, measure))
      for (const band of measured)
        for (const zone of band.zones ?? [])
          for (const part of zone.parts) {
            const rule = ruleOf(part, zone, band);
            if (rule !== null) (found[part.id] ??= []).push(rule);
          }
  return Object.fromEntries(Object.entries(found).map(([part, rules]) => [part, merged(rules)]));
}

/** What a bar does in the windows that a band was measured in; null: it wraps. */
function ruleOf(part: MeasuredPart, zone: MeasuredZone, band: MeasuredBand): FitRule | null {
  const { bar, policy } = part;
  if (bar === undefined || policy === undefined) return null;
  const { device, hasDrawer } = band.window;
  const own = roomFor(bar.line);
  const below = (room: number): number | null =>
    widthBelow(band, contentFor(zone, band, zone.width - own + room));
  const base = { device, hasDrawer, below: below(own) };
  switch (policy.does) {
    case 'scroll':
      return { ...base, does: 'scroll' };
    case 'shrink': {
      const befores = [own, ...policy.steps.map((step) => roomFor(step.bar.line))];
      return {
        ...base,
        does: 'shrink',
        steps: policy.steps.map(({ tight }, at) => ({ ...tight, below: below(befores[at] ?? own) })),
      };
    }
    case 'fold':
      return {
        ...base,
        does: 'fold',
        entries: bar.ids.flatMap((id, at) =>
          at === 0 ? [] : [{ id, below: below(policy.rooms[at] ?? own) }],
        ),
      };
  }
}

/** The width of a band, in em of its text, below which its content is less than that; null: it always is. */
function widthBelow({ most, beside, size }: MeasuredBand, content: number): number | null {
  if (content > most * UNITS) return null;
  return Math.ceil(((content / UNITS + beside) / size) * FINE - ROUNDING) / FINE;
}
/** Widths are written with four decimals, rounded up; what comes from dividing is no reason to. */
const [FINE, ROUNDING] = [10_000, 1e-6];

/** The rules of a bar, one for each kind of window: of those for the same, what comes first as windows become narrower. */
function merged(rules: readonly FitRule[]): BarFit {
  const kinds = new Map<string, FitRule>();
  for (const rule of rules) {
    const key = `${rule.device} ${rule.hasDrawer}`;
    const other = kinds.get(key);
    kinds.set(key, other === undefined ? rule : sooner(other, rule));
  }
  const all = [...kinds.values()];
  // Where the drawer makes no difference, nothing is said of it.
  return all.flatMap((rule) => {
    const { hasDrawer, ...plain } = rule;
    const twin = all.find((one) => one.device === rule.device && one.hasDrawer !== hasDrawer);
    if (twin === undefined) return [plain];
    const { hasDrawer: _, ...other } = twin;
    if (JSON.stringify(plain) !== JSON.stringify(other)) return [rule];
    return hasDrawer === true ? [] : [plain];
  });
}

function sooner(a: FitRule, b: FitRule): FitRule {
  const [first, second] = (a.below ?? Infinity) >= (b.below ?? Infinity) ? [a, b] : [b, a];
  if (first.does !== 'fold' || second.does !== 'fold') return first;
  const entries = first.entries.map(({ id, below }, at) => {
    const other = second.entries[at]?.below;
    return { id, below: below === null || other === null ? null : Math.max(below, other ?? 0) };
  });
  return { ...first, entries };
}
