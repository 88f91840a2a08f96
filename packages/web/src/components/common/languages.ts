/** Tags that sites use (BCP 47): languages with a two-letter code, and regions and scripts that matter on the web. */
const TAGS =
  'af am ar as az be bg bn bs ca co cs cy da de de-AT de-CH el en en-AU en-CA en-GB en-IE en-IN en-NZ en-US en-ZA eo es es-AR es-CL es-CO es-MX es-US et eu fa fi fil fo fr fr-BE fr-CA fr-CH fy ga gd gl gu ha haw he hi hr ht hu hy id ig is it it-CH ja jv ka kk km kn ko ku ky la lb lo lt lv mg mi mk ml mn mr ms mt my nb ne nl nl-BE nn no ny oc or pa pl ps pt pt-BR pt-PT qu rm ro ru rw sa sc sd si sk sl sm sn so sq sr sr-Cyrl sr-Latn st su sv sv-FI sw ta te tg th tk tl tn tr tt ug uk ur uz vi wo xh yi yo zh zh-Hans zh-Hant zh-HK zh-TW zu'.split(
    ' ',
  );

/** A language: its tag, its name in English and in itself. */
export interface Language {
  readonly tag: string;
  readonly name: string;
  readonly own: string;
}

const english = new Intl.DisplayNames(['en'], { type: 'language' });

/** All languages that are offered, from A to Z. */
export const languages: readonly Language[] = TAGS.map((tag) => ({
  tag,
  name: english.of(tag) ?? tag,
  own: new Intl.DisplayNames([tag], { type: 'language' }).of(tag) ?? tag,
})).sort((a, b) => a.name.localeCompare(b.name));
