import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { catalogue, type ErrorCode } from '../src/base/catalogue.ts';
import { embedScript } from '../src/render/embedScript.ts';
import { navigationScript } from '../src/render/navigationScript.ts';

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

describe('the site’s scripts', () => {
  it('are what their sources make', async () => {
    const { siteScriptSource } = (await import(
      new URL('../../../scripts/site-scripts.mjs', import.meta.url).href
    )) as {
      siteScriptSource: (name: string) => Promise<string>;
    };
    expect(await siteScriptSource('navigation')).toContain(JSON.stringify(navigationScript));
    expect(await siteScriptSource('embed')).toContain(JSON.stringify(embedScript));
  });
});
