import type { CssDeclarations, CssRule, CssStyleRule } from '../schema/ownCss.ts';

/** Functions that load something, or that run where browsers still know them. */
const LOADS =
  /(?:^|[^\w-])(?:url|image-set|-webkit-image-set|image|src|cross-fade|element|paint|expression)\s*\(/i;
/** The page itself, which is not ours to style. */
const PAGE = /(?:^|[\s>+~,(])(?:html|body)(?![\w-])|:(?:root|host|scope|host-context)(?![\w-])/i;
const PSEUDO_ELEMENT = /::([\w-]+)/g;
const OWN_PSEUDO_ELEMENTS: ReadonlySet<string> = new Set([
  'before',
  'after',
  'marker',
  'placeholder',
  'first-letter',
  'first-line',
  'selection',
]);
/** How these were written before there were pseudo-elements. */
const OLD_PSEUDO_ELEMENT = /(?<!:):(?:before|after|first-letter|first-line)(?![\w-])/;

/**
 * What is wrong with CSS that somebody wrote for a place, beyond its shapes: null: nothing. It is checked here without
 * reading CSS: what passes cannot leave its rule, load anything, or reach the page around the navigation. O(length).
 */
export function cssProblem(rules: readonly CssRule[]): string | null {
  for (const rule of rules) {
    const problem =
      'keyframes' in rule
        ? first(rule.steps, ({ declarations }) => declarationsProblem(declarations))
        : 'at' in rule
          ? (signProblem(rule.condition.replaceAll('<', '')) ??
            balanceProblem(rule.condition) ??
            loadProblem(rule.condition) ??
            first(rule.rules, ruleProblem))
          : ruleProblem(rule);
    if (problem !== null) return problem;
  }
  return null;
}

function ruleProblem({ selectors, declarations }: CssStyleRule): string | null {
  return first(selectors, selectorProblem) ?? declarationsProblem(declarations);
}

/** What is wrong with a selector; null: nothing. */
export function selectorProblem(selector: string): string | null {
  const broken = signProblem(selector) ?? balanceProblem(selector);
  if (broken !== null) return broken;
  if (PAGE.test(selector)) return `“${selector}” is about the page around the navigation`;
  if (selector.includes('&')) return `“${selector}” is nested; write each rule by itself`;
  if (OLD_PSEUDO_ELEMENT.test(selector)) return `“${selector}” needs two colons before the pseudo-element`;
  const pseudos = [...selector.matchAll(PSEUDO_ELEMENT)];
  const isAtEnd = pseudos.every(([whole], at) => at === 0 && selector.endsWith(whole));
  const isKnown = pseudos.every(([, name = '']) => OWN_PSEUDO_ELEMENTS.has(name));
  return isAtEnd && isKnown ? null : `“${selector}” has a pseudo-element that can’t be used here`;
}

/** What is wrong with declarations; null: nothing. */
export function declarationsProblem(declarations: CssDeclarations): string | null {
  return first(declarations, ({ name, value }) => {
    if (/!/.test(value))
      return `“${name}: ${value}” has an exclamation mark; CSS written here wins over the looks without it`;
    if (name === 'behavior' || name === '-moz-binding')
      return `“${name}” is not a property that browsers know`;
    return signProblem(value) ?? balanceProblem(value) ?? loadProblem(`${name}: ${value}`);
  });
}

function loadProblem(text: string): string | null {
  return LOADS.test(text) ? `“${text}” would load something; set pictures in the values above` : null;
}

/** Signs that could end a rule, begin another one, or hide what is written. */
function signProblem(text: string): string | null {
  const sign = /[{};@\\<]/.exec(text)?.[0];
  return sign === undefined ? null : `“${text}” has ${sign} in it, which can’t be used here`;
}

/** Whether quotes and brackets are closed, and nothing in it is a comment or the end of a style sheet. */
function balanceProblem(text: string): string | null {
  if (/\/\*|\*\/|<!|<\/|-->/.test(text)) return `“${text}” has the beginning or end of a comment in it`;
  const open: string[] = [];
  let quote = '';
  for (const sign of text) {
    if (sign === '\n' && quote !== '') return `a quote in “${text}” is not closed`;
    if (quote !== '') {
      if (sign === quote) quote = '';
    } else if (sign === '"' || sign === "'") quote = sign;
    else if (sign === '(' || sign === '[') open.push(sign === '(' ? ')' : ']');
    else if ((sign === ')' || sign === ']') && open.pop() !== sign)
      return `a bracket in “${text}” closes nothing`;
  }
  if (quote !== '') return `a quote in “${text}” is not closed`;
  return open.length === 0 ? null : `a bracket in “${text}” is not closed`;
}

function first<T>(some: readonly T[], find: (one: T) => string | null): string | null {
  for (const one of some) {
    const found = find(one);
    if (found !== null) return found;
  }
  return null;
}
