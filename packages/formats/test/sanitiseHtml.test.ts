import fc from 'fast-check';
import { parseFragment, serialize } from 'parse5';
import { describe, expect, it } from 'vitest';
import { isCleanHtml } from '@zorvik/core';
import { sanitiseHtml } from '../src/html/sanitiseHtml.ts';

const cleaned = (html: string): string => sanitiseHtml(html).html;
const whatWent = (html: string): string[] =>
  sanitiseHtml(html).removed.map(({ what, count }) => `${count} ${what}`);

describe('own HTML', () => {
  it('keeps what an editor writes', () => {
    const html =
      '<h3>Open <em>today</em></h3>\n<p class="note">Call <a href="tel:+441632960017">us</a> &amp; ask.<br>Or <a href="/help" target="_blank" rel="noopener">read</a>.</p>\n<ul><li>One</li><li>Two<ol start="3"><li>Three</li></ol></li></ul>\n<table><caption>Hours</caption><tbody><tr><th scope="row">Mon</th><td>9–5</td></tr></tbody></table>\n<details open=""><summary>More</summary><p>Text</p></details>';
    expect(sanitiseHtml(html)).toEqual({ html, removed: [] });
  });

  it.each([
    ['<p onclick="x()">a</p>', '<p>a</p>', ['1 onclick of <p>']],
    ['<script>alert(1)</script>a', 'a', ['1 <script>']],
    ['<a href="javascript:alert(1)">a</a>', '<a>a</a>', ['1 href of <a>']],
    ['<a href="java&#10;script:alert(1)">a</a>', '<a>a</a>', ['1 href of <a>']],
    ['<a href="//evil.example">a</a>', '<a>a</a>', ['1 href of <a>']],
    ['<p style="position:fixed">a</p>', '<p>a</p>', ['1 style of <p>']],
    ['<img src=x onerror=alert(1)>', '', ['1 <img>']],
    ['<svg><a xlink:href="javascript:x"><text>t</text></a></svg>', '', ['1 <svg>']],
    ['<math><mtext><table><mglyph><style><img src=x onerror=x>', '', null],
    ['<form action="/x"><button>Go</button></form>', 'Go', ['1 <form>', '1 <button>']],
    [
      '<p id="zv-menu" class="zv-bar mine zv">a</p>',
      '<p class="mine">a</p>',
      ['1 id of <p>', '1 class of <p>'],
    ],
    ['<nav aria-label="Main"><a href="/a">a</a></nav>', '<a href="/a">a</a>', ['1 <nav>']],
    ['<div role="navigation">a</div>', '<div>a</div>', ['1 role of <div>']],
    ['<ul>loose<li>a</li></ul>', '<ul><li>a</li></ul>', ['1 text in <ul>']],
    ['</div></footer><p>out', '<p>out</p>', []],
    ['<!-- x --><p>a</p><!--[if IE]>y<![endif]-->', '<p>a</p>', ['2 comment']],
    [
      '<a href="/a" target="_top" rel="opener">a</a>',
      '<a href="/a">a</a>',
      ['1 rel of <a>', '1 target of <a>'],
    ],
    ['a\u0001b<p title="a\u0000b">c</p>', 'ab<p title="a\ufffdb">c</p>', []],
    [
      '<template><p>a</p></template><iframe src="https://x.example"></iframe>',
      '',
      ['1 <template>', '1 <iframe>'],
    ],
    ['<noscript><p title="</noscript><img src=x onerror=alert(1)>">', null, null],
  ])('takes out of %s what may not stand there', (html, left, went) => {
    if (left !== null) expect(cleaned(html)).toBe(left);
    if (went !== null) expect(whatWent(html)).toEqual(went);
    expect(cleaned(html)).not.toMatch(/<(?:script|img|style|svg|math)|onerror="|javascript:/);
  });

  /** What goes wrong in HTML: pieces of it in any order. */
  const soup = fc
    .array(
      fc.constantFrom(
        ...'<b> </b> <a href="/x"> </a> <p> </p> <div> </div> <table> <tr> <td> </td> </table> <ul> <li> </ul> <dl> <dt> <dd> <details> <summary> <h2> </h3> <svg> </svg> <math> <mi> <style> </style> <!-- --> <select> <option> <form> <br> <hr> <i class="zv x"> <caption> <section> </section> <template> </template> <noscript> <span title="<b>"> &lt;script&gt; &amp;amp; &nbsp; \u0001 \u00a0 \u2028 text < > " \' <title> <![CDATA[ ]]> <annotation-xml encoding="text/html"> <font> <nobr> <button> <li value=3> <figure> <figcaption>'.split(
          ' ',
        ),
        '\n',
      ),
      { maxLength: 40 },
    )
    .map((pieces) => pieces.join(''));

  it('law: what was cleaned is clean, cleaning it again changes nothing, and browsers read it as it was written', () => {
    fc.assert(
      fc.property(soup, (html) => {
        const clean = cleaned(html);
        expect(isCleanHtml(clean)).toBe(true);
        expect(sanitiseHtml(clean)).toEqual({ html: clean, removed: [] });
        // Within an element of ours it neither ends that element nor reaches beyond it.
        const around = `<div id="a">${clean}</div><p id="b">after</p>`;
        const [own, after, ...rest] = parseFragment(around).childNodes;
        expect(rest).toEqual([]);
        expect(own?.nodeName).toBe('div');
        expect(serialize(after as never)).toBe('after');
      }),
      { numRuns: 400 },
    );
  });

  it.each([
    ['<P>a</P>'],
    ['<p>a'],
    ['a</p>'],
    ['<p title=a>a</p>'],
    ['<p onclick="x">a</p>'],
    ['<script>a</script>'],
    ['<b><p>a</p></b>'],
    ['<a href="/a"><b><a href="/b">b</a></b></a>'],
    ['a &nbsp; b'],
    ['a < b'],
    ['<br/>'],
    ['<p title="&#x3c;">a</p>'],
    ['<a href="/a" target="_blank">a</a>'],
    ['<table><tr><td>a</td></tr></table>'],
    [`${'<div>'.repeat(120)}a${'</div>'.repeat(120)}`],
    ['\u0001year\u0001'],
  ])('%s is not clean as it stands', (html) => {
    expect(isCleanHtml(html)).toBe(false);
  });

  it('takes what is nested without end', () => {
    for (const tag of ['div', 'b', 'x-y', 'svg', 'table', 'ul', 'a'])
      expect(isCleanHtml(cleaned(`<${tag}>`.repeat(20_000)))).toBe(true);
  });
});
