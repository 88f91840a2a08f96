import { escapeHtml } from '../base/escape.ts';
import type { ResolvedPart } from '../resolve/resolved.ts';
import type { Site } from '../schema/site.ts';
import { looks, rule, type Rule } from '../style/rule.ts';
import { faceClasses, faceRules } from './face.ts';
import { glyphOf, glyphs } from './glyphs.ts';
import { linkTo, opening } from './html.ts';
import { shownIf, type PartHandler } from './partHandler.ts';

const rules: readonly Rule[] = [
  ...faceRules,
  rule('.zv-contact', 'display:flex;flex-wrap:wrap'),
  rule('.zv-contact>div', 'display:flex'),
  rule('.zv-cell .zv-contact', 'flex-direction:column'),
  looks('contact', 'contactLink'),
];

type Line = NonNullable<ResolvedPart['lines']>[number];

export const contact: PartHandler<'contact'> = {
  resolve(part, { base, document: { site } }) {
    const lines = part.says.flatMap((is) => lineOf(site, is));
    return shownIf(lines.length > 0, { ...base, lines });
  },
  html(part, within, classes) {
    const lines = (part.lines ?? []).map(({ is, text, href }) => {
      const words = `<span class="zv-face-text">${text.map(escapeHtml).join('<br>')}</span>`;
      const face = glyphOf(glyphs[is as keyof typeof glyphs]) + words;
      const linked = href === undefined ? face : linkTo({ ...part, href }, face, ' class="zv-face"');
      return `<div class="zv-face">${linked}</div>`;
    });
    return [
      `<${opening('div', part, within, ` zv-contact${faceClasses(part)}${classes}`)}>${lines.join('')}</div>`,
    ];
  },
  css: () => rules,
};

function lineOf({ phone, email, postal, hours }: Site, is: string): Line[] {
  if (is === 'phone' && phone !== undefined)
    return [{ is, text: [phone], href: `tel:${phone.replaceAll(/[^+\d]/g, '')}` }];
  if (is === 'email' && email !== undefined) return [{ is, text: [email], href: `mailto:${email}` }];
  if (is === 'postal' && postal !== undefined) return [{ is, text: postal }];
  return is === 'hours' && hours !== undefined ? [{ is, text: hours }] : [];
}
