import * as Type from 'typebox';
import { isEqual } from '../base/isEqual.ts';
import { refusal } from '../base/refusal.ts';
import { no, ok } from '../base/result.ts';
import { sentence, type Sentence } from '../base/sentences.ts';
import { isRole, roles } from '../anatomy/roles.ts';
import { withForest, type SiteDocument } from '../model/document.ts';
import { closed } from '../schema/shapes.ts';
import {
  tokenFieldNames,
  tokenId,
  TokenSetShape,
  TokenTargetShape,
  type Token,
  type TokenSet,
  type TokenTarget,
  type TokenValues,
} from '../schema/token.ts';
import { differing, valuesOf } from './kit/namedFields.ts';
import { written, type OperationKind } from './kit/operationKind.ts';
import { withFieldsSet } from './kit/withFieldsSet.ts';

/**
 * Sets what is said of a colour, font, length or anything else with a name, with what was. It is there as long as something
 * is said of it: null takes that away.
 */
export interface SetToken {
  readonly kind: 'setToken';
  readonly target: TokenTarget;
  readonly set: TokenSet;
  readonly was: TokenSet;
}

export const setToken: OperationKind<SetToken, SetToken> = {
  kind: 'setToken',
  shape: Type.Object(
    { kind: Type.Literal('setToken'), target: TokenTargetShape, set: TokenSetShape, was: TokenSetShape },
    closed,
  ),

  apply(document, operation) {
    const { target } = operation;
    const id = tokenId(target);
    const present = document.tokens.nodes.get(id);
    if (present !== undefined && present.of !== target.of)
      return no(refusal('tokenIsOther', { key: target.key, of: present.of }));
    const set = differing(present ?? {}, operation.set);
    const was = valuesOf(present ?? {}, set);
    const effective = { ...operation, set, was };
    if (Object.keys(set).length === 0) return ok({ document, operation: effective });
    const fresh = { id, parent: document.site.id, ...target };
    return ok({
      document: withForest(document, 'tokens', withFieldsSet(document.tokens, fresh, set, isSaid)),
      operation: effective,
    });
  },

  invert: ({ kind, target, set, was }) => ({ kind, target, set: was, was: set }),
  describe: (document, { target, set }) => describe(document, target, set),
  touches: ({ target }) => [{ forest: 'tokens', id: tokenId(target) }],
  writes: ({ target, set }) => [
    written<'tokens'>('tokens', { ...target, ...set } as Parameters<typeof written<'tokens'>>[1]),
  ],

  overwritten(document, { target, set }) {
    const id = tokenId(target);
    const node = document.tokens.nodes.get(id) ?? {};
    return isEqual(valuesOf(node, set), set) ? null : { forest: 'tokens', id };
  },

  claims: ({ target, set }) => Object.keys(set).map((field) => `tokens ${tokenId(target)} ${field}`),
  shift: (_, spot) => spot,
  rebase: (operation) => operation,
};

function isSaid(token: Token): boolean {
  return tokenFieldNames.some((field) => token[field] !== undefined);
}

/** “Set the colour Moss to #2f6b3a”, “Renamed …”, “Removed …”, or that a role is as usual again. */
function describe(document: SiteDocument, { key, of }: TokenTarget, set: TokenSet): Sentence {
  const present: TokenValues = document.tokens.nodes.get(tokenId({ key })) ?? {};
  const name = isRole(key) ? roles[key].name : (present.name ?? set.name ?? key);
  if (set.value === null) return sentence(isRole(key) ? 'roleReset' : 'tokenRemoved', { of, name });
  if (typeof set.value === 'string') {
    const isNew = !isRole(key) && present.value === undefined;
    if (of === 'font' && isNew) return sentence('fontAdded', { name });
    if (of === 'picture' && isNew) return sentence('pictureAdded', { name });
    return sentence(isNew ? 'tokenAdded' : 'tokenSet', { of, name, value: set.value });
  }
  if (set.dark !== undefined)
    return set.dark === null
      ? sentence('darkReset', { of, name })
      : sentence('darkSet', { of, name, value: set.dark });
  if (set.files !== undefined) return sentence('fontFilesSet', { name, count: set.files?.length ?? 0 });
  if (set.display !== undefined) return sentence(set.display === null ? 'fontWaits' : 'fontSwaps', { name });
  return sentence('tokenRenamed', { of, name, to: set.name ?? key });
}
