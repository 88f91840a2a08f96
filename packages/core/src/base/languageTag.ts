import { refusal, type Refusal } from './refusal.ts';

/**
 * Whether this is a language tag as browsers take it (BCP 47): a language of two or three letters, then script,
 * region and variants. Longer first parts are reserved, and names of languages look like them.
 */
function isLanguageTag(tag: string): boolean {
  return /^[a-z]{2,3}(?:-[a-z0-9]{1,8})*$/i.test(tag) && tag.length <= 35;
}

/** What is no language tag, as a refusal; null: it is one. */
export function languageProblem(given: string): Refusal | null {
  return isLanguageTag(given)
    ? null
    : refusal('badValue', {
        given: given.slice(0, 80),
        what: 'a language tag',
        expected: 'a tag such as en, pt-BR or zh-Hant',
      });
}
