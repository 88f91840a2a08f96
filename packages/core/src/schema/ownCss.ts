import * as Type from 'typebox';
import { derivedId, type Id } from '../base/ids.ts';
import { closed, IdShape } from './shapes.ts';
import { OwnerShape } from './style.ts';

/** The most that one place may have: rules, selectors of a rule, declarations of one, and characters of each. */
export const MOST_CSS_RULES = 200;
const MOST_SELECTORS = 20;
const MOST_DECLARATIONS = 40;
const LONGEST_SELECTOR = 300;
const LONGEST_VALUE = 1000;

/** Blocks that hold rules of a style: each stands by itself. */
export const cssGroups = ['media', 'supports', 'container'] as const;
/** See `cssGroups`. */
export type CssGroup = (typeof cssGroups)[number];

/* What text can be part of a rule without leaving it. `cssProblem` says what is allowed beyond that. */
const SelectorTextShape = Type.String({
  pattern: '^[^{};@\\\\<]+$',
  minLength: 1,
  maxLength: LONGEST_SELECTOR,
});
const DeclarationShape = Type.Object(
  {
    name: Type.String({ pattern: '^(?:--[a-z][a-z0-9-]{0,58}|-?[a-z][a-z-]{1,58})$' }),
    value: Type.String({ pattern: '^[^{};@\\\\<]+$', minLength: 1, maxLength: LONGEST_VALUE }),
  },
  closed,
);
const DeclarationsShape = Type.Array(DeclarationShape, { minItems: 1, maxItems: MOST_DECLARATIONS });
const StyleRuleShape = Type.Object(
  {
    selectors: Type.Array(SelectorTextShape, { minItems: 1, maxItems: MOST_SELECTORS }),
    declarations: DeclarationsShape,
  },
  closed,
);
const GroupShape = Type.Object(
  {
    at: Type.Enum(cssGroups),
    condition: Type.String({ pattern: '^[^{};@\\\\]+$', minLength: 1, maxLength: LONGEST_SELECTOR }),
    rules: Type.Array(StyleRuleShape, { minItems: 1, maxItems: MOST_CSS_RULES }),
  },
  closed,
);
const KeyframesShape = Type.Object(
  {
    keyframes: Type.String({ pattern: '^[A-Za-z][A-Za-z0-9-]{0,39}$' }),
    steps: Type.Array(
      Type.Object(
        {
          at: Type.Array(Type.String({ pattern: '^(?:from|to|(?:100|\\d{1,2}(?:\\.\\d{1,2})?)%)$' }), {
            minItems: 1,
            maxItems: MOST_SELECTORS,
          }),
          declarations: DeclarationsShape,
        },
        closed,
      ),
      { minItems: 1, maxItems: MOST_DECLARATIONS },
    ),
  },
  closed,
);

/** Names with their values, as they are written. */
export type CssDeclarations = readonly { readonly name: string; readonly value: string }[];
/** A rule as somebody wrote it: what it finds, and what it sets. */
export interface CssStyleRule {
  readonly selectors: readonly string[];
  readonly declarations: CssDeclarations;
}
/** Rules that hold under a condition. */
export interface CssGroupRule {
  readonly at: CssGroup;
  readonly condition: string;
  readonly rules: readonly CssStyleRule[];
}
/** An animation: its name is known in one place only. */
export interface CssKeyframes {
  readonly keyframes: string;
  readonly steps: readonly { readonly at: readonly string[]; readonly declarations: CssDeclarations }[];
}
/** Anything that can stand in the CSS of a place. */
export type CssRule = CssStyleRule | CssGroupRule | CssKeyframes;

/** The CSS of a place, in its order. */
export const CssRulesShape = Type.Unsafe<readonly CssRule[]>(
  Type.Array(Type.Union([StyleRuleShape, GroupShape, KeyframesShape]), {
    minItems: 1,
    maxItems: MOST_CSS_RULES,
  }),
);

/** CSS that somebody wrote for one place. Its parent is the site, and its id follows from its owner. */
export const OwnCssShape = Type.Object(
  { id: IdShape, parent: IdShape, owner: OwnerShape, rules: CssRulesShape },
  closed,
);
/** See `OwnCssShape`. */
export interface OwnCss {
  readonly id: Id;
  readonly parent: Id;
  readonly owner: string;
  readonly rules: readonly CssRule[];
}

/** The id of the CSS of a place. */
export function ownCssId(owner: string): Id {
  return derivedId('ownCss', owner);
}
