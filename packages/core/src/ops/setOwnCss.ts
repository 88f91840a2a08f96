import * as Type from 'typebox';
import { isEqual } from '../base/isEqual.ts';
import { refusal } from '../base/refusal.ts';
import { no, ok } from '../base/result.ts';
import { sentence } from '../base/sentences.ts';
import { withForest } from '../model/document.ts';
import { hasOwner, nameOfOwner } from '../model/styleOwner.ts';
import { CssRulesShape, ownCssId, type CssRule } from '../schema/ownCss.ts';
import { closed } from '../schema/shapes.ts';
import { OwnerShape } from '../schema/style.ts';
import { written, type OperationKind } from './kit/operationKind.ts';
import { withFieldsSet } from './kit/withFieldsSet.ts';

/** Sets the CSS of a place, with what was; null: none. */
export interface SetOwnCss {
  readonly kind: 'setOwnCss';
  readonly owner: string;
  readonly set: readonly CssRule[] | null;
  readonly was: readonly CssRule[] | null;
}

const MaybeRulesShape = Type.Union([CssRulesShape, Type.Null()]);

export const setOwnCss: OperationKind<SetOwnCss, SetOwnCss> = {
  kind: 'setOwnCss',
  shape: Type.Object(
    { kind: Type.Literal('setOwnCss'), owner: OwnerShape, set: MaybeRulesShape, was: MaybeRulesShape },
    closed,
  ),

  apply(document, operation) {
    const { owner, set } = operation;
    if (!hasOwner(document, owner)) return no(refusal('noStyleOwner', { id: owner }));
    const id = ownCssId(owner);
    const was = document.ownCss.nodes.get(id)?.rules ?? null;
    const effective = { ...operation, was };
    if (isEqual(was, set)) return ok({ document, operation: effective });
    const fresh = { id, parent: document.site.id, owner };
    const ownCss = withFieldsSet(document.ownCss, fresh, { rules: set }, ({ rules }) => rules !== undefined);
    return ok({ document: withForest(document, 'ownCss', ownCss), operation: effective });
  },

  invert: ({ kind, owner, set, was }) => ({ kind, owner, set: was, was: set }),
  describe: (document, { owner, set }) =>
    sentence(set === null ? 'cssRemoved' : 'cssSet', { where: nameOfOwner(document, owner) }),
  touches: ({ owner }) => [{ forest: 'ownCss', id: ownCssId(owner) }],
  writes: ({ owner }) => [written<'ownCss'>('ownCss', { owner } as Parameters<typeof written<'ownCss'>>[1])],

  overwritten(document, { owner, set }) {
    const id = ownCssId(owner);
    return isEqual(document.ownCss.nodes.get(id)?.rules ?? null, set) ? null : { forest: 'ownCss', id };
  },

  claims: ({ owner }) => [`ownCss ${ownCssId(owner)}`],
  shift: (_, spot) => spot,
  rebase: (operation) => operation,
};
