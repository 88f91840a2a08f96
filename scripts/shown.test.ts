import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { expect, it } from 'vitest';

/**
 * docs/shown.md says for each demand what shows it; here its titles are held against the tests and benches
 * that there are.
 */
const root = fileURLToPath(new URL('..', import.meta.url));

function textsBelow(folder: string): string {
  return readdirSync(folder, { withFileTypes: true })
    .filter(({ name }) => name !== 'node_modules' && name !== 'build')
    .map((entry) =>
      entry.isDirectory()
        ? textsBelow(join(folder, entry.name))
        : /\.(?:test|bench)\.ts$/.test(entry.name)
          ? readFileSync(join(folder, entry.name), 'utf8')
          : '',
    )
    .join('\n');
}

it('docs/shown.md names tests and benches that exist', () => {
  const shown = readFileSync(join(root, 'docs/shown.md'), 'utf8');
  const titles = [...shown.matchAll(/`([^`]+)`/g)].map(([, title = '']) => title);
  const texts = ['packages', 'e2e', 'bench', 'scripts', 'demo']
    .map((folder) => textsBelow(join(root, folder)))
    .join('\n');
  expect(titles.length).toBeGreaterThan(40);
  expect(titles.filter((title) => !texts.includes(title))).toEqual([]);
});
