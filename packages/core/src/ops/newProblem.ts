import { languageProblem } from '../base/languageTag.ts';
import { refusal, type Refusal } from '../base/refusal.ts';
import type { SiteDocument } from '../model/document.ts';
import { valueProblem } from '../model/valueProblem.ts';
import { propertiesOf, thingOf, type ThingName } from '../anatomy/anatomy.ts';
import { factsOf, type Property } from '../anatomy/properties.ts';
import { isRole, roles } from '../anatomy/roles.ts';
import { namesIn, valueProblem as styleProblem, type ValueKind } from '../anatomy/values.ts';
import { paletteOf, fitsPalette, valueOfName } from '../model/palette.ts';
import { valuesOfStyle } from '../schema/style.ts';
import {
  isPlainKind,
  tokenExpected,
  tokenPatterns,
  tokenValueKinds,
  type TokenTarget,
} from '../schema/token.ts';
import {
  definitionOf,
  fieldsOf,
  partField,
  partWords,
  type PartField,
  type PartKind,
} from '../schema/part.ts';
import { cssProblem } from '../model/cssProblem.ts';
import { addressProblem } from './addressProblem.ts';
import { kindOf, type Operation } from './registry.ts';

/**
 * What is wrong with an operation that somebody makes now; null: nothing. `apply` does not ask: logs from
 * before a rule must replay, and what they hold can be undone. So the editor refuses what the server would
 * refuse, by the same shapes. Shapes come first: only what has its shape can be asked for its addresses.
 * O(size of the operation).
 */
export function newProblem(document: SiteDocument, operation: Operation): Refusal | null {
  if (kindOf(operation).onlyInLogs === true) return refusal('onlyInLogs', { kind: operation.kind });
  const parts = partsWritten(document, operation);
  return (
    first(parts, misshapen) ??
    addressProblem(operation) ??
    wrongLanguage(operation) ??
    wrongStyle(document, operation) ??
    wrongToken(operation) ??
    wrongStarter(operation) ??
    wrongCss(operation) ??
    first(parts, unfit)
  );
}

/**
 * What is wrong with the operations of an edit that somebody makes now; null: nothing. What has got a name in it can be
 * used by that name in those after it. O(size of the operations).
 */
export function editProblem(document: SiteDocument, operations: readonly Operation[]): Refusal | null {
  let now = document;
  for (const operation of operations) {
    const problem = newProblem(now, operation);
    if (problem !== null) return problem;
    if (operation.kind !== 'setToken') continue;
    const applied = kindOf(operation).apply(now, operation);
    if (applied.ok) now = applied.value.document;
  }
  return null;
}

/** Values that a thing cannot have, or a state that it cannot be in. */
function wrongStyle(document: SiteDocument, operation: Operation): Refusal | null {
  if (operation.kind !== 'setStyle') return null;
  const { target, set } = operation;
  const { name, in: states } = thingOf(target.thing);
  if (target.state !== undefined && !(target.state in states))
    return refusal('noSuchStyle', { thing: name, what: `a look for the state “${target.state}”` });
  for (const [property, value] of Object.entries(set) as [Property, string | null][]) {
    const problem =
      lookProblem(target.thing, property, value) ??
      (value === null ? null : unknownName(document, factsOf(property).kind, value));
    if (problem !== null) return problem;
  }
  return null;
}

/** A property that a thing has not, or a value that it cannot have. */
function lookProblem(thing: ThingName, property: Property, value: string | null): Refusal | null {
  const { name } = thingOf(thing);
  const { name: what, kind } = factsOf(property);
  if (!propertiesOf(thing).includes(property))
    return refusal('noSuchStyle', { thing: name, what: `the setting “${what}”` });
  const expected = value === null ? null : styleProblem(kind, value);
  return expected === null
    ? null
    : refusal('wrongStyle', { property: what, thing: name, value: value ?? '', expected });
}

/** A name in a value that nothing on the site has, or that does not fit there. */
function unknownName(document: SiteDocument, kind: ValueKind, value: string): Refusal | null {
  const palette = paletteOf(document);
  if (fitsPalette(palette, kind, value)) return null;
  const name = namesIn(value).find((one) => valueOfName(palette, one) === null) ?? namesIn(value)[0] ?? value;
  const of =
    kind === 'font' || kind === 'colour' ? kind : kind === 'fill' || kind === 'divider' ? 'picture' : 'value';
  return refusal('noSuchName', { of, name });
}

/** A value that a token cannot have. */
function wrongToken(operation: Operation): Refusal | null {
  if (operation.kind !== 'setToken') return null;
  const { target, set } = operation;
  const { key, of } = target;
  if (isRole(key) && roles[key].of !== of) return refusal('tokenIsOther', { key, of: roles[key].of });
  if (typeof set.dark === 'string' && of !== 'colour')
    return refusal('wrongToken', { of, name: key, value: set.dark, expected: tokenExpected[of] });
  if (of !== 'picture' && (set.picture != null || set.tones != null))
    return refusal('wrongToken', { of, name: key, value: 'a picture', expected: tokenExpected[of] });
  if (typeof set.value !== 'string') return null;
  if (of === 'picture' && (set.picture == null || set.tones == null))
    return refusal('wrongToken', { of, name: key, value: set.value, expected: tokenExpected[of] });
  return tokenProblem(target, set.value, isRole(key) ? roles[key].name : (set.name ?? key));
}

function tokenProblem({ of }: TokenTarget, value: string, name: string): Refusal | null {
  const isRight = isPlainKind(of)
    ? styleProblem(tokenValueKinds[of], value) === null
    : new RegExp(`^(?:${tokenPatterns[of]})$`).test(value);
  return isRight ? null : refusal('wrongToken', { of, name, value, expected: tokenExpected[of] });
}

/** What a saved starter cannot say: a value out of range, of a property that a thing has not, another kind of token. */
function wrongStarter(operation: Operation): Refusal | null {
  if (operation.kind !== 'updateSite') return null;
  const { ownStarters } = operation.set;
  for (const { looks, roles: some } of Object.values(ownStarters ?? {})) {
    for (const style of looks)
      for (const [name, value] of valuesOfStyle(style)) {
        const problem = lookProblem(style.thing, name, value);
        if (problem !== null) return problem;
      }
    for (const [key, value] of Object.entries(some)) {
      const problem = isRole(key) ? tokenProblem({ key, of: roles[key].of }, value, roles[key].name) : null;
      if (problem !== null) return problem;
    }
  }
  return null;
}

/** CSS that would leave its place. */
function wrongCss(operation: Operation): Refusal | null {
  const problem = operation.kind === 'setOwnCss' && operation.set !== null ? cssProblem(operation.set) : null;
  return problem === null ? null : refusal('wrongCss', { problem });
}

/** A language that no browser knows, of a site or a menu: it would be delivered as it is. */
function wrongLanguage(operation: Operation): Refusal | null {
  const given =
    operation.kind === 'updateSite' || operation.kind === 'updateMenu'
      ? [operation.set.language]
      : operation.kind === 'addMenu'
        ? operation.branch.map(({ language }) => language)
        : [];
  for (const language of given) {
    const problem = typeof language === 'string' ? languageProblem(language) : null;
    if (problem !== null) return problem;
  }
  return null;
}

/** The fields that an operation sets of a part, and its kind; null: the part is not there any more. */
interface PartWritten {
  readonly kind: PartKind | null;
  readonly fields: Readonly<Record<string, unknown>>;
  /** What it was before; not there: it is added. */
  readonly before?: Readonly<Record<string, unknown>>;
}

function partsWritten(document: SiteDocument, operation: Operation): readonly PartWritten[] {
  if (operation.kind === 'updatePart') {
    const { kind = null, ...before } = document.parts.nodes.get(operation.id) ?? {};
    return [{ kind, fields: operation.set, before }];
  }
  if (operation.kind !== 'addPart') return [];
  return operation.branch.map(({ id: _, parent: __, kind, ...fields }) => ({ kind, fields }));
}

function first(
  parts: readonly PartWritten[],
  problemOf: (part: PartWritten) => Refusal | null,
): Refusal | null {
  for (const part of parts) {
    const problem = problemOf(part);
    if (problem !== null) return problem;
  }
  return null;
}

const wordFor = (kind: PartKind | null): string => (kind === null ? 'part' : partWords[kind]);

/** A value that has not the shape of its field. */
function misshapen({ kind, fields }: PartWritten): Refusal | null {
  for (const [name, value] of Object.entries(fields)) {
    if (value === null || value === undefined) continue;
    const field = (kind === null ? undefined : fieldsOf(kind)[name]) ?? partField(name as PartField);
    if (field === undefined)
      return refusal('wrongPart', { what: wordFor(kind), problem: `it cannot have ${name}` });
    const problem = valueProblem(wordFor(kind), field, value);
    if (problem !== null) return problem;
  }
  return null;
}

/** Values that their kind does not take. What was so before is no fault of the change. */
function unfit({ kind, fields, before }: PartWritten): Refusal | null {
  if (kind === null) return null;
  const { check } = definitionOf(kind);
  const after = Object.entries({ ...before, ...fields }).filter(([, value]) => value !== null);
  const problem = check?.(Object.fromEntries(after)) ?? null;
  return before !== undefined && check?.(before) != null ? null : problem;
}
