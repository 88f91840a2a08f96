import { describe, expect, it } from 'vitest';
import { lineOf, propertiesOf, states, thingNames, thingOf } from '../src/anatomy/anatomy.ts';
import { factsOf, properties, propertyNames, type Property } from '../src/anatomy/properties.ts';
import { cssOf, valueKinds, valueProblem, type ValueFacts } from '../src/anatomy/values.ts';
import { selectorsIn, specificityOf } from '../src/anatomy/specificity.ts';
import { deviceClasses } from '../src/schema/deviceClass.ts';
import { situations } from '../src/schema/style.ts';
import { compileStyles, declarationsFor } from '../src/style/compileStyles.ts';
import { rankedStyles, resolveStyle } from '../src/style/resolveStyle.ts';
import { plainSheet, type SetLook, type Sheet } from '../src/style/sheet.ts';
import type { Starter } from '../src/starters/starter.ts';
import { starters } from '../src/starters/starters.ts';
import { starterKeys, type StarterKey } from '../src/starters/starterRoles.ts';

describe('the anatomy', () => {
  it.each(thingNames)('%s: its selectors can be read, and what it is like comes before it', (name) => {
    for (const selector of Object.values(thingOf(name).in))
      for (const one of selectorsIn(selector)) expect(specificityOf(one)[0]).toBe(0);
    const [, like] = lineOf(name);
    if (like !== undefined) expect(thingNames.indexOf(like)).toBeLessThan(thingNames.indexOf(name));
  });

  it('has a use for each property, and no two set the same in CSS', () => {
    const used = new Set<Property>(thingNames.flatMap((name) => thingOf(name).has));
    expect([...used].sort()).toEqual(Object.keys(properties).sort());
    for (const name of thingNames) {
      const set = propertiesOf(name).flatMap((one) => {
        const { kind, initial } = factsOf(one);
        return [...new Set(declarationsFor(one, initial).map(([css]) => css))].map((css) => [css, kind]);
      });
      expect(new Set(set.map(([css]) => css)).size, name).toBe(set.length);
    }
  });

  it.each(propertyNames)('%s: what holds where nobody says anything is a value of its kind', (name) => {
    const { kind, initial } = factsOf(name);
    expect(valueProblem(kind, initial)).toBeNull();
  });
});

describe('a starter', () => {
  it.each(Object.entries(starters))(
    '%s says what things can have, in states that they can be in',
    (_, starter) => {
      for (const name of thingNames) {
        const {
          narrow = {},
          dark = {},
          over = {},
          scrolled = {},
          ...looks
        } = (starter as Starter).looks[name] ?? {};
        for (const [state, look] of [
          ...Object.entries(looks),
          ...[narrow, dark, over, scrolled].map((one) => ['normal', one] as const),
        ]) {
          expect(thingOf(name).in, `${name} ${state}`).toHaveProperty(state);
          for (const [property, value] of Object.entries(look as Record<string, string>)) {
            expect(propertiesOf(name), `${name} ${property}`).toContain(property);
            if (!value.startsWith('='))
              expect([value, valueProblem(factsOf(property as Property).kind, value)]).toEqual([value, null]);
          }
        }
      }
    },
  );
});

describe('two starters', () => {
  const pairs = starterKeys.flatMap((one, at) =>
    starterKeys.slice(at + 1).map((other) => [one, other] as const),
  );
  /** How much is said otherwise, colours apart: “thing property”. */
  function differing(one: StarterKey, other: StarterKey): string[] {
    const [a, b] = [plainSheet(one), plainSheet(other)];
    return thingNames.flatMap((thing) =>
      propertiesOf(thing)
        .filter((property) => factsOf(property).group !== 'colour')
        .filter((property) =>
          states.some(
            (state) =>
              state in thingOf(thing).in &&
              resolveStyle(thing, property, { states: [state], sheet: a })?.value !==
                resolveStyle(thing, property, { states: [state], sheet: b })?.value,
          ),
        )
        .map((property) => `${thing} ${property}`),
    );
  }
  it.each(pairs)(
    '%s and %s differ in at least 8 properties that are no colours, over 5 things',
    (one, other) => {
      const found = differing(one, other).map((name) => name.split(' '));
      expect(new Set(found.map(([, property]) => property)).size).toBeGreaterThanOrEqual(8);
      expect(new Set(found.map(([thing]) => thing)).size).toBeGreaterThanOrEqual(5);
    },
  );
});

describe('a value', () => {
  const wrong: readonly (readonly [keyof typeof valueKinds, string])[] = [
    ['colour', 'red'],
    ['colour', '#12'],
    ['colour', '@accent/140%'],
    ['colour', '#1f5a3a;}body{display:none'],
    ['colour', 'url(//evil)'],
    ['fill', 'linear(135deg, #1f5a3a)'],
    ['fill', 'linear-gradient(red,blue)'],
    ['fill', 'url(/x.png)'],
    ['fill', '@meadow stretch'],
    ['fill', '@meadow, @meadow'],
    ['divider', 'url(/x.png)'],
    ['share', '2'],
    ['size', '900px'],
    ['size', 'calc(1px)'],
    ['weight', '0'],
    ['weight', '5000'],
    ['lineHeight', '400'],
    ['paddings', '1px 2px 3px'],
    ['paddings', '-4px'],
    ['corners', '6px/9px'],
    ['shadow', '0 1px'],
    ['shadow', '0 900px 0 #000000'],
    ['ring', '2px solid'],
    ['case', 'UPPER'],
    ['arrow', 'star'],
    ['paddings', '=0;}'],
  ];
  it.each(wrong)('%s: %j is refused, with what is expected', (kind, value) => {
    expect(valueProblem(kind, value)).toContain((valueKinds[kind] as ValueFacts).expected);
  });

  it('becomes CSS: names of the site, shares of colours, sizes that grow with the window', () => {
    expect(cssOf('colour', '@accent')).toBe('var(--_accent)');
    expect(cssOf('colour', '@accent/40%')).toBe('color-mix(in srgb,var(--_accent) 40%,#0000)');
    expect(cssOf('colour', '@my-blue')).toBe('var(--zv-t-my-blue)');
    expect(cssOf('colour', 'none')).toBe('#0000');
    expect(cssOf('margins', '0 -@pad')).toBe('0 calc(-1*var(--_pad))');
    expect(cssOf('corners', '@radius*1.5')).toBe('calc(var(--_radius)*1.5)');
    expect(cssOf('size', 'fluid(16px@400, 24px@1200)')).toBe('clamp(1rem,calc(0.75rem + 1vw),1.5rem)');
    expect(cssOf('fill', 'linear(135deg, #1f5a3a, none 80%)')).toBe(
      'linear-gradient(135deg, #1f5a3a, #0000 80%)',
    );
    expect(cssOf('fill', '@meadow tile')).toBe('var(--zv-t-meadow) tile');
    expect(cssOf('fill', 'linear(180deg, #00000080, #00000080) @meadow')).toBe(
      'linear-gradient(180deg, #00000080, #00000080),var(--zv-t-meadow)',
    );
    expect(cssOf('shadow', 'none')).toBe('none');
  });
});

/** Something set, for a scope of a rank. */
function set(target: SetLook['target'], values: SetLook['values'], rank = 1): SetLook {
  return { target, values, scope: { within: rank === 1 ? [] : [`.s${rank} *`], rank } };
}

describe('a style', () => {
  const where = { starter: 'moss@1', situation: null, scheme: null, device: null, from: 'starter' };
  it('comes from the state before rest, from the thing before what it is like, and says so', () => {
    expect(resolveStyle('panelHeading', 'fontWeight')).toEqual({
      value: '600',
      origin: { ...where, thing: 'panelHeading', state: 'normal' },
    });
    expect(resolveStyle('panelHeading', 'minBlockSize')?.origin).toMatchObject({ thing: 'panelEntry' });
    expect(resolveStyle('panelHeading', 'background', { states: ['hover'] })).toEqual({
      value: '@tint',
      origin: { ...where, thing: 'entry', state: 'hover' },
    });
    expect(resolveStyle('buttonEntry', 'background', { states: ['hover'] })?.origin).toMatchObject({
      thing: 'buttonEntry',
    });
    expect(resolveStyle('panel', 'boxShadow', { device: 'narrow' })).toMatchObject({
      value: 'none',
      origin: { device: 'narrow' },
    });
    expect(resolveStyle('entry', 'letterSpacing')).toEqual({
      value: 'inherit',
      origin: { from: 'initial', thing: 'entry' },
    });
    expect(resolveStyle('divider', 'opacity')).toBeNull();
  });

  it('is decided by the state, then the situation, then the thing, then the scope, then the device class', () => {
    const winner = (some: readonly SetLook[]): string | undefined =>
      rankedStyles('drawerEntry', 'color', {
        states: ['hover'],
        situations: ['over'],
        device: 'narrow',
        sheet: { ...plainSheet(), situations, set: some },
        holds: () => true,
      })[0]?.value;
    // Each wins over all before it.
    const rising = [
      set({ owner: 'site', thing: 'entry' }, { color: '#000001' }),
      set({ owner: 'site', thing: 'entry', device: 'narrow' }, { color: '#000002' }),
      set({ owner: 'c2', thing: 'entry' }, { color: '#000003' }, 2),
      set({ owner: 'site', thing: 'listEntry' }, { color: '#000004' }),
      set({ owner: 'site', thing: 'drawerEntry' }, { color: '#000005' }),
      set({ owner: 'site', thing: 'entry', situation: 'over' }, { color: '#000006' }),
      set({ owner: 'site', thing: 'entry', state: 'hover' }, { color: '#000007' }),
      set({ owner: 'c3', thing: 'entry', state: 'hover' }, { color: '#000008' }, 3),
    ];
    for (let count = 1; count <= rising.length; count += 1)
      expect(winner(rising.slice(0, count).reverse())).toBe(`#00000${count}`);
  });

  it('is compiled in the order in which it is decided', () => {
    const sheet: Sheet = {
      ...plainSheet(),
      situations,
      set: [
        set({ owner: 'c9', thing: 'entry' }, { color: '#000001' }, 9),
        set({ owner: 'site', thing: 'entry', state: 'hover' }, { color: '#000002' }),
        set({ owner: 'site', thing: 'listEntry', device: 'wide' }, { paddingBlock: '3px' }),
      ],
    };
    const rules = compileStyles(thingNames, sheet);
    for (const [at, { order }] of rules.entries()) {
      const before = rules[at - 1]?.order ?? order;
      const first = order.findIndex((one, index) => one !== before[index]);
      expect(first < 0 || (before[first] ?? 0) < (order[first] ?? 0)).toBe(true);
    }
    const at = (part: string): number => rules.findIndex(({ declarations }) => declarations.includes(part));
    expect(at('#000001')).toBeGreaterThan(0);
    expect(at('#000002')).toBeGreaterThan(at('#000001'));
    expect(rules[at('3px')]?.medium).toBe(deviceClasses[2]);
    expect(rules[at('#000001')]?.selectors).toEqual(['.zv :where(li>:is(a,span,button)):where(.s9 *)']);
  });

  it('is compiled for things that are there alone, and in states that they can be in', () => {
    const sheet: Sheet = {
      ...plainSheet(),
      set: [
        set({ owner: 'site', thing: 'panel', state: 'hover' }, { background: '#000001' }),
        set({ owner: 'site', thing: 'tabs' }, { gap: '77px' }),
        set({ owner: 'site', thing: 'flyout', device: 'narrow' }, { background: '#000003' }),
        set({ owner: 'site', thing: 'panel', situation: 'over' }, { background: '#000004' }),
      ],
    };
    const css = JSON.stringify(compileStyles(['panel', 'flyout'], sheet));
    for (const value of ['#000001', '77px', '#000003', '#000004']) expect(css).not.toContain(value);
    expect(states.length).toBeGreaterThan(5);
  });
});
