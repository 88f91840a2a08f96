import { lineOf, OVER, thingNames, thingOf, type ThingName } from '../anatomy/anatomy.ts';
import { factsOf, type Property } from '../anatomy/properties.ts';
import { cssOf } from '../anatomy/values.ts';
import { valuesOfStyle, type Scheme, type Situation, type StyleTarget } from '../schema/style.ts';
import { selectorsIn } from '../anatomy/specificity.ts';
import { compareOrder, orderOf, saidByStarter, whereOf, type Precedence } from './precedence.ts';
import { flat, type Medium } from './rule.ts';
import type { Look } from '../starters/starter.ts';
import { starters } from '../starters/starters.ts';
import { FIRST_STARTER } from '../starters/starterRoles.ts';
import type { Sheet } from './sheet.ts';

/** A rule of looks as it is printed, and how much it wins against others. */
export interface LookRule {
  readonly selectors: readonly string[];
  readonly declarations: string;
  readonly medium: Medium | null;
  readonly scheme: Scheme | null;
  /** Compared from the first number on; what is greater comes later, and so wins. */
  readonly order: readonly number[];
}

/** Where a value holds, besides its thing. */
interface Where extends Precedence {
  /** Selectors of which each must find the element, too. */
  readonly within: readonly string[];
}

/** Where a situation of the header holds. */
export const situationSelectors: Readonly<Record<Situation, string>> = {
  over: `${OVER},${OVER} *`,
  scrolled: '.zv-header.zv-scrolled,.zv-header.zv-scrolled *',
};

/**
 * The rules that give things their looks, in their order: first what the starter says, then what somebody set. A
 * value for a state wins over one for rest; then one for a situation of the header; then what is said of the later
 * thing in the anatomy; then the nearer scope; then one for light or dark; then one for a device class. `resolveStyle` decides in the same order
 * (a law). O(values).
 */
export function compileStyles(things: readonly ThingName[], sheet: Sheet): LookRule[] {
  const used = new Set(things);
  const rules: LookRule[] = [];
  const add = (thing: ThingName, look: Look, where: Where): void => {
    const made = ruleOf(thing, look, where);
    if (made !== null) rules.push(made);
  };
  for (const { looks: all, within } of sheet.starters) {
    for (const thing of thingNames) {
      if (!used.has(thing)) continue;
      const looks = all[thing] ?? {};
      const normal = { ...initialOf(thing), ...looks.normal };
      for (const [look, where] of saidByStarter({ ...looks, normal }, sheet))
        add(thing, look, { ...where, within, rank: 0 });
    }
  }
  for (const { target, values, scope } of sheet.set)
    if (used.has(target.thing) && !isNever(target, sheet))
      add(target.thing, values, { ...whereOf(target), ...scope });
  return rules.sort((a, b) => compareOrder(a.order, b.order));
}

/** Whether a thing is never so: on a device class on which it is not there, in a situation that no header has. */
function isNever(
  { thing, device, situation, scheme }: StyleTarget,
  { situations: some, hasDark }: Sheet,
): boolean {
  if (scheme !== undefined && !hasDark) return true;
  const isElsewhere = device === 'narrow' && thingOf(thing).medium === 'wider';
  return isElsewhere || (situation !== undefined && !some.includes(situation));
}

/** What nobody says of a thing is neither left to the browser nor to the page. */
function initialOf(thing: ThingName): Look {
  const { has, like, isOnTop } = thingOf(thing);
  if (isOnTop === true) return {};
  const known = new Set(
    like === undefined ? [] : lineOf(like as ThingName).flatMap((one) => thingOf(one).has),
  );
  return Object.fromEntries(
    has.filter((one) => !known.has(one) && !isPassedOn(one)).map((one) => [one, factsOf(one).initial]),
  );
}

/** Custom properties are as around them where nobody says anything: nothing has to be written. */
function isPassedOn(property: Property): boolean {
  const { css, initial } = factsOf(property);
  return css.startsWith('--') && initial === 'inherit';
}

function ruleOf(thing: ThingName, look: Look, where: Where): LookRule | null {
  const { in: selectors, medium = null } = thingOf(thing);
  const selector = selectors[where.state];
  const declarations = declarationsOf(thing, look, where);
  if (selector === undefined || declarations === '') return null;
  const conditions =
    where.situation === null ? where.within : [...where.within, situationSelectors[where.situation]];
  return {
    selectors: singleSelectors(selector).map((one) => flat(one, conditions)),
    declarations,
    medium: where.device ?? medium,
    scheme: where.scheme,
    order: orderOf(where, thingNames.indexOf(thing)),
  };
}

/** The selectors of a list, taken apart once: there are as many lists as the anatomy has. */
function singleSelectors(list: string): readonly string[] {
  let apart = singles.get(list);
  if (apart === undefined) singles.set(list, (apart = selectorsIn(list)));
  return apart;
}
const singles = new Map<string, readonly string[]>();

/** The declarations of a look, in the order of the properties. */
function declarationsOf(
  thing: ThingName,
  look: Look,
  { rank, state, scheme, device, situation }: Where,
): string {
  // The starter's font of the whole navigation is one declaration, which a site may set with one property.
  const isShorthand =
    thing === 'site' &&
    rank === 0 &&
    state === 'normal' &&
    scheme === null &&
    device === null &&
    situation === null;
  const left = valuesOfStyle(look)
    .map(([name]) => name)
    .filter((name) => !(isShorthand && factsOf(name).group === 'text'));
  const inherited = left.filter((name) => FONT.has(name) && look[name] === 'inherit');
  const isFont = inherited.length === FONT.size;
  const shorthand = isShorthand ? fontOfSite(look) : [];
  const declarations = left
    .filter((name) => !(isFont && FONT.has(name)))
    .flatMap((name) => declarationsFor(name, look[name] ?? ''))
    .map(([css, value]) => `${css}:${value}`);
  return [...(isFont ? ['font:inherit'] : []), ...shorthand, ...declarations].join(';');
}

/** The font of a starter, where it is another than that of the first one, which the layout has already. */
function fontOfSite(look: Look): readonly string[] {
  const shorthand = ({ fontWeight, fontSize, lineHeight }: Look): string =>
    `font:var(--zv-font,${fontWeight} ${fontSize}/${lineHeight} var(--_font))`;
  const own = shorthand(look);
  return own === shorthand(starters[FIRST_STARTER].looks.site?.normal ?? {}) ? [] : [own];
}

/** What `font: inherit` stands for. */
const FONT: ReadonlySet<Property> = new Set([
  'fontFamily',
  'fontSize',
  'fontWeight',
  'fontStyle',
  'lineHeight',
]);

/** The declarations of a value. */
export function declarationsFor(
  property: Property,
  value: string,
): readonly (readonly [css: string, value: string])[] {
  const { kind, css, declare } = factsOf(property);
  const written = cssOf(kind, value);
  return declare === undefined ? [[css, written]] : declare(written);
}
