import commissioner from '@fontsource-variable/commissioner/files/commissioner-latin-wght-normal.woff2?url';
import commissionerExt from '@fontsource-variable/commissioner/files/commissioner-latin-ext-wght-normal.woff2?url';
import figtree from '@fontsource-variable/figtree/files/figtree-latin-wght-normal.woff2?url';
import figtreeExt from '@fontsource-variable/figtree/files/figtree-latin-ext-wght-normal.woff2?url';
import workSans from '@fontsource-variable/work-sans/files/work-sans-latin-wght-normal.woff2?url';
import workSansExt from '@fontsource-variable/work-sans/files/work-sans-latin-ext-wght-normal.woff2?url';
import fraunces from '@fontsource-variable/fraunces/files/fraunces-latin-wght-normal.woff2?url';
import frauncesExt from '@fontsource-variable/fraunces/files/fraunces-latin-ext-wght-normal.woff2?url';
import literata from '@fontsource-variable/literata/files/literata-latin-wght-normal.woff2?url';
import literataExt from '@fontsource-variable/literata/files/literata-latin-ext-wght-normal.woff2?url';
import bitter from '@fontsource-variable/bitter/files/bitter-latin-wght-normal.woff2?url';
import bitterExt from '@fontsource-variable/bitter/files/bitter-latin-ext-wght-normal.woff2?url';

/** A font that comes with Zorvik: open (SIL Open Font License), variable, with the letters of Latin scripts. */
export interface ShippedFont {
  readonly name: string;
  /** Its files, and the characters that each is for. */
  readonly files: readonly { readonly url: string; readonly range: string }[];
}

/** As the font files are divided (CSS `unicode-range`). */
const LATIN =
  'U+0000-00FF,U+0131,U+0152-0153,U+02BB-02BC,U+02C6,U+02DA,U+02DC,U+0304,U+0308,U+0329,U+2000-206F,U+20AC,U+2122,U+2191,U+2193,U+2212,U+2215,U+FEFF,U+FFFD';
const LATIN_EXT =
  'U+0100-02BA,U+02BD-02C5,U+02C7-02CC,U+02CE-02D7,U+02DD-02FF,U+0304,U+0308,U+0329,U+1D00-1DBF,U+1E00-1E9F,U+1EF2-1EFF,U+2020,U+20A0-20AB,U+20AD-20C0,U+2113,U+2C60-2C7F,U+A720-A7FF';

const of = (name: string, latin: string, more: string): ShippedFont => ({
  name,
  files: [
    { url: latin, range: LATIN },
    { url: more, range: LATIN_EXT },
  ],
});

/** The fonts that come with Zorvik. */
export const shippedFonts: readonly ShippedFont[] = [
  of('Commissioner', commissioner, commissionerExt),
  of('Figtree', figtree, figtreeExt),
  of('Work Sans', workSans, workSansExt),
  of('Fraunces', fraunces, frauncesExt),
  of('Literata', literata, literataExt),
  of('Bitter', bitter, bitterExt),
];
