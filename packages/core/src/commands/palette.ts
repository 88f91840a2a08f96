import { isRole, roles } from '../anatomy/roles.ts';
import { propertyNames } from '../anatomy/properties.ts';
import { thingOf } from '../anatomy/anatomy.ts';
import { fillOf, namesIn, valueProblem } from '../anatomy/values.ts';
import { readColour } from '../colour/colour.ts';
import { refusal } from '../base/refusal.ts';
import { no, ok, type Result } from '../base/result.ts';
import { sentence } from '../base/sentences.ts';
import type { SiteDocument } from '../model/document.ts';
import { fitsPalette, paletteOf, valueOfName, withNameReplaced } from '../model/palette.ts';
import type { Edit } from '../ops/edit.ts';
import type { Operation } from '../ops/registry.ts';
import type { SetToken } from '../ops/setToken.ts';
import { nameOfOwner } from '../model/styleOwner.ts';
import { targetOf, type StyleSet, type StyleTarget } from '../schema/style.ts';
import type { Picture } from '../schema/picture.ts';
import { MOST_FONT_FILES, type FontFile } from '../schema/fontFile.ts';
import {
  LONGEST_TOKEN_NAME,
  isPlainKind,
  tokenExpected,
  tokenId,
  tokenValueKinds,
  type TokenKind,
  type TokenSet,
  type TokenTarget,
} from '../schema/token.ts';
import { checkLabel } from './checkLabel.ts';
import { makeEdit, storedOf, type CommandContext } from './context.ts';
import { settingOf } from './looks.ts';
import { keyFrom } from './menus.ts';

/**
 * Gives a colour, font or length a new value, wherever it is used; null: a role is as usual again. A colour can be
 * typed as CSS has it.
 */
export function setToken(context: CommandContext, target: TokenTarget, typed: string | null): Result<Edit> {
  const value = typed === null ? ok(null) : checkToken(context.document, target, typed);
  if (!value.ok) return value;
  return makeEdit(context, [tokenSetting(context, target, { value: value.value })], {
    label: nameOfToken(context.document, target.key),
    isStored: true,
  });
}

/** What a colour is in the dark scheme, wherever it is used; null: as light as it is dark otherwise. */
export function setDarkToken(
  context: CommandContext,
  target: TokenTarget,
  typed: string | null,
): Result<Edit> {
  const dark = typed === null ? ok(null) : checkToken(context.document, target, typed);
  if (!dark.ok) return dark;
  return makeEdit(context, [tokenSetting(context, target, { dark: dark.value })], {
    label: nameOfToken(context.document, target.key),
    isStored: true,
  });
}

/** Adds one, under a key that is made of its name. */
export function addToken(
  context: CommandContext,
  of: TokenKind,
  { name: typed, value: given }: { readonly name: string; readonly value: string },
): Result<Edit> {
  const name = checkName(typed);
  if (!name.ok) return name;
  const target = { key: freeKey(context.document, name.value, of), of };
  const value = checkToken(context.document, target, given);
  if (!value.ok) return value;
  return makeEdit(context, [tokenSetting(context, target, { name: name.value, value: value.value })], {
    label: name.value,
    isStored: true,
  });
}

/** Adds a font of which visitors load the files. */
export function addFont(
  context: CommandContext,
  typed: string,
  { files, looksLike }: { readonly files: readonly FontFile[]; readonly looksLike: FontClass },
): Result<Edit> {
  const name = checkName(typed);
  if (!name.ok) return name;
  const target = { key: freeKey(context.document, name.value, 'font'), of: 'font' } as const;
  const set = { name: name.value, value: `own:${looksLike}`, files };
  return makeEdit(context, [tokenSetting(context, target, set)], { label: name.value, isStored: true });
}

/** A picture as it was uploaded, and the colours that text over it can have behind it. */
export interface MadePicture {
  readonly picture: Picture;
  readonly tones: readonly string[];
}

/** Adds a picture, and sets it as what fills things in one place. The name of its file may end as files do. */
export function fillWithPicture(
  context: CommandContext,
  target: StyleTarget,
  property: 'backgroundImage' | 'divider',
  fileName: string,
  { picture, tones }: MadePicture,
): Result<Edit> {
  const plain = fileName
    .replace(/\.[a-z]{2,5}$/i, '')
    .replaceAll(/[-_]+/g, ' ')
    .trim();
  const name = checkName(plain.slice(0, LONGEST_TOKEN_NAME) || 'Picture');
  if (!name.ok) return name;
  const { document } = context;
  const same = [...paletteOf(document).values()].find((one) => one.picture?.file === picture.file);
  const key = same?.key ?? freeKey(document, name.value, 'picture');
  const adding =
    same === undefined
      ? [
          tokenSetting(
            context,
            { key, of: 'picture' },
            { name: name.value, value: 'own:picture', picture, tones },
          ),
        ]
      : [];
  const where = {
    thing: thingOf(target.thing).name.toLowerCase(),
    where: nameOfOwner(document, target.owner),
  };
  return makeEdit(context, [...adding, settingOf(context, target, { [property]: `@${key}` })], {
    label: 'this look',
    sentence: sentence('fillSet', { ...where, name: same?.name ?? name.value }),
  });
}

/** Adds files to a font: other weights, italics. One for the same weight, slant and characters takes its place. */
export function addFontFiles(context: CommandContext, key: string, more: readonly FontFile[]): Result<Edit> {
  const present = paletteOf(context.document).get(key)?.files ?? [];
  const placeOf = ({ weight, isItalic, range }: FontFile): string => [weight, isItalic, range].join(' ');
  const places = new Set(more.map(placeOf));
  const files = [...present.filter((one) => !places.has(placeOf(one))), ...more];
  if (files.length > MOST_FONT_FILES)
    return no(refusal('notFont', { problem: `a font can have ${MOST_FONT_FILES} files at most` }));
  return makeEdit(context, [tokenSetting(context, { key, of: 'font' }, { files })], {
    label: nameOfToken(context.document, key),
    isStored: true,
  });
}

/** Whether text waits for a font: `swap` shows it as soon as it has loaded, and may move text; null: never a shift. */
export function setFontDisplay(context: CommandContext, key: string, display: 'swap' | null): Result<Edit> {
  return makeEdit(context, [tokenSetting(context, { key, of: 'font' }, { display })], {
    label: nameOfToken(context.document, key),
    isStored: true,
  });
}

/** Calls one something else. Its key, by which values use it, stays. */
export function renameToken(context: CommandContext, target: TokenTarget, typed: string): Result<Edit> {
  const name = checkName(typed);
  if (!name.ok) return name;
  return makeEdit(context, [tokenSetting(context, target, { name: name.value })], {
    label: name.value,
    isStored: true,
  });
}

/**
 * Removes one. What uses it keeps the colour or length that it has now; a font goes back to the text font, and
 * what a picture fills to its gradient, if it has one.
 */
export function removeToken(context: CommandContext, target: TokenTarget): Result<Edit> {
  const { document } = context;
  const palette = paletteOf(document);
  const operations: Operation[] = [];
  for (const style of storedOf(context).styles.nodes.values()) {
    const set: Record<string, string | null> = {};
    for (const property of propertyNames) {
      const value = style[property];
      if (value === undefined || !usesToken(value, target.key)) continue;
      set[property] =
        target.of === 'font'
          ? null
          : target.of === 'picture'
            ? fillOf(value).gradient
            : withNameReplaced(value, target.key, (name) => valueOfName(palette, name));
    }
    if (Object.keys(set).length === 0) continue;
    const was = Object.fromEntries(
      Object.keys(set).map((name) => [name, style[name as keyof StyleSet] ?? null]),
    );
    operations.push({ kind: 'setStyle', target: targetOf(style), set, was });
  }
  const nothing: TokenSet =
    target.of === 'font'
      ? { files: null, display: null }
      : target.of === 'picture'
        ? { picture: null, tones: null }
        : { dark: null };
  for (const token of storedOf(context).tokens.nodes.values()) {
    if (token.value === undefined || !usesToken(token.value, target.key)) continue;
    const value = withNameReplaced(token.value, target.key, (name) => valueOfName(palette, name));
    operations.push(tokenSetting(context, { key: token.key, of: token.of }, { value }));
  }
  const removal = tokenSetting(context, target, { name: null, value: null, ...nothing });
  return makeEdit(context, [removal, ...operations], {
    label: nameOfToken(document, target.key),
    isStored: true,
  });
}

/** What a font looks like, so that something similar can stand in for it. */
export type FontClass = 'sans' | 'serif' | 'mono';

/** In how many values a colour, font or length is used, its tints and shades among them. O(looks). */
export function usesOfToken({ styles, tokens }: SiteDocument, key: string): number {
  let count = 0;
  for (const { value = '' } of tokens.nodes.values()) if (usesToken(value, key)) count += 1;
  for (const style of styles.nodes.values())
    for (const property of propertyNames) if (usesToken(style[property] ?? '', key)) count += 1;
  return count;
}

function usesToken(value: string, key: string): boolean {
  return value.includes('@') && namesIn(value).some((name) => name.replace(/-\d+$/, '') === key);
}

function nameOfToken(document: SiteDocument, key: string): string {
  return paletteOf(document).get(key)?.name ?? key;
}

/** Sets what is said of a token, with what was. */
export function tokenSetting(context: CommandContext, target: TokenTarget, set: TokenSet): SetToken {
  const present = storedOf(context).tokens.nodes.get(tokenId(target));
  const was = Object.fromEntries(
    Object.keys(set).map((field) => [field, present?.[field as keyof TokenSet] ?? null]),
  ) as TokenSet;
  return { kind: 'setToken', target, set, was };
}

function checkName(typed: string): Result<string> {
  const name = checkLabel(typed);
  if (!name.ok || name.value.length <= LONGEST_TOKEN_NAME) return name;
  return no(refusal('tokenNameTooLong', { length: name.value.length, most: LONGEST_TOKEN_NAME }));
}

/** A value as it is kept: colours as `#rrggbb`, whatever CSS they were typed in. */
export function checkToken(document: SiteDocument, { key, of }: TokenTarget, typed: string): Result<string> {
  const plain = typed.trim();
  const value = of === 'colour' ? readColour(plain) : plain;
  const isWrong =
    value === null ||
    (of === 'colour' && value.length > 7) ||
    (isPlainKind(of) &&
      (valueProblem(tokenValueKinds[of], value) !== null ||
        !fitsPalette(paletteOf(document), tokenValueKinds[of], value)));
  if (!isWrong) return ok(value);
  const name = isRole(key) ? roles[key].name : nameOfToken(document, key);
  return no(refusal('wrongToken', { of, name, value: typed, expected: tokenExpected[of] }));
}

/** A key that is neither a role's nor taken. Digits after a hyphen at its end would be a step of a colour. */
export function freeKey(
  document: SiteDocument,
  name: string,
  of: TokenKind,
  isTaken: (key: string) => boolean = () => false,
): string {
  const plain =
    keyFrom(name, of)
      .slice(0, 24)
      .replace(/-+\d*$/, '') || of;
  const palette = paletteOf(document);
  for (let number = 1; ; number += 1) {
    const key = number === 1 ? plain : `${plain}-v${number}`;
    if (!palette.has(key) && !document.tokens.nodes.has(tokenId({ key })) && !isTaken(key)) return key;
  }
}
