import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { catalogue, type ErrorCode } from '../src/base/catalogue.ts';
import { embedScript } from '../src/render/embedScript.ts';
import { headerMotionScript } from '../src/render/headerMotionScript.ts';
import { navigationScript } from '../src/render/navigationScript.ts';
import { searchOpenerScript } from '../src/render/searchOpenerScript.ts';
import { stepInScript } from '../src/render/stepInScript.ts';

const read = (path: string): string => readFileSync(new URL(`../../../${path}`, import.meta.url), 'utf8');

describe('the error catalogue', () => {
  it('is what docs/errors.md says, in its order', () => {
    const rows = [...read('docs/errors.md').matchAll(/^\| `(\w+)` \| (\d+) \| (.+) \|$/gm)].map(
      ([, code, status, sentence]) => [code, Number(status), sentence?.replaceAll('\\|', '|')],
    );
    const entries = (Object.keys(catalogue) as ErrorCode[]).map((code) => [
      code,
      catalogue[code].status,
      catalogue[code].sentence,
    ]);
    expect(rows).toEqual(entries);
  });

  it('has sentences that end, and that say more than "error"', () => {
    for (const { sentence } of Object.values(catalogue)) {
      expect(sentence).toMatch(/\.$/);
      expect(sentence).not.toMatch(/invalid|error|failed/i);
    }
  });
});

const siteScripts = {
  navigation: navigationScript,
  stepIn: stepInScript,
  headerMotion: headerMotionScript,
  searchOpener: searchOpenerScript,
  embed: embedScript,
};

describe('the site’s scripts', () => {
  it('are what their sources make', async () => {
    const { siteScriptSource } = (await import(
      new URL('../../../scripts/site-scripts.mjs', import.meta.url).href
    )) as {
      siteScriptSource: (name: string) => Promise<string>;
    };
    for (const [name, script] of Object.entries(siteScripts))
      expect(await siteScriptSource(name), name).toContain(JSON.stringify(script));
  });
});
