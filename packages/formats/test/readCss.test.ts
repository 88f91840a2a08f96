import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { cssProblem, printOwnCss, writeCss, type CssRule } from '@zorvik/core';
import { LONGEST_CSS, readCss, unknownToContrast } from '../src/css/readCss.ts';

const rulesOf = (css: string): readonly CssRule[] => {
  const read = readCss(css);
  if (!read.ok) throw new Error(read.problem.message);
  return read.rules;
};
const place = (rules: readonly CssRule[]) => ({
  id: 'r1',
  rules,
  within: ['.zv-s-main,.zv-s-main *'],
});

describe('CSS written for a place', () => {
  it('is read, and written so that it is read alike', () => {
    const css = `/* Badges */ .zv-badge, li > a:hover { color: #1f5a3a; border-radius: 4px }
      @media (width >= 600px) { li::before { content: "→" } }
      @supports (display: grid) { .zv-bar { display: grid;; } }
      @container (min-width: 30em) { a { letter-spacing: .1em } }
      @keyframes grow { from { scale: 0 } 50%, to { scale: 1 } }
      .zv-badge { animation: grow 2s ease }`;
    const rules = rulesOf(css);
    expect(rules).toHaveLength(6);
    expect(rulesOf(writeCss(rules))).toEqual(rules);
    expect(unknownToContrast(rules)).toEqual(['color']);
  });

  it('is delivered for its place alone, with animations of its own, and counts like one class', () => {
    const css = printOwnCss([
      place(rulesOf('a:hover, .zv-badge::after { animation: grow 1s } @keyframes grow { to { scale: 2 } }')),
    ]);
    expect(css).toBe(
      '.zv:where(a:hover):where(.zv-s-main,.zv-s-main *),.zv :where(a:hover):where(.zv-s-main,.zv-s-main *),' +
        '.zv-badge:where(.zv-s-main,.zv-s-main *)::after{animation:zv-r1-grow 1s}\n' +
        '@keyframes zv-r1-grow{to{scale:2}}\n',
    );
  });

  it.each([
    ['a { colr: red }', 1, 5, 'There is no property “colr”. Check its spelling.'],
    ['a {\n  color: 12px }', 2, 3, '“12px” is not a value of color.'],
    ['html { color: red }', 1, 1, 'about the page around the navigation'],
    ['a, body > a { color: red }', 1, 4, 'about the page around the navigation'],
    [':root { --x: 1 }', 1, 1, 'about the page around the navigation'],
    ['a { background: url(http://x) }', 1, 5, 'would load something'],
    ['a { background: URL("x") }', 1, 5, 'would load something'],
    ['a { background: image-set("x" 1x) }', 1, 5, 'would load something'],
    ['a { --x: url(x) }', 1, 5, 'would load something'],
    ['a { width: expression(alert(1)) }', 1, 5, 'would load something'],
    ['@import "x";', 1, 1, '@import can’t be used here'],
    ['@font-face { font-family: x }', 1, 1, '@font-face can’t be used here'],
    ['@layer a { b { color: red } }', 1, 1, '@layer can’t be used here'],
    ['@property --x { syntax: "*" }', 1, 1, '@property can’t be used here'],
    ['@media print { @media (color) { a { color: red } } }', 1, 16, '@media can only hold rules'],
    ['a { color: red !important }', 1, 5, 'Take !important away'],
    ['a { color: \\72 ed }', 1, 12, 'Escapes with a backslash'],
    ['a { background: u\\72l(x) }', 1, 18, 'Escapes with a backslash'],
    ['a:before { color: red }', 1, 1, 'two colons'],
    ['a[title="</style>"] { color: red }', 1, 1, 'has < in it'],
    ['a { --x: { b: c } }', 1, 5, 'has { in it'],
    ['} a { color: red }', 1, 1, 'Correct it there.'],
    ['a { color: rgb(1, 2 }', 1, 21, 'Correct it there.'],
    ['@keyframes 1x { to { scale: 1 } }', 1, 1, 'An animation needs a name'],
    [`a { color: red }${' '.repeat(LONGEST_CSS)}`, 1, 1, 'the most is'],
  ])('is refused with its place: %j', (css, line, column, message) => {
    const read = readCss(css);
    expect(read).toMatchObject({ ok: false, problem: { line, column } });
    if (!read.ok) expect(read.problem.message).toContain(message);
  });

  it('never leaves its place, whatever is read or stored', () => {
    const scrap = fc.constantFrom(
      'a',
      '.x',
      ':hover',
      '::after',
      '{',
      '}',
      ';',
      ':',
      ',',
      ' ',
      '"',
      "'",
      '(',
      ')',
      '[',
      ']',
      '/*',
      '*/',
      '@media',
      '<',
      '</style>',
      '\\',
      'url(',
      'color',
      'red',
      '--x',
      '&',
      '!important',
      'html',
      '\n',
      '>',
      'content',
      '@import',
      '#',
      '0',
    );
    fc.assert(
      fc.property(fc.array(scrap, { maxLength: 24 }), (parts) => {
        const read = readCss(parts.join(''));
        if (!read.ok) return;
        expect(cssProblem(read.rules)).toBeNull();
        const printed = printOwnCss([place(read.rules)]);
        expect(printed).not.toMatch(/<|\\|url\(|@import|!important|\/\*/);
        // Every brace of the style sheet is one of ours: depth never falls below the outside.
        let depth = 0;
        for (const sign of printed.replaceAll(/"[^"\n]*"|'[^'\n]*'/g, '')) {
          depth += Number(sign === '{') - Number(sign === '}');
          expect(depth).toBeGreaterThanOrEqual(0);
        }
        expect(depth).toBe(0);
      }),
      { numRuns: 2000 },
    );
    // What comes past the reader, from a file or another program, is asked again.
    for (const rule of [
      { selectors: ['a'], declarations: [{ name: 'color', value: 'red}body{color:red' }] },
      { selectors: ['a}b'], declarations: [{ name: 'color', value: 'red' }] },
      { selectors: ['a'], declarations: [{ name: 'color', value: 'red/*' }] },
      { selectors: ['a:is('], declarations: [{ name: 'color', value: 'red' }] },
      {
        at: 'media',
        condition: 'print{}',
        rules: [{ selectors: ['a'], declarations: [{ name: 'color', value: 'red' }] }],
      },
    ] as unknown as CssRule[])
      expect(cssProblem([rule])).not.toBeNull();
  });
});
