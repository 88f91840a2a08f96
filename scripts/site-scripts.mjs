// Makes the scripts of core/src/render that sites are served of those in core/browser. A test holds them together.
import { build } from 'esbuild';
import { writeFile } from 'node:fs/promises';
import { fileURLToPath } from 'node:url';

const root = new URL('../', import.meta.url);
export const names = ['navigation', 'stepIn', 'headerMotion', 'searchOpener', 'embed'];

export async function siteScriptSource(name) {
  const result = await build({
    entryPoints: [fileURLToPath(new URL(`packages/core/browser/${name}.ts`, root))],
    bundle: true,
    minify: true,
    target: 'es2022',
    write: false,
    tsconfigRaw: '{}',
  });
  const script = result.outputFiles[0].text.trim();
  return `/** Made by scripts/site-scripts.mjs from browser/${name}.ts; do not edit. */\nexport const ${name}Script = ${JSON.stringify(script)};\n`;
}

if (process.argv[1] === fileURLToPath(import.meta.url))
  for (const name of names)
    await writeFile(new URL(`packages/core/src/render/${name}Script.ts`, root), await siteScriptSource(name));
