import type { CssDeclarations, CssRule, CssStyleRule } from '../schema/ownCss.ts';
import { selectorsIn } from '../anatomy/specificity.ts';
import { flat } from './rule.ts';

/** The CSS of a place, and what finds all that is in it. */
export interface OwnPlace {
  readonly id: string;
  readonly rules: readonly CssRule[];
  readonly within: readonly string[];
}

/** What is within our navigation. */
const OURS = '.zv,.zv *';

/**
 * The CSS that people wrote, as it is delivered: what it finds has to be in its place, and its selectors count like
 * one class, so that what comes later wins as it does among looks. Its animations have names of their own. O(length).
 */
export function printOwnCss(places: readonly OwnPlace[]): string {
  return places
    .map((place) => {
      const names = animationsOf(place);
      return place.rules.map((rule) => `${printed(rule, place, names)}\n`).join('');
    })
    .join('');
}

/** The selectors of a rule as they are printed: what each finds. */
export function ownSelectors({ selectors }: CssStyleRule, { within }: Pick<OwnPlace, 'within'>): string[] {
  const where = within.length === 0 ? [OURS] : within;
  return selectors
    .flatMap((one) => selectorsIn(one))
    .flatMap((one) => {
      const written = flat(one, where);
      // What is around all that we write can be meant as well as what is in it.
      return written.startsWith('.zv :where(') ? [written.replace('.zv ', '.zv'), written] : [written];
    });
}

/** What the animations of a place are called in what is delivered. */
function animationsOf({ id, rules }: OwnPlace): ReadonlyMap<string, string> {
  return new Map(
    rules.flatMap((one) => ('keyframes' in one ? [[one.keyframes, `zv-${id}-${one.keyframes}`]] : [])),
  );
}

function printed(rule: CssRule, place: OwnPlace, names: ReadonlyMap<string, string>): string {
  if ('keyframes' in rule)
    return `@keyframes ${names.get(rule.keyframes)}{${rule.steps
      .map(({ at, declarations }) => `${at.join()}{${declared(declarations, names)}}`)
      .join('')}}`;
  if ('at' in rule)
    return `@${rule.at} ${rule.condition}{${rule.rules.map((one) => styleRule(one, place, names)).join('')}}`;
  return styleRule(rule, place, names);
}

function styleRule(rule: CssStyleRule, place: OwnPlace, names: ReadonlyMap<string, string>): string {
  return `${ownSelectors(rule, place).join()}{${declared(rule.declarations, names)}}`;
}

/** Declarations; `names`: what animations of the place are called in what is delivered. */
function declared(declarations: CssDeclarations, names: ReadonlyMap<string, string>): string {
  return declarations
    .map(({ name, value }) => {
      const isAnimation = name === 'animation' || name === 'animation-name';
      const renamed = isAnimation
        ? value.replaceAll(/(?<![\w-])[A-Za-z][\w-]*/g, (word) => names.get(word) ?? word)
        : value;
      return `${name}:${renamed}`;
    })
    .join(';');
}

/** CSS as people read and write it. */
export function writeCss(rules: readonly CssRule[]): string {
  const block = (declarations: CssDeclarations, by: string): string =>
    declarations.map(({ name, value }) => `${by}  ${name}: ${value};\n`).join('');
  const styled = ({ selectors, declarations }: CssStyleRule, by: string): string =>
    `${by}${selectors.join(`,\n${by}`)} {\n${block(declarations, by)}${by}}\n`;
  return rules
    .map((rule) => {
      if ('keyframes' in rule)
        return `@keyframes ${rule.keyframes} {\n${rule.steps
          .map(({ at, declarations }) => `  ${at.join(', ')} {\n${block(declarations, '  ')}  }\n`)
          .join('')}}\n`;
      if ('at' in rule)
        return `@${rule.at} ${rule.condition} {\n${rule.rules.map((one) => styled(one, '  ')).join('')}}\n`;
      return styled(rule, '');
    })
    .join('\n');
}
