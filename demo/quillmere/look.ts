import {
  styleId,
  tokenId,
  type FontFile,
  type Style,
  type StyleTarget,
  type StyleValues,
  type Token,
} from '@zorvik/core';

/** The fonts of Quillmere, as the server reads their files (a test); the build puts these beside its pictures. */
export const quillmereFonts: Readonly<Record<'commissioner' | 'fraunces', FontFile>> = {
  commissioner: {
    file: 'e3d539b926881fbb3592788297eee24d',
    family: 'Commissioner',
    weight: '100 900',
    bytes: 36_700,
    ascent: 1017,
    descent: 206,
    gap: 0,
    width: 460,
  },
  fraunces: {
    file: '7f9d191d999336d3b9790afa72e1358e',
    family: 'Fraunces',
    weight: '100 900',
    bytes: 36_620,
    ascent: 978,
    descent: 255,
    gap: 0,
    width: 530,
  },
};

/** What Quillmere looks like: its colours and fonts, and where it differs from the starter. `upper`: its top band. */
export function quillmereLook(site: string, upper: string): { tokens: Token[]; styles: Style[] } {
  const named: Omit<Token, 'id' | 'parent'>[] = [
    { key: 'accent', of: 'colour', value: '#7a5a14' },
    { key: 'ink', of: 'colour', value: '#1f3a2c' },
    { key: 'tint', of: 'colour', value: '#edf2e8' },
    { key: 'forest', of: 'colour', name: 'Forest', value: '#1f3a2c' },
    { key: 'amber', of: 'colour', name: 'Amber', value: '#f0c674' },
    { key: 'mist', of: 'colour', name: 'Mist', value: '#e6efe3' },
    {
      key: 'commissioner',
      of: 'font',
      name: 'Commissioner',
      value: 'own:sans',
      files: [quillmereFonts.commissioner],
    },
    { key: 'fraunces', of: 'font', name: 'Fraunces', value: 'own:serif', files: [quillmereFonts.fraunces] },
  ];
  const set: (readonly [StyleTarget, StyleValues])[] = [
    [
      { owner: site, thing: 'site' },
      { fontFamily: '@commissioner', lineHeight: '1.4' },
    ],
    [
      { owner: site, thing: 'logo' },
      { fontFamily: '@fraunces', fontSize: '1.625rem', fontWeight: '600', lineHeight: '1' },
    ],
    [{ owner: site, thing: 'breadcrumb' }, { color: '@forest-40' }],
    // In the accent, on a tint, a fainter text would be hard to read.
    [{ owner: site, thing: 'description' }, { opacity: '1' }],
    [
      { owner: upper, thing: 'upperBand' },
      { background: '@forest', ink: '@mist', tint: '@forest-40', accent: '@amber' },
    ],
  ];
  return {
    tokens: named.map((token) => ({ id: tokenId(token), parent: site, ...token })),
    styles: set.map(([target, values]) => ({ id: styleId(target), parent: site, ...target, ...values })),
  };
}
