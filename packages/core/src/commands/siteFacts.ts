import { Check } from 'typebox/value';
import { languageProblem } from '../base/languageTag.ts';
import { plainLine } from '../base/plainLine.ts';
import { refusal, type Refusal } from '../base/refusal.ts';
import { no, type Result } from '../base/result.ts';
import type { Sentence } from '../base/sentences.ts';
import { visitorWordNames, type VisitorWord } from '../base/visitorWords.ts';
import type { Edit } from '../ops/edit.ts';
import type { SiteChanges, UpdateSite } from '../ops/updateSite.ts';
import { siteFacts, siteFields, type Site } from '../schema/site.ts';
import { makeEdit, storedOf, type CommandContext } from './context.ts';

/** What the facts of a site are called, and what can be in them. */
const expected: Readonly<Partial<Record<keyof SiteChanges, readonly [what: string, expected: string]>>> = {
  name: ['a site name', 'one line of text'],
  origin: ['a site address', 'the scheme and host, such as https://www.example.org'],
  timeZone: ['a time zone', 'a name such as Europe/London'],
  breakpoints: ['a breakpoint', 'a whole number of pixels'],
  contentWidth: ['a content width', 'a whole number from 320 to 2400 px'],
  margins: ['a page margin', 'a whole number from 0 to 400 px'],
  phone: ['a phone number', 'digits with spaces, and a + at the start if needed'],
  email: ['an e-mail address', 'an address such as info@example.org'],
  postal: ['a postal address', 'up to 12 lines of text'],
  hours: ['opening hours', 'up to 12 lines of text'],
  holder: ['a copyright holder', 'one line of text'],
  social: ['social links', 'up to 20 links, each with a name, an address and an icon'],
  starter: ['a starter', 'the key of a starter'],
  payments: ['payment marks', 'up to 20 marks, each with a name and an icon'],
};

/** A scheme and a host, without a path. */
const ORIGIN = /^https?:\/\/[^\s/?#@]+$/;

/** Sets facts of the site. Empty text and empty lists take a fact away. */
export function setSite(context: CommandContext, changes: SiteChanges): Result<Edit> {
  const set = Object.fromEntries(
    Object.entries(changes).map(([name, value]) => [name, keptValue(name, value)]),
  ) as SiteChanges;
  for (const [name, value] of Object.entries(set)) {
    const problem = factProblem(name as keyof SiteChanges, value);
    if (problem !== null) return no(problem);
  }
  return siteEdit(context, set);
}

/** Sets fields of the site. `words`: what the history says, if it is not that the site changed. */
export function siteEdit(context: CommandContext, set: SiteChanges, words?: Sentence): Result<Edit> {
  return makeEdit(context, [siteSetting(context, set)], {
    label: storedOf(context).site.name,
    isStored: true,
    ...(words === undefined ? {} : { sentence: words }),
  });
}

/** The setting of fields of the site, with what they were. */
export function siteSetting(context: CommandContext, set: SiteChanges): UpdateSite {
  const { site } = storedOf(context);
  const was = Object.fromEntries(
    Object.keys(set).map((name) => [name, site[name as keyof Site] ?? null]),
  ) as SiteChanges;
  return { kind: 'updateSite', id: site.id, set, was };
}

function keptValue(name: string, value: unknown): unknown {
  const isFact = name in siteFacts;
  if (typeof value === 'string') {
    const line = plainLine(value);
    return isFact && line === '' ? null : line;
  }
  const isEmpty = Array.isArray(value)
    ? value.length === 0
    : typeof value === 'object' && value !== null && Object.keys(value).length === 0;
  return isFact && isEmpty ? null : value;
}

function factProblem(name: keyof SiteChanges, value: unknown): Refusal | null {
  if (name === 'language') return languageProblem(String(value));
  const shape =
    name in siteFacts
      ? siteFacts[name as keyof typeof siteFacts]
      : siteFields[name as keyof typeof siteFields];
  const isTaken = value === null && name in siteFacts;
  const isOne =
    isTaken ||
    (Check(shape, value) &&
      (name !== 'name' || value !== '') &&
      (name !== 'origin' || value === '' || ORIGIN.test(String(value))));
  if (isOne) return null;
  const [what, wanted] = expected[name] ?? [name, 'another value'];
  return refusal('badValue', {
    given: typeof value === 'string' ? value.slice(0, 80) : name,
    what,
    expected: wanted,
  });
}

/** Sets one of the words that visitors read, in a language; empty text gives back the word that ships. */
export function setWord(
  context: CommandContext,
  language: string,
  word: VisitorWord,
  typed: string,
): Result<Edit> {
  const { words = {} } = storedOf(context).site;
  const { [word]: _, ...others } = words[language] ?? {};
  const text = plainLine(typed);
  const own = text === '' || !visitorWordNames.includes(word) ? others : { ...others, [word]: text };
  const { [language]: __, ...rest } = words;
  return setSite(context, { words: Object.keys(own).length === 0 ? rest : { ...rest, [language]: own } });
}
