// The rules that need types: promises that nobody waits for, promises taken for values, switches that leave a
// case out. Oxlint looks for them with TypeScript's native compiler, in a tenth of the time that ESLint takes.
// It does not read .vue files. So the scripts of all components are written down as TypeScript, each at its own
// lines, into a tree of their own; `rootDirs` lets them import as if they stood beside the real files.
import { spawnSync } from 'node:child_process';
import { mkdir, readdir, readFile, rm, writeFile } from 'node:fs/promises';
import { dirname, join, relative } from 'node:path';
import { parse } from 'vue/compiler-sfc';
import { root } from './freshness.mjs';

const source = join(root, 'packages/web/src');
const folder = join(root, 'build/vue-scripts');

/** What a component's script says, at the lines where it says it. */
async function scriptOf(path) {
  const { descriptor } = parse(await readFile(path, 'utf8'));
  const lines = [];
  for (const block of [descriptor.script, descriptor.scriptSetup]) {
    if (block === null) continue;
    while (lines.length < block.loc.start.line - 1) lines.push('');
    lines.push(...block.content.split('\n'));
  }
  // Without an import or an export it would be no module, and its names would be everybody's.
  return `${lines.join('\n')}\nexport {};\n`;
}

/** Writes the scripts of all components; gives their files. */
async function writeScripts() {
  await rm(folder, { recursive: true, force: true });
  const components = (await readdir(source, { recursive: true })).filter((path) => path.endsWith('.vue'));
  const files = [];
  for (const path of components) {
    const file = join(folder, 'src', `${path}.ts`);
    await mkdir(dirname(file), { recursive: true });
    await writeFile(file, await scriptOf(join(source, path)));
    files.push(relative(root, file));
  }
  const compilerOptions = { rootDirs: ['src', relative(folder, source)] };
  const config = { extends: '../../packages/web/tsconfig.json', compilerOptions, include: ['src'] };
  await writeFile(join(folder, 'tsconfig.json'), JSON.stringify(config));
  return files;
}

const words = ['--type-aware', '--deny-warnings', 'packages', 'demo', 'e2e', 'bench', 'scripts'];
const { status } = spawnSync(join(root, 'node_modules/.bin/oxlint'), [...words, ...(await writeScripts())], {
  cwd: root,
  stdio: 'inherit',
});
process.exitCode = status ?? 1;
