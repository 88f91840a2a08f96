import { readdirSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { readTexts } from './readTexts.ts';

/** Wordings that only a second reading explains, and words for which the product has another one. */
const unwanted = [
  /\b(?:take|taken|took|takes|bring|brings|brought) (?:it |this )?back\b/i,
  /\b(?:bring|brings|brought) (?:it |items |\S+ items )?in\b/i,
  /\btake (?:it|them) (?:in|out|up|along)\b|\btook (?:it |\S+ )?(?:in|out|up)\b/i,
  /\bwhat was done\b|\bback to here\b/i,
  /\bas edition\b|\bserved exactly\b/i,
  /\bleads? (?:to|nowhere|visitors|elsewhere|on|back|where)\b/i,
  /\bnot yet decided\b|\bundecided\b/i,
  /\b(?:held|hold|holds) back\b/i,
  /\bwhat drops\b|\bdrops? (?:as|from)\b/i,
  /\bpointer rests\b|\bwhen pressed\b|^at once$/i,
  /\bput on by\b|\bheld to\b|\bas wide as it\b|\bof the twelve\b|\bleast height\b/i,
  /\bits edge\b|\bin line with\b/i,
  /\bto those who\b|\bornaments?\b/i,
  /\bcut to\b|\bfills it\b|\bseen whole\b/i,
  /\blet it (?:follow|lead)\b|\bas what it follows\b|\bas it is followed\b/i,
  /\btake along\b|\blevels below\b|\d deep\b|\blevels deep\b/i,
  /\bbeside it\b|\bbeside this\b/i,
  /\bretired?s?\b(?<!missing=retire)/i,
  /\bmend(?:s|ed)?\b|\bleave it\b|\bleft as\b|\bleft out\b/i,
  /\bdisagrees?\b|\bto nothing\b/i,
  /\bend it\b|\bgo on\b|\botherwise\b/i,
  /\bstands?\b(?!-in)/i,
  /\bit begins\b|\btypical tree\b|\bto begin (?:at|with)\b/i,
  /\bof (?:your|its|their) own\b|\bit (?:holds|belongs to)\b/i,
  /\babout this menu\b|\bwhat it is for\b|\bas many as\b|\bits key\b/i,
  /\bactivating it\b|\binside the screen\b/i,
  /\bwhat others call\b|\bunnamed window\b/i,
  /\bput (?:it|this) away\b|\ball of it\b|\bon (?:its|their) way\b|\bsee to it\b|\blook at it\b|\blook here\b/i,
  /\bas it is\b|\bparted\b|\bthan is seen\b|\bis so\b|\bso already\b|\bis no (?!longer)\w+ (?:of|that|or)\b/i,
  /\bdoes not answer\b|\bat work than\b|\bsays? the same\b|\bmeanwhile\b/i,
  /\bkept;|\bnot kept\b|\bkeeping\b/i,
  /\bbelieve first\b|\bsurest\b|\bsure\)/i,
];

/** Also names of the two forms of Arrange that were given up. */
const unwantedOnScreen = [/\bspread\b/i, /(?<!-)\boutline\b/i];

function filesBelow(folder: string, isWanted: RegExp): string[] {
  return readdirSync(folder, { withFileTypes: true, recursive: true })
    .map(({ parentPath, name }) => `${parentPath}/${name}`)
    .filter((path) => isWanted.test(path));
}

/** The script that sites get is built, and holds no wording. */
const sources = filesBelow('packages', /^packages\/\w+\/src\/.*(?<!\.d|Script)\.(?:ts|vue)$/).concat(
  filesBelow('demo/site', /\.ts$/),
);
/** Decisions are records of their day, and the list of tests quotes their names. */
const documents = [
  'README.md',
  ...filesBelow('docs', /\.md$/).filter((file) => !/decisions|shown/.test(file)),
];

function wordings(files: readonly string[], words: readonly RegExp[]): string[] {
  return files.flatMap(readTexts).flatMap(({ file, text }) => {
    const found = words.map((word) => word.exec(text)?.[0]).find((match) => match !== undefined);
    return found === undefined ? [] : [`${file}: “${found}” in “${text.slice(0, 160)}”`];
  });
}

describe('plain words', () => {
  it('are all that the interface, its catalogues and the server say', () => {
    expect(wordings(sources, unwanted)).toEqual([]);
    expect(
      wordings(
        sources.filter((file) => file.includes('/web/')),
        unwantedOnScreen,
      ),
    ).toEqual([]);
  });

  it('are all that the documents say', () => {
    expect(wordings(documents, unwanted)).toEqual([]);
  });
});
