import * as Type from 'typebox';
import type { Id } from '../base/ids.ts';
import { isEqual } from '../base/isEqual.ts';
import { no, ok } from '../base/result.ts';
import { refusal } from '../base/refusal.ts';
import { sentence } from '../base/sentences.ts';
import { siteFacts, siteFields, type Site, type SiteFields } from '../schema/site.ts';
import { closed, IdShape, someOf } from '../schema/shapes.ts';
import { differing, valuesOf } from './kit/namedFields.ts';
import type { OperationKind } from './kit/operationKind.ts';

/** Fields of a site. Null takes a fact away, and stands for it where it is not. */
export type SiteChanges = {
  readonly [F in keyof SiteFields]?: object extends Pick<SiteFields, F>
    ? Exclude<SiteFields[F], undefined> | null
    : SiteFields[F];
};

/** Changes fields of the site itself; its id and its key stay. Both sides name the same fields. */
export interface UpdateSite {
  readonly kind: 'updateSite';
  readonly id: Id;
  readonly set: SiteChanges;
  readonly was: SiteChanges;
}

const someFields = someOf({
  ...siteFields,
  ...Object.fromEntries(
    Object.entries(siteFacts).map(([fact, shape]) => [fact, Type.Union([shape, Type.Null()])]),
  ),
});

/**
 * The site is no node of a forest: it touches none, and whoever stores the document stores the site where it
 * is another one. Everything else is as with other updates: later wins on a field, and undo knows whose
 * change came after.
 */
export const updateSite: OperationKind<UpdateSite, UpdateSite> = {
  kind: 'updateSite',
  shape: Type.Object(
    { kind: Type.Literal('updateSite'), id: IdShape, set: someFields, was: someFields },
    closed,
  ),

  apply(document, operation) {
    const { site } = document;
    if (operation.id !== site.id) return no(refusal('notThere', { what: 'site', id: operation.id }));
    const set = differing(site, operation.set);
    const was = valuesOf(site, set);
    const next = Object.fromEntries(
      Object.entries({ ...site, ...set }).filter(([, value]) => value !== null),
    ) as unknown as Site;
    if (next.breakpoints.wide <= next.breakpoints.medium)
      return no(refusal('badBreakpoints', { ...next.breakpoints }));
    return ok({
      document: Object.keys(set).length === 0 ? document : { ...document, site: next },
      operation: { ...operation, set, was },
    });
  },

  invert: ({ id, set, was }) => ({ kind: 'updateSite', id, set: was, was: set }),
  describe: ({ site }, { set }) =>
    set.name === undefined
      ? sentence('siteChanged', { label: site.name })
      : sentence('siteRenamed', { was: site.name, label: set.name }),
  touches: () => [],
  writes: () => [],
  overwritten: ({ site }, { id, set }) =>
    isEqual(valuesOf(site, set), set) ? null : { forest: 'pages', id },
  // Ids are never the same in two forests, so the site's own can be claimed like a page's.
  claims: ({ id, set }) => Object.keys(set).map((field) => `pages ${id} ${field}`),
  shift: (_, spot) => spot,
  rebase: (operation) => operation,
};
