// Makes core/src/render/navigationScript.ts of core/browser/navigation.ts. A test holds the two together.
import { build } from 'esbuild';
import { writeFile } from 'node:fs/promises';
import { fileURLToPath } from 'node:url';

const root = new URL('../', import.meta.url);

export async function navigationScriptSource() {
  const result = await build({
    entryPoints: [fileURLToPath(new URL('packages/core/browser/navigation.ts', root))],
    bundle: true,
    minify: true,
    target: 'es2022',
    write: false,
    tsconfigRaw: '{}',
  });
  const script = result.outputFiles[0].text.trim();
  return `/** Made by scripts/navigation-script.mjs from browser/navigation.ts; do not edit. */\nexport const navigationScript = ${JSON.stringify(script)};\n`;
}

if (process.argv[1] === fileURLToPath(import.meta.url)) {
  await writeFile(
    new URL('packages/core/src/render/navigationScript.ts', root),
    await navigationScriptSource(),
  );
}
