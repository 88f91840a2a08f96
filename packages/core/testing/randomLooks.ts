import { propertiesOf, states, thingNames, thingOf } from '../src/anatomy/anatomy.ts';
import { factsOf } from '../src/anatomy/properties.ts';
import type { ValueKind } from '../src/anatomy/values.ts';
import type { RandomBits } from '../src/base/ids.ts';
import type { SiteDocument } from '../src/model/document.ts';
import { areaId } from '../src/model/partRoots.ts';
import { levelOwner, variantOwner } from '../src/model/styleOwner.ts';
import { kindOf } from '../src/ops/registry.ts';
import { newProblem } from '../src/ops/newProblem.ts';
import { deviceClasses } from '../src/schema/deviceClass.ts';
import { starterKeys } from '../src/starters/starterRoles.ts';
import { areas } from '../src/schema/part.ts';
import { schemes, situations, type StyleTarget } from '../src/schema/style.ts';
import { below, pick } from './pick.ts';

/** One of some, of which there is at least one. */
function oneOf<T>(random: RandomBits, from: readonly T[]): T {
  return pick(random, from) as T;
}

/** A document with looks set at random: of anything, in any state, for any scope, on any device class. */
export function withRandomLooks(random: RandomBits, document: SiteDocument, count: number): SiteDocument {
  const owners = [
    document.site.id,
    document.site.id,
    ...areas.map(areaId),
    'template:plant-list',
    ...document.menus.nodes.keys(),
    ...[...document.menus.nodes.keys()].flatMap((menu) => [1, 2, 3].map((level) => levelOwner(menu, level))),
    ...document.parts.nodes.keys(),
    ...document.items.nodes.keys(),
  ];
  let styled = withTokens(withStarters(random, document));
  for (let at = 0; at < count; at += 1) {
    // Half of them for the whole site, so that most elements have something set.
    const anyOwner = below(random, 2) === 0 ? document.site.id : oneOf(random, owners);
    const isOfVariant = below(random, 12) === 0;
    const owner = isOfVariant ? variantOwner(oneOf(random, ['outline', 'text'])) : anyOwner;
    const thing = isOfVariant ? 'variant' : oneOf(random, thingNames);
    const state = oneOf(random, states);
    const isSituated = below(random, 8) === 0;
    const isOnDevice = below(random, 4) === 0;
    const isInScheme = below(random, 5) === 0;
    const target: StyleTarget = {
      owner,
      thing,
      ...(state === 'normal' || !(state in thingOf(thing).in) ? {} : { state }),
      ...(isSituated ? { situation: oneOf(random, situations) } : {}),
      ...(isInScheme ? { scheme: oneOf(random, schemes) } : {}),
      ...(isOnDevice ? { device: oneOf(random, deviceClasses) } : {}),
    };
    const properties = propertiesOf(thing);
    const set = Object.fromEntries(
      Array.from({ length: 1 + below(random, 4) }, () => oneOf(random, properties)).map((one) => [
        one,
        randomValue(random, factsOf(one).kind),
      ]),
    );
    const operation = { kind: 'setStyle' as const, target, set, was: {} };
    const problem = newProblem(styled, operation);
    if (problem !== null) throw new Error(problem.message);
    const applied = kindOf(operation).apply(styled, operation);
    if (!applied.ok) throw new Error(applied.refusal.message);
    styled = applied.value.document;
  }
  return styled;
}

/** A document that begins with any starter, one that was saved among them; half of the time an area with another. */
function withStarters(random: RandomBits, document: SiteDocument): SiteDocument {
  const saved = {
    name: 'Saved',
    base: 'slate@1',
    looks: [
      { thing: 'entry' as const, letterSpacing: '.03em', color: '@accent' },
      { thing: 'barEntry' as const, state: 'hover' as const, background: '@tint/40%', fontStyle: 'italic' },
      { thing: 'footerEntry' as const, device: 'narrow' as const, paddingBlock: '9px' },
    ],
    roles: { accent: '#30507a', pad: '11px' },
  };
  const keys = [...starterKeys, 'saved'];
  const area = oneOf(random, areas);
  const areaStarters = below(random, 2) === 0 ? {} : { areaStarters: { [area]: oneOf(random, keys) } };
  const site = { ...document.site, starter: oneOf(random, keys), ...areaStarters };
  const dark = below(random, 3) === 0 ? {} : { hasDark: true as const };
  return { ...document, site: { ...site, ...dark, ownStarters: { saved } } };
}

/** A document with a colour, a length, a font, a picture of its own and more, and a role set: random values use them. */
function withTokens(document: SiteDocument): SiteDocument {
  const some = [
    { target: { key: 'moss', of: 'colour' }, set: { name: 'Moss', value: '#2f6b3a', dark: '#8fc79a' } },
    { target: { key: 'step', of: 'length' }, set: { name: 'Step', value: '9px' } },
    { target: { key: 'heading', of: 'font' }, set: { name: 'Heading', value: 'system:slab' } },
    { target: { key: 'accent', of: 'colour' }, set: { value: '#7a2048' } },
    { target: { key: 'strong', of: 'weight' }, set: { name: 'Strong', value: '700' } },
    { target: { key: 'quick', of: 'duration' }, set: { name: 'Quick', value: '90ms' } },
    { target: { key: 'lift', of: 'shadow' }, set: { name: 'Lift', value: '0 2px 6px @moss/40%' } },
    {
      target: { key: 'dusk', of: 'gradient' },
      set: { name: 'Dusk', value: 'linear(120deg, @moss, #203040 70%)' },
    },
    {
      target: { key: 'meadow', of: 'picture' },
      set: {
        name: 'Meadow',
        value: 'own:picture',
        picture: { file: '0123456789abcdef0123456789abcdef', width: 800, height: 500 },
        tones: ['#10240f', '#3a5a24', '#9aa878', '#dfe6c8'],
      },
    },
  ] as const;
  return some.reduce<SiteDocument>((made, { target, set }) => {
    const done = kindOf({ kind: 'setToken' as const, target, set, was: {} }).apply(made, {
      kind: 'setToken',
      target,
      set,
      was: {},
    });
    if (!done.ok) throw new Error(done.refusal.message);
    return done.value.document;
  }, document);
}

/** A sound value of a kind; `@moss`, `@step` and `@heading` are those that `withRandomLooks` adds. */
export function randomValue(random: RandomBits, kind: ValueKind): string {
  const number = (least: number, most: number): number => least + below(random, most - least + 1);
  const px = (least: number, most: number): string => `${number(least, most)}px`;
  const colour = (): string =>
    oneOf(random, [
      `#${number(0, 0xffffff).toString(16).padStart(6, '0')}`,
      `#${number(0, 0xffffff).toString(16).padStart(6, '0')}80`,
      '@accent',
      '@tint/40%',
      '@moss',
      '@moss-80',
      'none',
    ]);
  const makers: { readonly [K in ValueKind]: () => string } = {
    colour,
    fill: () => {
      const gradient = `linear(${number(0, 359)}deg, ${colour()}, ${colour()} 80%)`;
      return oneOf(random, [
        'none',
        '@dusk',
        gradient,
        '@meadow',
        '@meadow tile',
        `${gradient} @meadow contain`,
      ]);
    },
    share: () => oneOf(random, ['0.2', '0.75', '1']),
    font: () => oneOf(random, ['inherit', '@font', '@heading']),
    size: () =>
      oneOf(random, ['inherit', '@step*2', px(10, 30), '1.25rem', '1.5em', 'fluid(14px@390, 22px@1280)']),
    weight: () => oneOf(random, ['inherit', '@strong', '300', '650', '800']),
    slant: () => oneOf(random, ['inherit', 'normal', 'italic']),
    lineHeight: () => oneOf(random, ['inherit', 'normal', '1.2', '1.75', px(18, 40)]),
    spacing: () => oneOf(random, ['inherit', '0', '.05em', '-1px', '2px']),
    case: () => oneOf(random, ['inherit', 'none', 'uppercase', 'capitalize']),
    decoration: () =>
      oneOf(random, ['none', 'underline', `underline dotted 2px ${colour()}`, 'line-through 1px']),
    offset: () => oneOf(random, ['auto', '.3em', '-2px']),
    alignment: () => oneOf(random, ['start', 'center', 'end']),
    padding: () => px(0, 30),
    tokenLength: () => px(0, 30),
    tokenWeight: () => '600',
    tokenDuration: () => '120ms',
    tokenShadow: () => '0 1px 2px #000000',
    tokenGradient: () => 'linear(90deg, #000000, #ffffff)',
    paddings: () => oneOf(random, [px(0, 30), `${px(0, 30)} ${px(0, 30)}`, '@pad', '@step*2', '0']),
    margins: () => oneOf(random, [px(0, 20), '-4px 0', '-@pad', '0 1.5em', '0']),
    least: () => oneOf(random, [px(0, 80), '3rem', '0']),
    most: () => oneOf(random, ['none', px(100, 600)]),
    extent: () => oneOf(random, ['auto', px(4, 60), '1.5em']),
    order: () => oneOf(random, ['auto', '5', '40']),
    borders: () => oneOf(random, ['0', px(1, 6), '0 2px']),
    borderStyle: () => oneOf(random, ['solid', 'dashed', 'double']),
    corners: () => oneOf(random, ['0', px(1, 20), '4px 8px', '50%', '@radius*2']),
    shadow: () =>
      oneOf(random, [
        '@lift',
        'none',
        `0 2px 8px -1px ${colour()}`,
        `inset 1px 1px 0 ${colour()}, 0 1px 2px ${colour()}`,
      ]),
    ring: () => oneOf(random, ['none', `3px dashed ${colour()}`, '1px solid @accent']),
    ringOffset: () => oneOf(random, ['0', '3px', '-2px']),
    motion: () => oneOf(random, ['none', '@quick ease', '120ms', '200ms ease-out']),
    entrance: () => oneOf(random, ['none', 'fade 150ms', 'slide @quick', 'scale 90ms linear']),
    divider: () => oneOf(random, ['none', 'line', 'dot', 'slash', 'diamond', '@meadow']),
    arrow: () => oneOf(random, ['chevron', 'bold', 'triangle', 'arrow', 'plus', 'dot', 'none']),
  };
  return makers[kind]();
}
