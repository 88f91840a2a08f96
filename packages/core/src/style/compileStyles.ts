import { anatomy, properties, states, type Property, type Thing, type ThingName } from './anatomy.ts';
import { rule, type Rule } from './rule.ts';
import { starters, type Look, type StarterName } from './starters.ts';

/**
 * The rules that give things their looks: for each, one in each state in which something is said that its normal
 * state does not say already, and one for narrow screens. O(values).
 */
export function compileStyles(things: readonly ThingName[], starter: StarterName = 'moss@1'): Rule[] {
  return things.flatMap((name) => {
    const thing: Thing = anatomy[name];
    const { in: selectors } = thing;
    const medium = thing.medium ?? null;
    const looks = starters[starter][name];
    const { normal = {} } = looks;
    const made = states.flatMap((state) => {
      const selector = selectors[state];
      const declarations = declarationsOf(looks[state], state === 'normal' ? {} : normal);
      return selector === undefined || declarations === '' ? [] : [rule(selector, declarations, { medium })];
    });
    const narrow = declarationsOf(looks.on?.narrow, normal);
    return narrow === '' ? made : [...made, rule(selectors.normal, narrow, { medium: 'narrow' })];
  });
}

function declarationsOf(look: Look = {}, known: Look): string {
  return Object.entries(look)
    .filter(([property, value]) => known[property as Property] !== value)
    .map(([property, value]) => `${properties[property as Property]}:${value}`)
    .join(';');
}
