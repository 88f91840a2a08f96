import {
  capitalised,
  fontNames,
  fontOf,
  LONGEST_TOKEN_NAME,
  no,
  ok,
  readColour,
  refusal,
  tokenPatterns,
  type NamedValue,
  type Result,
  type TokenKind,
} from '@zorvik/core';
import { OURS, weightWords } from './tokenTypes.ts';

/** What a file of design tokens says. */
export interface ReadTokens {
  readonly values: readonly NamedValue[];
  /** What of it was skipped, in sentences. */
  readonly notes: readonly string[];
}

const LONGEST = 2_000_000;
const MOST_TOKENS = 1000;
const DEEPEST = 20;
const MOST_NOTES = 12;

type Group = Readonly<Record<string, unknown>>;
interface Token {
  readonly path: readonly string[];
  readonly type: string | null;
  readonly value: unknown;
  readonly ours: Group;
}

/**
 * Reads design tokens (Design Tokens Community Group, format 2025.10): groups and their types, aliases, groups that
 * extend others, JSON pointers to tokens. Composite tokens come as the values that they are made of. What has no use
 * here is named in the notes; what cannot be read is refused, with its place.
 */
export function readDesignTokens(text: string): Result<ReadTokens> {
  try {
    return ok(new TokenReader(parsed(text)).read());
  } catch (error) {
    if (!(error instanceof Unreadable)) throw error;
    return no(refusal('badTokenFile', { problem: error.message.slice(0, 300) }));
  }
}

/** What is wrong with a file, in words. */
class Unreadable extends Error {}

function parsed(text: string): Group {
  if (text.length > LONGEST) throw new Unreadable(`it has more than ${LONGEST} characters`);
  let found: unknown;
  try {
    found = JSON.parse(text);
  } catch (error) {
    throw new Unreadable((error as Error).message);
  }
  if (!isGroup(found)) throw new Unreadable('it isn’t a JSON object with groups of tokens');
  return found;
}

function isGroup(value: unknown): value is Group {
  return typeof value === 'object' && value !== null && !Array.isArray(value);
}

class TokenReader {
  private readonly tokens = new Map<string, Token>();
  private readonly notes = new Set<string>();

  constructor(private readonly root: Group) {
    this.gather(root, [], null, []);
  }

  read(): ReadTokens {
    if (this.tokens.size === 0) throw new Unreadable('there are no tokens in it: none has a “$value”');
    const values = [...this.tokens.values()].flatMap((token) => this.valuesOf(token));
    const notes = [...this.notes];
    const more = notes.length - MOST_NOTES;
    return {
      values,
      notes: more > 0 ? [...notes.slice(0, MOST_NOTES), `${more} more were skipped.`] : notes,
    };
  }

  /** All tokens of a group and of those in it. `within`: the groups that are being extended. */
  private gather(
    group: Group,
    path: readonly string[],
    type: string | null,
    within: readonly string[],
  ): void {
    if (path.length > DEEPEST) throw new Unreadable(`“${nameOf(path)}” is more than ${DEEPEST} groups deep`);
    const own = typeof group.$type === 'string' ? group.$type : type;
    if (typeof group.$extends === 'string') this.extend(group.$extends, path, own, within);
    const isToken = '$value' in group || '$ref' in group;
    if (isToken) {
      if (this.tokens.size >= MOST_TOKENS) throw new Unreadable(`it has more than ${MOST_TOKENS} tokens`);
      const extensions = isGroup(group.$extensions) ? group.$extensions[OURS] : undefined;
      const value = '$ref' in group ? { $ref: group.$ref } : group.$value;
      this.tokens.set(nameOf(path), { path, type: own, value, ours: isGroup(extensions) ? extensions : {} });
      return;
    }
    for (const [name, inner] of Object.entries(group)) {
      if (name.startsWith('$') && name !== '$root') continue;
      if (/[{}.]/.test(name)) throw new Unreadable(`the name “${name}” has one of { } . in it`);
      if (isGroup(inner)) this.gather(inner, [...path, name], own, within);
      else throw new Unreadable(`“${nameOf([...path, name])}” is neither a group nor a token`);
    }
  }

  /** What another group has, under the names of this one. */
  private extend(to: string, path: readonly string[], type: string | null, within: readonly string[]): void {
    const wanted = /^\{([^{}]+)\}$/.exec(to)?.[1] ?? to.replace(/^#\//, '').replaceAll('/', '.');
    if (within.includes(wanted)) throw new Unreadable(`“${wanted}” extends itself`);
    let group: unknown = this.root;
    for (const name of wanted.split('.'))
      group = isGroup(group) && Object.hasOwn(group, name) ? group[name] : null;
    if (!isGroup(group)) throw new Unreadable(`“${nameOf(path)}” extends “${wanted}”, which is not there`);
    this.gather(group, path, type, [...within, wanted]);
  }

  /** A value without aliases, and the type that it has by them. `from`: the tokens that led here. */
  private resolved(
    value: unknown,
    type: string | null,
    from: readonly string[],
  ): { readonly value: unknown; readonly type: string | null } {
    const to =
      typeof value === 'string'
        ? /^\{([^{}]+)\}$/.exec(value)?.[1]
        : isGroup(value) && typeof value.$ref === 'string'
          ? value.$ref
              .replace(/^#\//, '')
              .replace(/\/\$value$/, '')
              .replaceAll('/', '.')
          : undefined;
    if (to === undefined) return { value, type };
    if (from.includes(to))
      throw new Unreadable(
        `${[...from, to].map((one) => `“${one}”`).join(' → ')} name each other in a circle`,
      );
    const token = this.tokens.get(to) ?? this.tokens.get(`${to}.$root`);
    if (token === undefined) throw new Unreadable(`“${from.at(-1) ?? ''}” names “${to}”, which is not there`);
    return this.resolved(token.value, type ?? token.type, [...from, to]);
  }

  /** A part of a composite value, with aliases followed. */
  private part(value: unknown, from: string): unknown {
    return this.resolved(value, null, [from]).value;
  }

  private valuesOf(token: Token): NamedValue[] {
    const at = nameOf(token.path);
    const { value, type } = this.resolved(token.value, token.type, [at]);
    // A role that follows another one does so here, too.
    if (typeof token.ours.like === 'string') return [];
    const named = (of: TokenKind, kept: string | null): NamedValue[] => {
      if (kept === null) throw new Unreadable(`“${at}” isn’t a valid ${type ?? 'token'}`);
      const { key, name, dark } = wordsOf(token);
      return [{ key, name, of, value: kept, ...(of === 'colour' && dark !== null ? { dark } : {}) }];
    };
    const exact = token.value === value && typeof token.ours.value === 'string' ? token.ours.value : null;
    const own = (of: TokenKind, kept: string | null): NamedValue[] =>
      named(
        of,
        exact !== null && kept !== null && new RegExp(`^(?:${tokenPatterns[of]})$`).test(exact)
          ? exact
          : kept,
      );
    switch (type) {
      case 'color':
        return this.colour(value, at, named);
      case 'dimension':
        return own('length', this.length(value, at));
      case 'fontFamily':
        return this.font(token, value, (kept) => named('font', kept));
      case 'fontWeight':
        return own('weight', weightOf(value));
      case 'duration':
        return own('duration', durationOf(value));
      case 'shadow':
        return own('shadow', this.shadow(value, at));
      case 'gradient':
        return own('gradient', this.gradient(value, at));
      case 'typography':
        return this.typography(token, value, at);
      case 'transition':
        return named('duration', isGroup(value) ? durationOf(this.part(value.duration, at)) : null);
      case null:
        throw new Unreadable(`“${at}” has no “$type”, nor has a group around it`);
      default:
        this.notes.add(`Tokens of the type “${type}” aren’t used here, such as “${at}”.`);
        return [];
    }
  }

  private colour(
    value: unknown,
    at: string,
    named: (of: TokenKind, kept: string | null) => NamedValue[],
  ): NamedValue[] {
    const hex = this.hex(value, at);
    if (hex !== null && hex.length > 7) {
      this.notes.add(`“${at}” is translucent. Named colours are opaque here, so its opacity was ignored.`);
      return named('colour', hex.slice(0, 7));
    }
    return named('colour', hex);
  }

  /** A colour as `#rrggbb` or `#rrggbbaa`; null: it is none. */
  private hex(value: unknown, at: string): string | null {
    const plain = this.part(value, at);
    if (typeof plain === 'string') return readColour(plain);
    if (!isGroup(plain)) return null;
    const { colorSpace, components, alpha = 1, hex } = plain;
    if (!Array.isArray(components) || components.length !== 3)
      return typeof hex === 'string' ? readColour(hex) : null;
    const numbers = components.map((one) => (one === 'none' ? 0 : Number(one)));
    if (numbers.some((one) => !Number.isFinite(one)) || typeof alpha !== 'number') return null;
    const css = cssColour(String(colorSpace), numbers, alpha);
    return css === null ? (typeof hex === 'string' ? readColour(hex) : null) : readColour(css);
  }

  private length(value: unknown, at: string): string | null {
    const plain = this.part(value, at);
    if (plain === 0) return '0';
    if (typeof plain === 'string') return /^-?[\d.]+(?:px|rem)$/.test(plain) ? plain : null;
    if (!isGroup(plain) || typeof plain.value !== 'number') return null;
    if (plain.value === 0) return '0';
    const number = String(Math.round(plain.value * 1e4) / 1e4).replace(/^(-?)0\./, '$1.');
    return plain.unit === 'px' || plain.unit === 'rem' ? `${number}${plain.unit}` : null;
  }

  private shadow(value: unknown, at: string): string | null {
    const all = (Array.isArray(value) ? value : [value]).map((one) => {
      const part = this.part(one, at);
      if (!isGroup(part)) return null;
      const lengths = [part.offsetX, part.offsetY, part.blur, part.spread ?? 0].map((length) =>
        this.length(length, at),
      );
      const colour = this.hex(part.color, at);
      if (colour === null || lengths.some((length) => length === null)) return null;
      return `${part.inset === true ? 'inset ' : ''}${lengths.join(' ')} ${colour}`;
    });
    return all.some((one) => one === null) ? null : all.join(', ');
  }

  /** The format has no direction of gradients: downwards, as CSS has it. */
  private gradient(value: unknown, at: string): string | null {
    if (!Array.isArray(value) || value.length < 2) return null;
    const stops = value.map((one) => {
      const part = this.part(one, at);
      const colour = isGroup(part) ? this.hex(part.color, at) : null;
      const position = isGroup(part) ? Number(this.part(part.position, at)) : Number.NaN;
      return colour === null || Number.isNaN(position)
        ? null
        : `${colour} ${Math.round(Math.max(0, Math.min(1, position)) * 100)}%`;
    });
    return stops.some((one) => one === null) ? null : `linear(180deg, ${stops.join(', ')})`;
  }

  private font(token: Token, value: unknown, named: (kept: string | null) => NamedValue[]): NamedValue[] {
    const exact = token.ours.value;
    if (typeof exact === 'string' && fontNames.includes(exact)) return named(exact);
    const plain = Array.isArray(value) ? value : [value];
    const families = plain.filter((one): one is string => typeof one === 'string');
    if (families.length === 0 || families.length < plain.length) return named(null);
    const [first = ''] = families;
    const known = fontNames.find(
      (name) => (fontOf(name)?.css ?? '').split(',')[0]?.replaceAll('"', '') === first,
    );
    if (known !== undefined) return named(known);
    this.notes.add(`The font “${first.slice(0, 60)}” has no files here. Add them under Fonts.`);
    return [];
  }

  /** What text is in: each part of it under a name of its own. */
  private typography(token: Token, value: unknown, at: string): NamedValue[] {
    if (!isGroup(value)) throw new Unreadable(`“${at}” isn’t valid typography`);
    const one = (of: TokenKind, suffix: string, kept: string | null): NamedValue[] => {
      if (kept === null) return [];
      const { key, name } = wordsOf(token, suffix);
      return [{ key, name, of, value: kept }];
    };
    const family =
      value.fontFamily === undefined
        ? []
        : this.font(token, this.part(value.fontFamily, at), (kept) => one('font', 'font', kept));
    return [
      ...family,
      ...one('length', 'size', value.fontSize === undefined ? null : this.length(value.fontSize, at)),
      ...one(
        'weight',
        'weight',
        value.fontWeight === undefined ? null : weightOf(this.part(value.fontWeight, at)),
      ),
    ];
  }
}

function nameOf(path: readonly string[]): string {
  return path.join('.');
}

/** Names of groups that say what is in them, and nothing else. */
const plainGroups =
  /^(?:colou?rs?|dimensions?|sizes?|spacing|font-?famil(?:y|ies)|fonts?|font-?weights?|durations?|shadows?|gradients?|typography|tokens?|base|global)$/i;

/** What a token is called here: its key, if it is ours; else its path, without what says nothing. */
function wordsOf(
  { path, ours }: Token,
  suffix = '',
): { readonly key: string | null; readonly name: string; readonly dark: string | null } {
  const kept = path.filter(
    (one, at) => one !== '$root' && (at === path.length - 1 || !plainGroups.test(one)),
  );
  const words = [...(kept.length === 0 ? path : kept), ...(suffix === '' ? [] : [suffix])]
    .join(' ')
    .replaceAll(/[-_]+/g, ' ')
    .replaceAll(/(\p{Ll})(\p{Lu})/gu, '$1 $2');
  const name = typeof ours.name === 'string' && suffix === '' ? ours.name : capitalised(words.toLowerCase());
  const dark = typeof ours.dark === 'string' ? readColour(ours.dark) : null;
  const last = path.at(-1) ?? '';
  return {
    key: Object.keys(ours).length > 0 && suffix === '' ? last : null,
    name: name.slice(0, LONGEST_TOKEN_NAME).trim(),
    dark: dark !== null && dark.length === 7 ? dark : null,
  };
}

function weightOf(value: unknown): string | null {
  const number = typeof value === 'string' ? (weightWords[value] ?? Number.NaN) : Number(value);
  return number >= 1 && number <= 1000 ? String(Math.round(number)) : null;
}

function durationOf(value: unknown): string | null {
  if (!isGroup(value) || typeof value.value !== 'number') return null;
  const ms = value.unit === 's' ? value.value * 1000 : value.unit === 'ms' ? value.value : Number.NaN;
  return ms >= 0 && ms <= 3000 ? `${Math.round(ms)}ms` : null;
}

/** A colour of one of the colour spaces of the format in CSS; null: there is no such space. */
function cssColour(space: string, [a = 0, b = 0, c = 0]: readonly number[], alpha: number): string | null {
  const end = alpha === 1 ? '' : ` / ${alpha}`;
  switch (space) {
    case 'srgb':
      return `rgb(${a * 255} ${b * 255} ${c * 255}${end})`;
    case 'hsl':
      return `hsl(${a} ${b}% ${c}%${end})`;
    case 'lab':
      return `lab(${a}% ${b} ${c}${end})`;
    case 'lch':
      return `lch(${a}% ${b} ${c}${end})`;
    case 'oklab':
      return `oklab(${a} ${b} ${c}${end})`;
    case 'oklch':
      return `oklch(${a} ${b} ${c}${end})`;
    default:
      return null;
  }
}
