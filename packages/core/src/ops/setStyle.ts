import * as Type from 'typebox';
import { isEqual } from '../base/isEqual.ts';
import { refusal } from '../base/refusal.ts';
import { no, ok } from '../base/result.ts';
import { sentence, type Sentence } from '../base/sentences.ts';
import { factsOf, type Property } from '../anatomy/properties.ts';
import { thingOf } from '../anatomy/anatomy.ts';
import { withForest, type SiteDocument } from '../model/document.ts';
import { nameOfOwner, hasOwner } from '../model/styleOwner.ts';
import { closed } from '../schema/shapes.ts';
import {
  styleId,
  StyleSetShape,
  StyleTargetShape,
  valuesOfStyle,
  type StyleSet,
  type StyleTarget,
} from '../schema/style.ts';
import { differing, valuesOf } from './kit/namedFields.ts';
import { written, type OperationKind } from './kit/operationKind.ts';
import { withFieldsSet } from './kit/withFieldsSet.ts';

/**
 * Sets values for things in one place and one state, with their old ones. Both name the same properties; null takes a
 * value away. The node is there as long as it has a value, so nobody adds or removes one: the first values that two
 * people set of one thing do not collide.
 */
export interface SetStyle {
  readonly kind: 'setStyle';
  readonly target: StyleTarget;
  readonly set: StyleSet;
  readonly was: StyleSet;
}

export const setStyle: OperationKind<SetStyle, SetStyle> = {
  kind: 'setStyle',
  shape: Type.Object(
    { kind: Type.Literal('setStyle'), target: StyleTargetShape, set: StyleSetShape, was: StyleSetShape },
    closed,
  ),

  apply(document, operation) {
    const { target } = operation;
    if (!hasOwner(document, target.owner)) return no(refusal('noStyleOwner', { id: target.owner }));
    const id = styleId(target);
    const present = document.styles.nodes.get(id);
    const set = differing(present ?? {}, operation.set);
    const was = valuesOf(present ?? {}, set);
    const effective = { ...operation, set, was };
    if (Object.keys(set).length === 0) return ok({ document, operation: effective });
    const fresh = { id, parent: document.site.id, ...target };
    const styles = withFieldsSet(document.styles, fresh, set, (node) => valuesOfStyle(node).length > 0);
    return ok({ document: withForest(document, 'styles', styles), operation: effective });
  },

  invert: ({ kind, target, set, was }) => ({ kind, target, set: was, was: set }),
  describe: (document, { target, set }) => describe(document, target, set),
  touches: ({ target }) => [{ forest: 'styles', id: styleId(target) }],
  writes: ({ target, set }) => [
    written<'styles'>('styles', { ...target, ...set } as Parameters<typeof written<'styles'>>[1]),
  ],

  overwritten(document, { target, set }) {
    const id = styleId(target);
    const node = document.styles.nodes.get(id) ?? {};
    return isEqual(valuesOf(node, set), set) ? null : { forest: 'styles', id };
  },

  claims: ({ target, set }) => Object.keys(set).map((property) => `styles ${styleId(target)} ${property}`),
  shift: (_, spot) => spot,
  rebase: (operation) => operation,
};

/** A name within a sentence. */
function inSentence(name: string): string {
  return name.charAt(0).toLowerCase() + name.slice(1);
}

/** “Set the text colour of bar entries in Main menu, hover, to #1f5a3a”, or how many values were set. */
function describe(document: SiteDocument, target: StyleTarget, set: StyleSet): Sentence {
  const properties = Object.keys(set) as Property[];
  const [first = 'color'] = properties;
  const value = set[first] ?? null;
  const place = { thing: inSentence(thingOf(target.thing).name), where: nameOfOwner(document, target.owner) };
  if (properties.length > 1) {
    const isReset = properties.every((one) => set[one] === null);
    return sentence(isReset ? 'stylesReset' : 'stylesSet', { ...place, count: properties.length });
  }
  const property = [target.scheme, target.state, target.device, inSentence(factsOf(first).name)]
    .filter(Boolean)
    .join(' ');
  return value === null
    ? sentence('styleReset', { ...place, property })
    : sentence('styleSet', { ...place, property, value: value.replaceAll('@', '') });
}
