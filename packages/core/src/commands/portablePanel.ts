import { isSafeAddress } from '../base/address.ts';
import type { Id } from '../base/ids.ts';
import type { SiteDocument } from '../model/document.ts';
import type { PageIndex } from '../model/pageIndex.ts';
import type { Destination } from '../schema/item.ts';
import type { PartSketch, PortableSketch } from '../schema/preset.ts';
import type { RichText } from '../schema/richText.ts';

type Convert = (to: Destination) => Destination;

/**
 * A panel as it can go from one site to another: pages by their addresses, menus by their keys. Uploaded
 * pictures stay where they are; a part for one goes along and waits for another. As deep as a panel.
 */
export function portablePanel(document: SiteDocument, rows: readonly PartSketch[]): PortableSketch[] {
  const addressOf = (page: Id): string => document.pages.nodes.get(page)?.address ?? '/';
  const convert: Convert = (to) =>
    to.kind === 'page'
      ? {
          kind: 'address',
          address: `${addressOf(to.page)}${to.anchor === null ? '' : `#${encodeURIComponent(to.anchor)}`}`,
        }
      : to;
  return rows.map(({ picture: _, source, menu, parts, ...sketch }) => ({
    ...withLinks(sketch, convert),
    ...(source === undefined
      ? {}
      : { source: { ...source, page: source.page === null ? null : addressOf(source.page) } }),
    ...(menu === undefined ? {} : { menu: document.menus.nodes.get(menu)?.key ?? menu }),
    ...(parts === undefined ? {} : { parts: portablePanel(document, parts) }),
  }));
}

/**
 * The same back on a site: parts that name a menu, or look below a page, that is not there are left out, and
 * so are searches at an address that no link may lead to; a link to such an address waits for another one.
 */
export function panelOnSite(
  document: SiteDocument,
  index: PageIndex,
  rows: readonly PortableSketch[],
): PartSketch[] {
  const convert: Convert = (to) => {
    const page = to.kind === 'address' ? index.byAddress(to.address) : null;
    if (to.kind === 'address' && page === null && !isSafeAddress(to.address)) return { kind: 'undecided' };
    if (to.kind !== 'address' || page === null) return to;
    const [, anchor] = /#(.+)$/.exec(to.address) ?? [];
    return {
      kind: 'page',
      page: page.id,
      anchor: anchor === undefined ? null : decoded(anchor).slice(0, 200),
    };
  };
  return rows.flatMap(({ source, menu, parts, ...sketch }): PartSketch[] => {
    const below = source == null || source.page === null ? null : index.byAddress(source.page);
    const shown =
      menu === undefined ? undefined : [...document.menus.nodes.values()].find(({ key }) => key === menu)?.id;
    const isLost =
      (source != null && source.page !== null && below === null) ||
      (menu !== undefined && shown === undefined);
    const isUnsafe = sketch.address != null && !isSafeAddress(sketch.address);
    if (isLost || isUnsafe) return [];
    return [
      {
        ...withLinks(sketch, convert),
        ...(source === undefined ? {} : { source: { ...source, page: below?.id ?? null } }),
        ...(shown === undefined ? {} : { menu: shown }),
        ...(parts === undefined ? {} : { parts: panelOnSite(document, index, parts) }),
      },
    ];
  });
}

/** With each link in it led elsewhere: its own, and those in its text. */
function withLinks<S extends { readonly destination?: Destination; readonly body?: RichText }>(
  sketch: S,
  convert: Convert,
): S {
  const { destination, body } = sketch;
  return {
    ...sketch,
    ...(destination === undefined ? {} : { destination: convert(destination) }),
    ...(body === undefined
      ? {}
      : {
          body: body.map((block) => ({
            ...block,
            runs: block.runs.map((run) => (run.to === undefined ? run : { ...run, to: convert(run.to) })),
          })),
        }),
  };
}

function decoded(text: string): string {
  try {
    return decodeURIComponent(text);
  } catch {
    // It was written as it is.
    return text;
  }
}
