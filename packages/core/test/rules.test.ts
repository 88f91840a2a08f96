import { describe, expect, it } from 'vitest';
import { renderStyles } from '../src/render/renderStyles.ts';
import { resolveMenu } from '../src/resolve/resolveMenu.ts';
import { printRules } from '../src/style/printRules.ts';
import { inMedium, rule } from '../src/style/rule.ts';
import { selectorsIn, specificityOf } from '../src/anatomy/specificity.ts';
import { seededRandom } from '../src/base/seededRandom.ts';
import { randomDocument } from '../testing/randomDocument.ts';

const breakpoints = { medium: 768, wide: 1024 };
const print = (...rules: Parameters<typeof printRules>[0]): string => printRules(rules, breakpoints);

describe('the rules of the style sheet', () => {
  it.each([
    ['*', [0, 0, 0]],
    ['li', [0, 0, 1]],
    ['.zv li>a', [0, 1, 2]],
    ['#x.y[dir=rtl] ~ z', [1, 2, 1]],
    ['a:hover::after', [0, 1, 2]],
    ['.a:is(.b .c,d) e', [0, 3, 1]],
    ['.a:not([x]):has(>ul)', [0, 2, 1]],
    [':where(.a #b) c', [0, 0, 1]],
    ['input:nth-of-type(2n + 1):checked', [0, 2, 1]],
    ['.a :is(.b, :not(.c .d))>e', [0, 3, 1]],
  ])('“%s” counts %j', (selector, counts) => {
    expect(specificityOf(selector)).toEqual(counts);
  });

  it('part a list at the commas at its top, and say what cannot be read', () => {
    expect(selectorsIn('a:is(b,c), d[e=","] ,f')).toEqual(['a:is(b,c)', 'd[e=","]', 'f']);
    expect(() => specificityOf('a:is(b')).toThrow('A bracket is not closed');
    expect(() => specificityOf('a{')).toThrow('cannot be read from {');
  });

  it('are printed in the order in which they count, each with the weight of one class', () => {
    const text = print(
      rule('.zv ul ul', 'a:1'),
      rule('.zv li', 'a:2'),
      rule('.zv-cell', 'a:3'),
      rule('.zv', 'a:4'),
      rule('.zv-bar', 'a:5', { weight: 1 }),
      rule('.zv-bar:not([x])>ul', 'a:6'),
      rule('.zv button::after', 'a:7'),
      rule('.zv-bar:not([y])', 'a:8'),
    );
    expect(text.trim().split('\n')).toEqual([
      '.zv-cell{a:3}',
      '.zv{a:4}',
      '.zv :where(li){a:2}',
      '.zv :where(.zv ul ul){a:1}',
      '.zv :where(button)::after{a:7}',
      '.zv-bar{a:5}',
      '.zv:where(.zv-bar:not([y])){a:8}',
      '.zv :where(.zv-bar:not([x])>ul){a:6}',
    ]);
  });

  it('are printed once, side by side where they say the same, and in their medium', () => {
    expect(
      print(
        ...inMedium('narrow', [rule('.a', 'x:1'), rule('.b', 'x:1')]),
        rule('.c', 'x:1'),
        ...inMedium('narrow', [rule('.a', 'x:1')]),
        ...inMedium('print', [rule('.d,.e', 'x:2')]),
      ),
    ).toBe('@media (max-width:767.98px){.a,.b{x:1}}\n.c{x:1}\n@media print{.d,.e{x:2}}\n');
  });

  it('lose against no element, and against any class with an element, for whatever menus', () => {
    let selectors = 0;
    for (let seed = 1; seed <= 30; seed += 1) {
      const document = randomDocument(seededRandom(seed), { pages: 15, menus: 2, items: 40, panels: 5 });
      const menus = [...document.menus.nodes.keys()].map((id) => resolveMenu(document, id));
      const css = renderStyles(document.site, menus).replaceAll(/\/\*.*?\*\//gs, '');
      for (const [, list = ''] of css.replaceAll(/@media [^{]*\{/g, '').matchAll(/([^{}]+)\{[^{}]*\}/g))
        for (const one of selectorsIn(list.trim())) {
          const elements = /::[\w-]+$/.test(one) ? 1 : 0;
          expect(specificityOf(one), one).toEqual([0, 1, elements]);
          selectors += 1;
        }
    }
    expect(selectors).toBeGreaterThan(1500);
  });
});
