import { generate, lexer, parse, type CssNode, type Declaration, type List, type Rule } from 'css-tree';
import {
  capitalised,
  cssGroups,
  cssProblem,
  declarationsProblem,
  MOST_CSS_RULES,
  selectorProblem,
  type CssDeclarations,
  type CssGroup,
  type CssRule,
  type CssStyleRule,
} from '@zorvik/core';

/** The longest that the CSS of one place may be, in characters. */
export const LONGEST_CSS = 20_000;

/** What is wrong with CSS, and where: lines and columns begin at 1. */
export interface CssProblem {
  readonly line: number;
  readonly column: number;
  /** A sentence: what is wrong, and how to go on. */
  readonly message: string;
}

/** CSS as it was read: its rules, or what is wrong with it. */
export type ReadCss =
  | { readonly ok: true; readonly rules: readonly CssRule[] }
  | { readonly ok: false; readonly problem: CssProblem };

/** Something in the CSS that cannot be. */
class Wrong extends Error {
  constructor(
    readonly at: CssNode | null,
    message: string,
  ) {
    super(message);
  }
}

/**
 * Reads CSS that somebody wrote for one place: rules, media, supports and container queries, and animations. What
 * could reach beyond the place, load something, or is not known to browsers is refused, with where it stands. The
 * backslash of an escape is refused, too: with it, anything could be written so that nobody sees it. O(length).
 */
export function readCss(text: string): ReadCss {
  const wrong = (line: number, column: number, message: string): ReadCss => ({
    ok: false,
    problem: { line, column, message },
  });
  if (text.length > LONGEST_CSS)
    return wrong(1, 1, `This is ${text.length} characters long; the most is ${LONGEST_CSS}. Shorten it.`);
  const escape = text.indexOf('\\');
  if (escape >= 0) {
    const before = text.slice(0, escape).split('\n');
    return wrong(
      before.length,
      (before.at(-1)?.length ?? 0) + 1,
      'Escapes with a backslash can’t be used here. Write the character itself.',
    );
  }
  let problem: CssProblem | null = null;
  const tree = parse(text, {
    positions: true,
    parseCustomProperty: false,
    onParseError: ({ message, line, column }) => {
      problem ??= { line, column, message: `${message}. Correct it there.` };
    },
  });
  if (problem !== null) return { ok: false, problem };
  try {
    if (tree.type !== 'StyleSheet') throw new Wrong(tree, 'This is no style sheet.');
    const rules = tree.children.toArray().flatMap((node) => ruleOf(node));
    if (rules.length > MOST_CSS_RULES)
      throw new Wrong(null, `These are ${rules.length} rules; the most is ${MOST_CSS_RULES}.`);
    const beyond = cssProblem(rules);
    if (beyond !== null) throw new Wrong(null, `${capitalised(beyond)}.`);
    return { ok: true, rules };
  } catch (error) {
    if (!(error instanceof Wrong)) throw error;
    const { line = 1, column = 1 } = error.at?.loc?.start ?? {};
    return wrong(line, column, error.message);
  }
}

function ruleOf(node: CssNode): CssRule[] {
  if (node.type === 'Comment' || node.type === 'WhiteSpace') return [];
  if (node.type === 'Rule') return styled(node);
  if (node.type !== 'Atrule')
    throw new Wrong(node, 'A rule was expected, such as .zv-badge { color: #1f5a3a }.');
  const name = node.name.toLowerCase();
  if (name === 'keyframes') return [keyframes(node)];
  if (!(cssGroups as readonly string[]).includes(name))
    throw new Wrong(
      node,
      `@${node.name} can’t be used here; @media, @supports, @container and @keyframes can.`,
    );
  if (node.prelude === null) throw new Wrong(node, `@${name} needs a condition.`);
  if (node.block === null) throw new Wrong(node, `@${name} needs rules in braces.`);
  const rules = node.block.children.toArray().flatMap((one) => {
    if (one.type === 'Comment') return [];
    if (one.type === 'Rule') return styled(one);
    throw new Wrong(one, `@${name} can only hold rules; write other blocks after it.`);
  });
  if (rules.length === 0) return [];
  return [{ at: name as CssGroup, condition: generate(node.prelude), rules }];
}

/** A rule; none where it sets nothing. */
function styled(rule: Rule): CssStyleRule[] {
  if (rule.prelude.type !== 'SelectorList') throw new Wrong(rule.prelude, 'This selector can’t be read.');
  const selectors = rule.prelude.children.toArray().map((one) => {
    const selector = generate(one);
    const problem = selectorProblem(selector);
    if (problem !== null) throw new Wrong(one, `${capitalised(problem)}.`);
    return selector;
  });
  const declarations = declarationsIn(rule.block.children);
  return declarations.length === 0 ? [] : [{ selectors, declarations }];
}

function declarationsIn(children: List<CssNode>): CssDeclarations {
  return children.toArray().flatMap((node) => {
    if (node.type === 'Comment') return [];
    // A semicolon too many.
    if (node.type === 'Raw' && /^[;\s]*$/.test(node.value)) return [];
    if (node.type !== 'Declaration')
      throw new Wrong(
        node,
        'A property with a value was expected, such as color: #1f5a3a. Rules can’t be nested.',
      );
    return [declarationOf(node)];
  });
}

function declarationOf(node: Declaration): CssDeclarations[number] {
  const name = node.property.startsWith('--') ? node.property : node.property.toLowerCase();
  if (node.important !== false)
    throw new Wrong(node, 'Take !important away: CSS written here wins over the looks without it.');
  const value = generate(node.value).trim();
  const beyond = declarationsProblem([{ name, value }]);
  if (beyond !== null) throw new Wrong(node, `${capitalised(beyond)}.`);
  if (!name.startsWith('--')) {
    const { error } = lexer.matchProperty(name, node.value);
    if (error !== null && !/\bvar\(|\benv\(/.test(value))
      throw new Wrong(
        node,
        error.message.startsWith('Unknown property')
          ? `There is no property “${name}”. Check its spelling.`
          : `“${value}” is not a value of ${name}.`,
      );
  }
  return { name, value };
}

function keyframes(node: Extract<CssNode, { type: 'Atrule' }>): CssRule {
  const name = node.prelude === null ? '' : generate(node.prelude);
  if (!/^[A-Za-z][A-Za-z0-9-]{0,39}$/.test(name))
    throw new Wrong(
      node,
      'An animation needs a name of letters, digits and hyphens, such as @keyframes grow.',
    );
  const steps = (node.block?.children.toArray() ?? []).flatMap((step) => {
    if (step.type === 'Comment') return [];
    if (step.type !== 'Rule') throw new Wrong(step, 'A step was expected, such as 50% { opacity: 0 }.');
    const at = generate(step.prelude).split(',');
    const declarations = declarationsIn(step.block.children);
    return declarations.length === 0 ? [] : [{ at, declarations }];
  });
  if (steps.length === 0) throw new Wrong(node, `The animation “${name}” has no steps.`);
  return { keyframes: name, steps };
}

/** What computed contrast cannot know about CSS: the properties in it that change colours or what is behind them. */
export function unknownToContrast(rules: readonly CssRule[]): string[] {
  const about =
    /^(?:color|background(?:-color|-image)?|border(?!.*(?:radius|width|style|spacing|collapse))|outline(?:-color)?$|opacity|(?:backdrop-)?filter|mix-blend-mode|box-shadow|text-shadow|fill|stroke|-webkit-text-|--zv-)/;
  const found = new Set<string>();
  const note = (declarations: CssDeclarations): void =>
    declarations.forEach(({ name }) => about.test(name) && found.add(name));
  for (const rule of rules) {
    if ('keyframes' in rule) rule.steps.forEach(({ declarations }) => note(declarations));
    else if ('at' in rule) rule.rules.forEach(({ declarations }) => note(declarations));
    else note(rule.declarations);
  }
  return [...found].sort();
}
