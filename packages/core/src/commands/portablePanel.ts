import Value from 'typebox/value';
import type { Id } from '../base/ids.ts';
import type { SiteDocument } from '../model/document.ts';
import type { PageIndex } from '../model/pageIndex.ts';
import { PartSketchShape, type PartSketch } from '../schema/preset.ts';

/**
 * A panel as it can go from one site to another: pages by their addresses, menus by their keys. Uploaded pictures stay where they are; a part for one goes along and waits for
 * another.
 */
export function portablePanel(document: SiteDocument, rows: readonly PartSketch[]): unknown[] {
  const addressOf = (page: Id): string | null => document.pages.nodes.get(page)?.address ?? null;
  return rows.map((row) =>
    mapped(row, (key, value) => {
      if (key === 'picture') return undefined;
      if (key === 'menu' && typeof value === 'string') return document.menus.nodes.get(value)?.key;
      if (key === 'page' && typeof value === 'string') return addressOf(value);
      return isPageLink(value) ? { kind: 'address', address: `${addressOf(value.page) ?? ''}${value.anchor === null ? '' : `#${value.anchor}`}` } : value;
    }),
  );
}

/** The same back on a site: what names a page or a menu that is not there is left out, and so is a row that is none. */
export function panelOnSite(document: SiteDocument, index: PageIndex, rows: readonly unknown[]): PartSketch[] {
  const menuOf = (key: string): Id | undefined => [...document.menus.nodes.values()].find((menu) => menu.key === key)?.id;
  const led = (address: string): unknown => {
    const page = index.byAddress(address);
    const anchor = /#(.+)$/.exec(address)?.[1] ?? null;
    return page === null ? { kind: 'address', address } : { kind: 'page', page: page.id, anchor };
  };
  return rows.flatMap((row) => {
    const made = mapped(row, (key, value) => {
      if (key === 'picture') return undefined;
      // A menu that is not there makes its part none: the part is left out.
      if (isPart(value) && value.kind === 'menu' && menuOf(String(value.menu)) === undefined) return undefined;
      if (key === 'menu' && typeof value === 'string') return menuOf(value);
      if (key === 'page' && typeof value === 'string') return index.byAddress(value)?.id;
      return isAddressLink(value) ? led(value.address) : value;
    });
    return Value.Check(PartSketchShape, made) && made.kind === 'row' ? [made] : [];
  });
}

/** A copy in which each value was looked at; what becomes undefined is left out. What was made of a value is not looked into again. As deep as a panel. */
function mapped(value: unknown, of: (key: string, value: unknown) => unknown, key = '', depth = 0): unknown {
  const made = of(key, value);
  if (made !== value || made === null || typeof made !== 'object' || depth > DEEPEST) return made;
  if (Array.isArray(made)) return made.map((one) => mapped(one, of, '', depth + 1)).filter((one) => one !== undefined);
  const entries = Object.entries(made).map(([name, inner]) => [name, mapped(inner, of, name, depth + 1)] as const);
  return Object.fromEntries(entries.filter(([, inner]) => inner !== undefined));
}

/** Parts in parts, with runs in blocks in them, are not deeper than this. */
const DEEPEST = 24;

function isPart(value: unknown): value is { kind: unknown; menu?: unknown } {
  return typeof value === 'object' && value !== null && 'kind' in value;
}

function isPageLink(value: unknown): value is { page: Id; anchor: string | null } {
  return typeof value === 'object' && value !== null && (value as { kind?: unknown }).kind === 'page' && 'page' in value;
}

function isAddressLink(value: unknown): value is { address: string } {
  const { kind, address } = (value ?? {}) as { kind?: unknown; address?: unknown };
  return kind === 'address' && typeof address === 'string';
}
