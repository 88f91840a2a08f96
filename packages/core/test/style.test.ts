import { describe, expect, it } from 'vitest';
import {
  anatomy,
  properties,
  states,
  type Property,
  type Thing,
  type ThingName,
} from '../src/style/anatomy.ts';
import { compileStyles } from '../src/style/compileStyles.ts';
import { lineOf, resolveStyle } from '../src/style/resolveStyle.ts';
import { specificityOf, selectorsIn } from '../src/style/specificity.ts';
import { starters } from '../src/style/starters.ts';

const things = Object.keys(anatomy) as ThingName[];
const moss = starters['moss@1'];
const thingOf = (name: ThingName): Thing => anatomy[name];

describe('the anatomy', () => {
  it.each(things)('%s: its selectors can be read, and it is like another thing or none', (name) => {
    for (const selector of Object.values(thingOf(name).in))
      for (const one of selectorsIn(selector)) expect(specificityOf(one)[0]).toBe(0);
    const { like } = thingOf(name);
    expect(like === undefined || like in anatomy).toBe(true);
    expect(new Set(lineOf(name)).size, 'it is not like itself').toBe(lineOf(name).length);
  });

  it.each(things)('%s: the starter says something of all that it has, and of nothing else', (name) => {
    const { on = {}, ...looks } = moss[name];
    const said = [
      ...Object.entries(looks),
      ...Object.entries(on).map(([, look]) => ['normal', look] as const),
    ];
    for (const [state] of said) expect(thingOf(name).in, state).toHaveProperty(state);
    const named = new Set(said.flatMap(([, look]) => Object.keys(look)));
    expect([...named].sort()).toEqual([...thingOf(name).has].sort());
  });

  it('has a property for each thing that can be said, and none twice', () => {
    const used = new Set<Property>(things.flatMap((name) => thingOf(name).has));
    expect([...used].sort()).toEqual((Object.keys(properties) as Property[]).sort());
    expect(new Set(Object.values(properties)).size).toBe(used.size);
  });
});

describe('a style', () => {
  it('comes from the state before the normal one, from the thing before what it is like, and says so', () => {
    const origin = { starter: 'moss@1', device: null };
    expect(resolveStyle('panelHeading', 'fontWeight')).toEqual({
      value: '600',
      origin: { ...origin, thing: 'panelHeading', state: 'normal' },
    });
    expect(resolveStyle('panelHeading', 'minHeight')).toEqual({
      value: '2rem',
      origin: { ...origin, thing: 'panelEntry', state: 'normal' },
    });
    expect(resolveStyle('panelHeading', 'background', { state: 'hover' })).toEqual({
      value: 'var(--_tint)',
      origin: { ...origin, thing: 'entry', state: 'hover' },
    });
    expect(resolveStyle('buttonEntry', 'background', { state: 'hover' })?.origin.thing).toBe('buttonEntry');
    expect(resolveStyle('buttonEntry', 'background', { state: 'focus' })).toEqual({
      value: 'var(--zv-button,var(--_accent))',
      origin: { ...origin, thing: 'buttonEntry', state: 'normal' },
    });
    expect(resolveStyle('panel', 'boxShadow', { device: 'narrow' })).toEqual({
      value: 'none',
      origin: { starter: 'moss@1', thing: 'panel', state: 'normal', device: 'narrow' },
    });
    expect(resolveStyle('divider', 'opacity')).toBeNull();
  });

  it('is compiled to the values that are resolved, each once, and none that is said already', () => {
    for (const name of things) {
      const rules = compileStyles([name]);
      const { normal } = thingOf(name).in;
      for (const state of states) {
        const selector = thingOf(name).in[state];
        if (selector === undefined) continue;
        const said = rules
          .filter((one) => one.selector === selector && one.medium !== 'narrow')
          .flatMap(({ declarations }) => declarations.split(/;(?![^(]*\))/));
        expect(new Set(said).size, `${name} ${state}`).toBe(said.length);
        for (const property of Object.keys(moss[name][state] ?? {}) as Property[]) {
          const { value } = resolveStyle(name, property, { state }) ?? {};
          const isSaidAlready = state !== 'normal' && moss[name].normal?.[property] === value;
          expect(said.includes(`${properties[property]}:${value}`), `${name} ${state} ${property}`).toBe(
            !isSaidAlready,
          );
        }
      }
      expect(normal).not.toBe('');
    }
  });
});
