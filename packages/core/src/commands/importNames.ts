import { roleNames, roles } from '../anatomy/roles.ts';
import { refusal } from '../base/refusal.ts';
import { no, type Result } from '../base/result.ts';
import { inWords, sentence } from '../base/sentences.ts';
import type { SiteDocument } from '../model/document.ts';
import { paletteOf, valueOfName, type Palette, type PaletteEntry } from '../model/palette.ts';
import type { Edit } from '../ops/edit.ts';
import { setToken, type SetToken } from '../ops/setToken.ts';
import type { TokenKind, TokenSet, TokenTarget } from '../schema/token.ts';
import { makeEdit, storedOf, type CommandContext } from './context.ts';
import { checkToken, freeKey, tokenSetting } from './palette.ts';

/** Something with a name that comes from a file. */
export interface NamedValue {
  /** Its key, where it comes from one of our own files; null: it is found by its name. */
  readonly key: string | null;
  readonly name: string;
  readonly of: TokenKind;
  readonly value: string;
  readonly dark?: string;
}

/** What an import of names would change, in sentences; why not, for what cannot be taken. O(values). */
export function namesChanged(
  context: CommandContext,
  values: readonly NamedValue[],
): { readonly changes: readonly string[]; readonly problems: readonly string[] } {
  const { operations, problems } = planned(context, values);
  return {
    changes: operations.map((one) => inWords(setToken.describe(storedOf(context), one))),
    problems,
  };
}

/** Takes names from a file: those that are here already get its values, the others are added. */
export function importNames(context: CommandContext, values: readonly NamedValue[]): Result<Edit> {
  const { operations } = planned(context, values);
  if (operations.length === 0) return no(refusal('nothingToImport'));
  return makeEdit(context, operations, {
    label: context.document.site.name,
    isStored: true,
    sentence: sentence('namesImported', { count: operations.length }),
  });
}

interface Plan {
  readonly operations: readonly SetToken[];
  readonly problems: readonly string[];
}

function planned(context: CommandContext, values: readonly NamedValue[]): Plan {
  const document = storedOf(context);
  const palette = paletteOf(document);
  const operations = new Map<string, SetToken>();
  const problems: string[] = [];
  for (const one of values) {
    const found = targetFor(palette, one) ?? newTarget(document, one, operations);
    const value = checkToken(document, found, one.value);
    if (!value.ok) {
      problems.push(value.refusal.message);
      continue;
    }
    const present = palette.get(found.key);
    const set: TokenSet = {
      ...(present === undefined ? { name: one.name } : {}),
      ...(present !== undefined && presentValue(palette, present) === value.value
        ? {}
        : { value: value.value }),
      ...(one.dark === undefined || one.dark === present?.dark ? {} : { dark: one.dark }),
    };
    if (Object.keys(set).length === 0) continue;
    // Of two with the same name in a file, the later one holds.
    operations.set(found.key, tokenSetting(context, found, set));
  }
  return { operations: [...operations.values()], problems };
}

/** What something is now, as a value of its kind; of a font, that is its name, not its CSS. */
function presentValue(palette: Palette, { key, set, usual }: PaletteEntry): string | null {
  return set ?? (typeof usual === 'string' ? usual : valueOfName(palette, key));
}

/** What is here already under that key, or that name. */
function targetFor(palette: Palette, { key, name, of }: NamedValue): TokenTarget | null {
  const byKey = key === null ? undefined : palette.get(key);
  if (byKey?.of === of) return { key: byKey.key, of };
  for (const entry of palette.values())
    if (entry.of === of && entry.name.toLowerCase() === name.toLowerCase()) return { key: entry.key, of };
  const role = roleNames.find(
    (one) => roles[one].of === of && one === name.toLowerCase().replaceAll(' ', '-'),
  );
  return role === undefined ? null : { key: role, of };
}

function newTarget(
  document: SiteDocument,
  { name, of }: NamedValue,
  planned: ReadonlyMap<string, SetToken>,
): TokenTarget {
  const again = [...planned.values()].find(({ target, set }) => target.of === of && set.name === name);
  return again?.target ?? { key: freeKey(document, name, of, (key) => planned.has(key)), of };
}
